import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, expectAccessible, posted, test } from './bench'

const PORT = 8797
test.use({ baseURL: `http://127.0.0.1:${PORT}`, serviceWorkers: 'allow' })

test.describe('a bench whose server is stopped', () => {
  let bench: ChildProcess | null = null
  let folder = ''
  const start = async () => {
    const started = spawn('bin/start', [String(PORT)], {
      env: { ...process.env, LINGUATOR_DB: join(folder, 'bench.sqlite') },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    bench = started
    await new Promise<void>((resolve, reject) => {
      started.stdout.on('data', (text: Buffer) => text.toString().includes('on the bench: http') && resolve())
      started.once('exit', (code) => reject(new Error(`bin/start ended with ${code}`)))
    })
  }
  const stop = async () => {
    const running = bench
    bench = null
    if (running === null) return
    running.removeAllListeners('exit')
    const gone = new Promise((resolve) => running.once('exit', resolve))
    running.kill('SIGTERM')
    await gone
  }
  test.beforeAll(async () => {
    test.setTimeout(120_000)
    folder = mkdtempSync(join(tmpdir(), 'away-'))
    await start()
  })
  test.afterAll(async () => {
    await stop()
    rmSync(folder, { recursive: true, force: true })
  })

  test('is read as it was seen last; what is meant meanwhile waits, is sent when it answers, and conflicts are told', async ({ page }) => {
    test.setTimeout(180_000)
    await page.goto('/')
    await page.evaluate(async () => {
      await navigator.serviceWorker.ready
    })
    await expect.poll(() => page.evaluate(() => navigator.serviceWorker.controller !== null)).toBe(true)
    await page.goto('/rigs/dunlin/history')
    await expect(page.getByRole('heading', { name: 'History' })).toBeVisible()
    await page.goto('/rigs/avocet/history')
    await expect(page.getByRole('heading', { name: 'History' })).toBeVisible()

    await stop()
    await page.goto('/')
    await expect(page.getByRole('link', { name: 'Dunlin', exact: true })).toBeVisible()
    await expect(page.getByText('The bench does not answer: start it again')).toBeVisible()
    await page.goto('/rigs/dunlin/history')
    await expect(page.getByRole('heading', { level: 1, name: 'Dunlin' })).toBeVisible()
    // A page that was never opened is drawn too, and says what it has not.
    await page.goto('/logbook')
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
    await expectAccessible(page)
    await page.goto('/rigs/dunlin/history')
    await page.getByLabel('A note').fill('written while it was stopped')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByText('One change waits and is sent when it answers.')).toBeVisible()
    await page.goto('/rigs/avocet/history')
    await page.getByLabel('A note').fill('on another rig')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByText('2 changes wait and are sent when it answers.')).toBeVisible()
    await page.reload()
    await expect(page.getByText('2 changes wait and are sent when it answers.')).toBeVisible()
    const pageAway = page.getByText('The bench does not answer')
    await start()
    await expect(pageAway).toBeHidden()
    await expect(page.getByText('All 2 that waited are sent.')).toBeVisible()
    await page.goto('/rigs/dunlin/history')
    await expect(page.getByRole('listitem').filter({ hasText: 'written while it was stopped' })).toHaveCount(1)
  })

  test('a rig that was changed meanwhile is not overwritten: what waits is sent only when somebody says so', async ({ page }) => {
    test.setTimeout(120_000)
    await page.goto('/rigs/mudlark/history')
    await expect(page.getByRole('heading', { name: 'History' })).toBeVisible()
    const { revision } = await page.evaluate(async () => (await (await fetch('/api/v1/rigs/mudlark')).json()) as { revision: number })
    // As it would stand after a stop: meant on a revision that is no longer the newest.
    await posted(page, '/rigs/mudlark/intents', { revision, intent: 'write-note', told: { text: 'somebody else was here' } })
    await page.evaluate(
      (seen) =>
        localStorage.setItem(
          `linguator.outbox/${document.querySelector<HTMLMetaElement>('meta[name="bench"]')?.content ?? ''}`,
          JSON.stringify([{ intent: 'write-note', told: { text: 'mine from before' }, slug: 'mudlark', name: 'Mudlark', revision: seen }]),
        ),
      revision,
    )
    await page.reload()
    await expect(page.getByText('Mudlark was changed elsewhere while one change waits for it.')).toBeVisible()
    // What waits may be answered before the rig itself is.
    await expect(page.getByRole('heading', { name: 'History' })).toBeVisible()
    await expectAccessible(page)
    await expect(page.getByRole('listitem').filter({ hasText: 'mine from before' })).toHaveCount(0)
    await page.getByRole('button', { name: 'Make my changes too' }).click()
    await expect(page.getByText('Mudlark was changed elsewhere')).toBeHidden()
    await expect(page.getByRole('listitem').filter({ hasText: 'mine from before' })).toHaveCount(1)
    await expect(page.getByRole('listitem').filter({ hasText: 'somebody else was here' })).toHaveCount(1)
  })
})

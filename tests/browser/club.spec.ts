import { type ChildProcess, execFileSync, spawn } from 'node:child_process'
import { existsSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, expectAccessible, expectNoSidewaysScroll, test } from './bench'

const PORT = 8798
const PASSPHRASE = 'grey heron at dusk'
test.use({ baseURL: `http://127.0.0.1:${PORT}`, viewport: { width: 390, height: 844 } })

test.describe('on the club’s network', () => {
  let club: ChildProcess
  let folder = ''
  test.beforeAll(async () => {
    test.setTimeout(120_000)
    folder = mkdtempSync(join(tmpdir(), 'club-'))
    const env = { ...process.env, LINGUATOR_DB: join(folder, 'bench.sqlite') }
    execFileSync('php', ['artisan', 'linguator:passphrase', '--stdin'], { env, input: `${PASSPHRASE}\n` })
    // As a club has it; where its servers cannot be brought, the same gate before PHP's own.
    const hasServers = ['/usr/sbin/nginx', '/usr/sbin/php-fpm8.2'].every((file) => existsSync(file))
    club = hasServers
      ? spawn('bin/start', ['--club', String(PORT)], { env, stdio: ['ignore', 'pipe', 'inherit'] })
      : spawn('bin/start', [String(PORT)], { env: { ...env, LINGUATOR_HOST: '0.0.0.0' }, stdio: ['ignore', 'pipe', 'inherit'] })
    await new Promise<void>((resolve, reject) => {
      club.stdout?.on('data', (text: Buffer) => /open to the (club|network)/.test(text.toString()) && resolve())
      club.once('exit', (code) => reject(new Error(`bin/start --club ended with ${code}`)))
    })
  })
  test.afterAll(() => {
    club.removeAllListeners('exit')
    club.kill('SIGTERM')
    rmSync(folder, { recursive: true, force: true })
  })

  test('a phone signs in to where it wanted, works, sees who is signed in, and signs out', async ({ page }) => {
    await page.goto('/rigs/dunlin/travel')
    await expect(page).toHaveURL(/\/sign-in\?to=/)
    await expectAccessible(page)
    await expectNoSidewaysScroll(page)
    await page.getByLabel('Passphrase').fill('grey heron at dawn')
    await page.getByRole('button', { name: 'Sign in' }).click()
    await expect(page.getByRole('alert')).toHaveText(/That is not it/)
    await page.getByLabel('Passphrase').fill(PASSPHRASE)
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(/\/rigs\/dunlin\/travel$/)
    await expect(page.getByRole('heading', { name: 'Travel and centre' })).toBeVisible()
    await page.goto('/rigs/dunlin/history')
    await page.getByLabel('A note').fill('over the club’s network')
    await page.getByRole('button', { name: 'Write it down' }).click()
    await expect(page.getByRole('listitem').filter({ hasText: 'over the club’s network' })).toBeVisible()
    await page.goto('/')
    await expect(page.getByRole('heading', { name: 'On the club’s network'.replace('’', "'") })).toBeVisible()
    await expect(page.getByRole('img', { name: /^Opens http:\/\// })).toBeVisible()
    await expect(page.getByText('this one')).toBeVisible()
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Sign out' }).click()
    await expect(page).toHaveURL(/\/sign-in/)
    await page.goto('/')
    await expect(page).toHaveURL(/\/sign-in/)
  })

  test('a page whose session ended elsewhere leads to the sign-in and back', async ({ page, browser, baseURL }) => {
    const signIn = async (at: typeof page) => {
      await at.goto('/')
      await at.getByLabel('Passphrase').fill(PASSPHRASE)
      await at.getByRole('button', { name: 'Sign in' }).click()
      await expect(at.getByRole('heading', { name: 'Bench', exact: true })).toBeVisible()
    }
    await signIn(page)
    const other = await browser.newPage({ baseURL: baseURL ?? '' })
    await signIn(other)
    await other.getByRole('button', { name: 'sign it out' }).first().click()
    await expect(other.getByRole('button', { name: 'sign it out' })).toHaveCount(0)
    await other.close()
    await page.getByRole('link', { name: 'Avocet', exact: true }).click()
    await expect(page).toHaveURL(/\/sign-in\?to=/)
  })
})

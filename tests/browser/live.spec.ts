import { resolve } from 'node:path'
import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, pick, posted, takeFrom, test } from './bench'
import { framesOf, sender } from './sender'

const launched = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${resolve('demo/captures/mudlark-train.wav')}`,
  ],
}

test.use({ launchOptions: launched })

test.describe('the sound input', () => {
  test('a pulse train in line-in is read as it comes, with its grain', async ({ page }) => {
    await page.goto('/signals/live')
    await takeFrom(page, 'sound')
    await page.getByRole('button', { name: 'Listen' }).click()
    await expect(page.getByText('This is Pulse train.')).toBeVisible()
    await expect(page.getByText('grain 22.7 µs')).toBeVisible()
    const first = page.getByRole('listitem').filter({ has: page.getByRole('img', { name: /^Channel 1 at 1[0-9]{3}/ }) })
    await expect(first).toBeVisible()
    // The sticks of the recording go round.
    const before = await first.innerText()
    await expect.poll(async () => await first.innerText()).not.toBe(before)
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Stop' }).click()
    await expect(page.getByRole('button', { name: 'Listen' })).toBeVisible()
  })
})

test('a sender that falls silent is said at once, and it takes up again by itself', async ({ page }) => {
  await page.goto('/')
  const frames = await framesOf(page, [[]])
  const sent = await sender(10)
  sent.send(frames)
  try {
    await page.goto('/signals/live')
    await takeFrom(page, 'port', sent.port)
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    await expect(page.getByText('This is eighth-µs words, 115 k with CRC-16.')).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
    sent.silence()
    const silent = Date.now()
    await expect(page.getByRole('alert')).toContainText('Nothing comes in', { timeout: 5000 })
    // Half a second, and what this machine needs to draw it.
    expect(Date.now() - silent).toBeLessThan(1500)
    sent.send(frames)
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
    // What came in until now is a capture like any other.
    await page.getByRole('button', { name: 'Keep what came in as a capture' }).click()
    await page.getByRole('link', { name: 'Kept: open it' }).click()
    await expect(page).toHaveURL(/\/signals\/\d+$/)
    await expect(page.getByText(/^live-.*\.csv, /)).toBeVisible()
  } finally {
    sent.end()
  }
})

test('sticks are read by holding them, then the levels of a switch, without a key, at the phone size', async ({ page }) => {
  test.setTimeout(120_000)
  await page.setViewportSize({ width: 390, height: 844 })
  const address = await copyOf(page, 'dunlin', 'Whimbrel held', 42)
  await page.goto(`${address}/travel`)
  // Aileron, elevator, throttle, rudder; then arm on channel 5 and mode on 6, as this rig has them.
  const channels = ['Aileron', 'Elevator', 'Throttle', 'Rudder']
  const ends: Record<string, number> = { 'let it go': 1501, 'half way': 1502, low: 1011, down: 1012, high: 1987, 'way up': 1986 }
  const sent = await sender(15)
  const hold = async (row: number[]) => sent.send(await framesOf(page, [row]))
  try {
    await hold([])
    await page.getByText('Read by holding each stick').click()
    // Where nothing listens it is said, and stays where it is seen.
    await page.getByRole('textbox', { name: 'Port' }).fill('1')
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText('Nothing listens on port 1 of this machine')).toBeVisible()
    await page.getByRole('textbox', { name: 'Port' }).fill(String(sent.port))
    await page.getByRole('button', { name: 'Begin' }).click()
    const asked = page.locator('.reader .ask')
    for (let k = 1; k <= 12; k++) {
      await expect(page.getByText(`${k} of 12`)).toBeVisible({ timeout: 20_000 })
      const words = await asked.innerText()
      const stick = channels.findIndex((name) => words.startsWith(name))
      const us = Object.entries(ends).find(([where]) => words.includes(where))?.[1] ?? 0
      if (k === 1) await expectAccessible(page)
      await hold(channels.map((_, at) => (at === stick ? us : 1500)))
    }
    await expect(page.getByText('All are read.')).toBeVisible({ timeout: 20_000 })
    await expect(page.getByLabel('rudder, low (µs)')).toHaveValue('1011')
    await expect(page.getByLabel('rudder, high (µs)')).toHaveValue('1987')
    await expect(page.getByLabel('throttle, low (µs)')).toHaveValue('1012')
    await page.getByRole('button', { name: 'Close' }).click()
    await expectNoSidewaysScroll(page)
    await page.goto(`${address}/switches`)
    await page.getByText('Read the levels of the switches').click()
    await page.getByRole('textbox', { name: 'Port' }).fill(String(sent.port))
    await page.getByRole('button', { name: 'Begin' }).click()
    const LEVELS: Record<string, number> = { '1 of 2': 1013, '2 of 2': 1990, '1 of 3': 1014, '2 of 3': 1503, '3 of 3': 1991 }
    for (let k = 1; k <= 5; k++) {
      await expect(page.getByText(`${k} of 5`)).toBeVisible({ timeout: 20_000 })
      const words = await asked.innerText()
      const level = Object.entries(LEVELS).find(([position]) => words.includes(`position ${position}`))?.[1] ?? 0
      await hold([1500, 1500, 1012, 1500, ...Array.from({ length: 12 }, () => level)])
    }
    await expect(page.getByText('All are read.')).toBeVisible({ timeout: 20_000 })
    await page.getByRole('button', { name: 'Close' }).click()
    await expect(page.getByRole('region', { name: 'Switch for arm' })).toContainText('1013')
    await expect(page.getByRole('region', { name: 'Switch for mode' })).toContainText('1503')
    // They are told, not only shown.
    await page.goto(`${address}/history`)
    await expect(page.getByText(/Channel 4 read: 1011 \/ 1501 \/ 1987 µs/)).toBeVisible()
  } finally {
    sent.end()
  }
})

test('a handset that is a game controller: each axis, and whether it is calibrated', async ({ page }) => {
  await page.addInitScript(() => {
    const pad = { index: 0, connected: true, axes: [0, 0, -1, 0], buttons: [] }
    Object.defineProperty(window, 'pad', { value: pad })
    navigator.getGamepads = () => [pad as unknown as Gamepad]
  })
  await page.goto('/signals/live')
  await takeFrom(page, 'controller')
  await page.getByRole('button', { name: 'Listen' }).click()
  await expect(page.getByText('Move each stick round its corners')).toBeVisible()
  const axis = (k: number) => page.getByRole('listitem').filter({ hasText: `axis ${k}` })
  await expect(axis(1)).toContainText('Not moved yet.')
  await page.evaluate(async () => {
    const pad = (window as unknown as { pad: { axes: number[] } }).pad
    const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))
    for (const [k, ends] of [
      [0, [-1, 1, 0]],
      [1, [-1, 0.93, 0]],
      [2, [1, -1]],
      [3, [-1, 1, 0.03]],
    ] as [number, number[]][])
      for (const end of ends) {
        pad.axes[k] = end
        await wait(150)
      }
  })
  await expect(axis(1)).toContainText('It reaches both ends and comes back to the middle.')
  await expect(axis(2)).toContainText('It goes from -100 to 93 % only')
  await expect(axis(3)).toContainText('It reaches both ends.')
  await expect(axis(4)).toContainText('It comes back to 3 %, not to the middle')
  await expectAccessible(page)
  await page.setViewportSize({ width: 390, height: 844 })
  await expectNoSidewaysScroll(page)
})

test('without gear the stand-in holds each stick, and nothing of it is a reading', async ({ page }) => {
  test.setTimeout(90_000)
  const address = await copyOf(page, 'dunlin', 'Whimbrel stood in', 44)
  await page.goto(`${address}/travel`)
  const before = await page.getByLabel('rudder, low (µs)').inputValue()
  await page.getByText('Read by holding each stick').click()
  await takeFrom(page, 'stand-in')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByText('1 of 12')).toBeVisible()
  await expect(page.getByText('All are read.')).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/this is what would be written, and nothing is\..*rudder \d+/)).toBeVisible()
  await expect(page.getByLabel('rudder, low (µs)')).toHaveValue(before)
})

test('an order is watched as it comes, and kept as proof once somebody says that is all', async ({ page }) => {
  test.setTimeout(90_000)
  const address = await copyOf(page, 'dunlin', 'Whimbrel order', 45)
  const danced = await posted<{ log: { us: number[] }[] }>(page, `${address}/dance/stand-in`, { seed: 3, short: true })
  const frames = await framesOf(
    page,
    danced.log.map(({ us }) => us),
  )
  const sent = await sender(20)
  sent.send(frames.slice(0, 1))
  try {
    await page.goto(`${address}/order`)
    await page.getByLabel('the bench watches now').check()
    await takeFrom(page, 'port', sent.port)
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText('Listening: hands off')).toBeVisible()
    await page.waitForTimeout(1500)
    sent.send(frames)
    await expect(page.locator('.result .band.calm')).toBeVisible({ timeout: 40_000 })
    await expect(page.getByRole('button', { name: 'Keep as proof' })).toHaveCount(0)
    await page.getByRole('button', { name: 'That is all' }).click()
    await page.getByLabel(/by$/i).fill('Wren')
    await page.getByRole('button', { name: 'Keep as proof' }).click()
    await expect(page.getByText(/^Proven on/)).toBeVisible()
    // The stand-in shows how it goes, and proves nothing.
    await page.getByLabel('the bench watches now').check()
    await takeFrom(page, 'stand-in')
    await page.getByRole('button', { name: 'Begin' }).click()
    await expect(page.getByText("nobody's hands: this is what would be written")).toBeVisible({ timeout: 40_000 })
    await expect(page.getByRole('button', { name: 'Keep as proof' })).toHaveCount(0)
    // Nor does it become a log of one's own by looking there.
    await page.getByLabel('I have a channel log').check()
    await page.waitForTimeout(1200)
    await expect(page.getByRole('textbox', { name: /^Rows of a time/ })).toHaveValue('')
    await expect(page.getByRole('button', { name: 'Keep as proof' })).toHaveCount(0)
  } finally {
    sent.end()
  }
})

test('a capture is played back as if it came now', async ({ page }) => {
  await page.goto('/signals')
  await page.getByText('A sample', { exact: true }).click()
  await page.getByRole('button', { name: 'avocet-eighths.bin' }).click()
  await expect(page).toHaveURL(/\/signals\/\d+/)
  await page.goto('/signals/live')
  await takeFrom(page, 'log')
  await pick(page.getByRole('combobox', { name: /^Capture/ }), 'avocet-eighths.bin')
  await page.getByRole('button', { name: 'Listen' }).click()
  await expect(page.getByText('A capture of the desk, as if it came now.')).toBeVisible()
  await expect(page.getByRole('img', { name: /^Channel 12 at/ })).toBeVisible()
})

test('channels that come in on a port move the sticks of the dry bench', async ({ page }) => {
  await page.goto('/dry-bench?rig=dunlin')
  const sent = await sender(15)
  try {
    sent.send(await framesOf(page, [[1500, 1500, 988, 1500]]))
    await page.getByRole('button', { name: 'or channels that come in' }).click()
    await takeFrom(page, 'port', sent.port)
    await page.getByRole('button', { name: 'Follow', exact: true }).click()
    await expect(page.getByRole('combobox', { name: /^aileron/ })).toBeVisible()
    const aileron = page.getByRole('row', { name: /^Aileron/i })
    const before = await aileron.innerText()
    sent.send(await framesOf(page, [[1900, 1500, 988, 1500]]))
    await expect.poll(async () => await aileron.innerText()).not.toBe(before)
    await pick(page.getByRole('combobox', { name: /^aileron/ }), 'channel 2')
    await expect.poll(async () => await aileron.innerText()).toBe(before)
    await page.getByRole('button', { name: 'let go of a port of this machine' }).click()
    await expect(page.getByRole('button', { name: 'follow a game controller' })).toBeVisible()
  } finally {
    sent.end()
  }
})

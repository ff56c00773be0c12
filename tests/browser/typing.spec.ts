import type { Page } from '@playwright/test'
import { copyOf, expect, test } from './bench'

/** Every answer of the bench comes late; keys come at a practised hand's pace. */
const LATE_MS = 400
const KEY = { delay: 60 }

async function answersLate(page: Page): Promise<void> {
  await page.route('**/api/v1/**', async (route) => {
    if (route.request().method() === 'GET') return route.continue()
    await new Promise((done) => setTimeout(done, LATE_MS))
    await route.continue()
  })
}

interface Kept {
  document: { craft: { functions?: { function: string; channel: number }[] } }
  history_total: number
  history: { entry: { text?: string } }[]
}

/** What the bench has. */
const benchHas = (page: Page, address: string): Promise<Kept> => page.evaluate(async (slug) => (await fetch(`/api/v1${slug}`)).json(), address)

/** Until the history has that many entries more than before. */
async function told(page: Page, address: string, before: Kept, entries: number): Promise<Kept> {
  await expect.poll(async () => (await benchHas(page, address)).history_total - before.history_total).toBe(entries)
  return benchHas(page, address)
}

test('functions typed one after the other all arrive, once each', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Sanderling')
  await answersLate(page)
  await page.goto(`${address}/path`)
  await page.getByRole('button', { name: 'Other paths' }).click()
  const before = await benchHas(page, address)
  const wanted = [
    ['flap', '12'],
    ['gear', '8'],
    ['camera', '9'],
    ['buzzer', '10'],
    // Not one of the usual ones.
    ['strobe', '13'],
  ]
  for (const [name, channel] of wanted) {
    await page.getByRole('combobox', { name: 'Function', exact: true }).pressSequentially(name ?? '', KEY)
    await page.keyboard.press('Tab')
    await page.keyboard.type(channel ?? '', KEY)
    await page.keyboard.press('Enter')
  }
  for (const [name] of wanted) await expect(page.getByRole('button', { name: `Remove ${name}` })).toBeVisible()
  // The emptied field is left: nothing lies over what comes next.
  await expect(page.getByRole('option').filter({ visible: true })).toHaveCount(0, { timeout: 50 })
  // Two at once are both gone: neither brings the other back.
  await page.getByRole('button', { name: 'Remove gear' }).click()
  await page.getByRole('button', { name: 'Remove camera' }).click()
  await expect(page.getByRole('button', { name: 'Remove camera' })).toHaveCount(0)
  const { document } = await told(page, address, before, wanted.length + 2)
  expect(document.craft.functions?.filter((entry) => entry.channel > 6)).toEqual([
    { function: 'gain', channel: 7 },
    { function: 'buzzer', channel: 10 },
    { function: 'flap', channel: 12 },
    { function: 'strobe', channel: 13 },
  ])
})

test('wire colours typed down a row are all kept, and none is overwritten while it is typed', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Curlew')
  await answersLate(page)
  await page.goto(`${address}/wiring`)
  const fields = page.getByLabel(/: colour of/)
  await fields.first().focus()
  const before = await benchHas(page, address)
  const colours = ['yellow', 'orange', 'brown']
  for (const colour of colours) {
    await page.keyboard.press('Control+A')
    await page.keyboard.type(colour, KEY)
    await page.keyboard.press('Tab')
  }
  for (const [k, colour] of colours.entries()) await expect(fields.nth(k)).toHaveValue(colour, { timeout: 50 })
  await told(page, address, before, colours.length)
  await page.reload()
  for (const [k, colour] of colours.entries()) await expect(fields.nth(k)).toHaveValue(colour)
})

test('what is meant is done once, though the page is left before the answer: told or not told, and what stood behind it too', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Curlew left')
  const tick = page.locator('li').filter({ hasText: 'The right memory is active' }).getByRole('checkbox')
  const conflict = page.getByText(/waits? for it. Nothing was overwritten/)
  /** What becomes of what is told: it is answered, it does not get there at all, or it is done and nobody hears of it. */
  let way: 'answered' | 'lost' | 'unheard' = 'answered'
  let unheard = 0
  await page.route('**/intents', async (route) => {
    if (way === 'answered') return route.continue()
    if (way === 'lost') return
    await route.fetch()
    unheard += 1
  })
  const leave = () => {
    way = 'answered'
    return page.reload()
  }
  await page.goto(`${address}/handset`)
  const before = await benchHas(page, address)
  way = 'lost'
  await tick.check()
  await leave()
  await expect(tick).toBeChecked()
  await expect(page.getByText('What waited is sent.')).toBeVisible()
  await told(page, address, before, 1)
  way = 'unheard'
  await tick.uncheck()
  await expect.poll(() => unheard).toBe(1)
  await leave()
  await expect(tick).not.toBeChecked()
  await expect(page.getByText('What waited is sent.')).toBeVisible()
  await told(page, address, before, 2)

  // Three colours, the second and third behind the first.
  await page.goto(`${address}/wiring`)
  way = 'unheard'
  const fields = page.getByLabel(/: colour of/)
  await fields.first().focus()
  const colours = ['yellow', 'orange', 'brown']
  for (const colour of colours) {
    await page.keyboard.press('Control+A')
    await page.keyboard.type(colour, KEY)
    await page.keyboard.press('Tab')
  }
  await leave()
  await told(page, address, before, 2 + colours.length)
  for (const [k, colour] of colours.entries()) await expect(fields.nth(k)).toHaveValue(colour)
  await expect(page.getByText('Typed earlier, not kept yet.')).toHaveCount(0)
  await expect(conflict).toHaveCount(0)
})

test('the edges of windows typed in turn are kept, one entry of the history each', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Turnstone')
  await answersLate(page)
  await page.goto(`${address}/switches`)
  const before = await benchHas(page, address)
  const [from, to] = [page.getByLabel('arm, from'), page.getByLabel('arm, to')]
  await from.focus()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('1725', KEY)
  await page.keyboard.press('Tab')
  await page.keyboard.press('Control+A')
  await page.keyboard.type('2095', KEY)
  await page.keyboard.press('Tab')
  // While both are still on their way nothing jumps back.
  await expect(from).toHaveValue('1725', { timeout: 50 })
  await expect(to).toHaveValue('2095', { timeout: 50 })
  const { history } = await told(page, address, before, 2)
  expect(history.slice(0, 2).map((item) => item.entry.text)).toEqual(['Window arm: to 2095 µs', 'Window arm: from 1725 µs'])
  await page.reload()
  await expect(from).toHaveValue('1725')
  await expect(to).toHaveValue('2095')
})

test('rates of one stick and another do not overwrite each other', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Whinchat')
  await answersLate(page)
  await page.goto(`${address}/switches`)
  const typed: [string, string][] = [
    ['aileron, Rate, %', '90'],
    ['aileron, Low rate, %', '60'],
    ['aileron, Expo, %', '25'],
    ['elevator, Rate, %', '85'],
    ['elevator, Low rate, %', '55'],
  ]
  const before = await benchHas(page, address)
  await page.getByLabel('aileron, Rate, %').focus()
  for (const [label, value] of typed) {
    await expect(page.getByLabel(label)).toBeFocused()
    await page.keyboard.press('Control+A')
    await page.keyboard.type(value, KEY)
    await page.keyboard.press('Tab')
    if (label.endsWith('Expo, %')) await page.getByLabel('elevator, Rate, %').focus()
  }
  await told(page, address, before, typed.length)
  for (const [label, value] of typed) await expect(page.getByLabel(label)).toHaveValue(value)
  await page.reload()
  for (const [label, value] of typed) await expect(page.getByLabel(label)).toHaveValue(value)
})

test('what cannot be meant stays in the field and is marked; a stopped bench loses nothing that was typed', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Stonechat')
  await page.goto(`${address}/switches`)
  const rate = page.getByLabel('aileron, Rate, %')
  await rate.fill('lots')
  await rate.press('Tab')
  await expect(rate).toHaveValue('lots')
  await expect(rate).toHaveAttribute('aria-invalid', 'true')
  await expect(page.getByText('Found “lots”; expected a number like 12.5. It stays 80.')).toBeVisible()
  await rate.press('Escape')
  await expect(rate).toHaveValue('80')
  await expect(rate).toHaveAttribute('aria-invalid', 'false')

  await page.route('**/intents', (route) => route.abort())
  await rate.fill('70')
  await rate.press('Tab')
  await expect(page.getByText('One change waits and is sent when it answers.')).toBeVisible()
  await expect(rate).toHaveValue('70')
  await page.unroute('**/intents')
  await expect(page.getByText('throw ±358.4 µs')).toBeVisible()
  await expect(rate).toHaveValue('70')
})

test('fields of a card typed one after the other are all saved, though each answer comes after the next was typed', async ({ page }) => {
  await page.goto('/shelf/ruddle-f6')
  const original = await page.evaluate(async () => (await (await fetch('/api/v1/shelf/ruddle-f6')).json()).card)
  await page.evaluate(
    async ([card]) => {
      const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '')
      await fetch('/api/v1/shelf', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
        body: JSON.stringify({ card: { ...card, id: 'typed-on', name: 'Typed on', alias: [] } }),
      })
    },
    [original] as const,
  )
  await page.goto('/shelf/typed-on')
  await page.route('**/api/v1/shelf/typed-on', async (route) => {
    if (route.request().method() === 'PUT') await new Promise((done) => setTimeout(done, 900))
    await route.continue()
  })
  const name = page.getByLabel('What is printed on it?')
  const aliases = page.getByLabel('What else do manuals call it?')
  await name.focus()
  await page.keyboard.press('End')
  await page.keyboard.type(' and on', KEY)
  await page.keyboard.press('Tab')
  // Slow enough that the first save is on its way and answered while this is typed.
  await page.keyboard.type('the one I typed', { delay: 160 })
  await expect(aliases).toHaveValue('the one I typed', { timeout: 50 })
  await page.keyboard.press('Tab')
  // Two choices one after the other, the second before the first is answered.
  await page.getByLabel('Notices by itself when frames stop?').focus()
  await page.keyboard.type('no', KEY)
  await page.keyboard.press('Tab')
  await page.keyboard.type('no', KEY)
  await page.keyboard.press('Tab')
  await expect
    .poll(() => page.evaluate(async () => (await (await fetch('/api/v1/shelf/typed-on')).json()).card), { timeout: 12000 })
    .toMatchObject({ name: 'Typed on and on', alias: ['the one I typed'], watches_failsafe: false, position_hold: false })
  await expect(page.getByRole('alert')).toHaveCount(0)
  await page.reload()
  await expect(name).toHaveValue('Typed on and on')
  await expect(aliases).toHaveValue('the one I typed')
})

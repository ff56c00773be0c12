import type { Page } from '@playwright/test'
import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, pick, test } from './bench'

test('an open list is a list to everybody', async ({ page }) => {
  await page.goto('/tools/encode')
  const format = page.getByRole('combobox', { name: 'Format' })
  await expect(format).toHaveAccessibleDescription('16 × 11-bit, 100 k inverted')
  await format.press('ArrowDown')
  const options = page.getByRole('option')
  await expect(options.first()).toHaveAttribute('aria-selected', 'true')
  await expectAccessible(page)
  await format.press('ArrowDown')
  const active = page.locator('.ant-select-item-option-active')
  await expect(format).toHaveAttribute('aria-activedescendant', (await active.getAttribute('id')) ?? 'none')
  await expect(active).toHaveRole('option')
  await format.press('Escape')
  await expect(options.filter({ visible: true })).toHaveCount(0)

  // What several are picked of, and a day.
  await page.goto('/rigs/dunlin/path')
  await page.getByRole('button', { name: 'Other paths' }).click()
  await page.getByRole('combobox', { name: 'Must be in it' }).press('ArrowDown')
  await expectAccessible(page)
  await page.goto('/logbook')
  await page.getByLabel('From').click()
  await expect(page.getByRole('button', { name: 'a month back' })).toBeVisible()
  await expectAccessible(page)
})

test('a list is picked from by typing a part of a name and going on', async ({ page }) => {
  await page.goto('/tools/encode')
  const format = page.getByRole('combobox', { name: 'Format' })
  await format.focus()
  await page.keyboard.type('crc-8')
  await page.keyboard.press('Tab')
  await expect(format).toHaveAccessibleDescription('16 × 11-bit, 420 k with CRC-8')
  await format.press('ArrowDown')
  await page.keyboard.type('nothing is called so')
  await expect(page.getByText('Nothing is called so.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('Nothing is called so.')).toBeHidden()
  await expect(format).toHaveAccessibleDescription('16 × 11-bit, 420 k with CRC-8')
  await pick(format, '7 tagged words, 115 k')
  await expect(format).toHaveAccessibleDescription('7 tagged words, 115 k')
})

test('a day is typed as the browser writes days, or picked, and stands in the address', async ({ page }) => {
  await page.goto('/logbook')
  const from = page.getByLabel('From')
  await from.click()
  await page.keyboard.type('03/11/2026')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/from=2026-11-03/)
  await page.reload()
  await expect(from).toHaveValue('03/11/2026')
  await from.click()
  await page.keyboard.press('Control+a')
  await page.keyboard.type('31/31/2026')
  await page.keyboard.press('Tab')
  await expect(page.getByRole('alert')).toHaveText('Found “31/31/2026”; expected a day like dd/mm/yyyy.')
  await expect(page).toHaveURL(/from=2026-11-03/)
})

/** What opens over a page, and what a page says that cannot do what was asked: each in both themes. */
const OPEN: [what: string, address: string, opened: (page: Page) => Promise<void>][] = [
  ['the keys', '/', (page) => page.keyboard.press('?')],
  ['the search', '/', (page) => page.keyboard.press('/')],
  [
    'a rig to bring in, and what it is not',
    '/',
    async (page) => {
      await page.getByRole('button', { name: 'Import a rig' }).click()
      await page.getByRole('textbox', { name: /^Paste/ }).fill('no rig')
      await page.getByRole('button', { name: 'Import', exact: true }).click()
      await page.getByRole('alert').first().waitFor()
    },
  ],
  [
    'a new rig without a name',
    '/?do=new',
    async (page) => {
      await page.getByRole('button', { name: 'Start its rig' }).click()
      await page.getByText('Give the rig the name of its craft.').waitFor()
    },
  ],
  ['a joint of the chain', '/rigs/avocet/path', (page) => page.getByRole('button', { name: /^Ostrel 9 to/ }).click()],
  ['a word', '/rigs/avocet/travel', (page) => page.getByRole('button', { name: 'sub-trim', exact: true }).first().focus()],
  [
    'a reading that is none',
    '/rigs/avocet/travel',
    async (page) => {
      const field = page.getByRole('textbox', { name: /low/i }).first()
      await field.fill('abc')
      await field.press('Tab')
    },
  ],
  ['a tool that cannot', '/tools/pulse-train?frame_us=abc', (page) => page.locator('[aria-invalid="true"]').first().waitFor()],
  ['a rig to be taken off', '/rigs/avocet/history', (page) => page.getByRole('button', { name: /^Take this rig off/ }).click()],
  ['a capture that nobody has', '/signals/99999', (page) => page.getByRole('alert').first().waitFor()],
  ['a rig that nobody has', '/rigs/nobody', (page) => page.getByRole('heading', { name: 'This rig is not here' }).waitFor()],
]

test('what opens, and what cannot be done, has no finding', async ({ page }) => {
  test.setTimeout(180_000)
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
  page.setDefaultTimeout(10_000)
  for (const [what, address, opened] of OPEN) {
    await page.goto(address)
    await page.getByRole('heading').first().waitFor()
    await opened(page)
    await test.step(what, () => expectAccessible(page))
  }
})

test('what is changed is seen to be saved, and what was refused is not', async ({ page }) => {
  await page.goto(`${await copyOf(page, 'dunlin', 'Turnstone saved', 63)}/handset`)
  const memory = page.getByRole('textbox', { name: 'Model memory' })
  await expect(memory).toHaveValue('63')
  await page.route('**/intents', (route) => route.fulfill({ status: 422, json: { error: { code: 'x', message: 'It is refused.', path: '' } } }))
  await memory.fill('64')
  await memory.press('Tab')
  await expect(page.getByText('It is refused.')).toBeVisible()
  await expect(page.getByText(/✓ saved/)).toHaveCount(0)
  await page.unroute('**/intents')
  await memory.fill('65')
  await memory.press('Tab')
  await expect(page.getByText(/✓ saved \d/)).toBeVisible()
  await page.route('**/intents', (route) => route.fulfill({ status: 422, json: { error: { code: 'x', message: 'It is refused again.', path: '' } } }))
  await memory.fill('66')
  await memory.press('Tab')
  await expect(page.getByText('It is refused again.')).toBeVisible()
  await expect(page.getByText(/✓ saved/)).toHaveCount(0)
})

test('what is usual is offered while one types, and nothing has to be picked', async ({ page }) => {
  await page.goto(`${await copyOf(page, 'dunlin', 'Turnstone offers', 64)}/switches`)
  const name = page.getByRole('combobox', { name: 'Another function' })
  const channel = page.getByRole('textbox', { name: 'Its channel' })
  await name.focus()
  await page.keyboard.type('a')
  const offers = page.getByRole('option').filter({ visible: true })
  await expect(offers.filter({ hasText: 'camera' })).toBeVisible()
  await page.keyboard.type('r')
  await expect(offers).toHaveText(['arm', 'gear'])
  await page.keyboard.press('ArrowDown')
  await expect(name).toHaveAttribute('aria-activedescendant', (await offers.first().getAttribute('id')) ?? 'none')
  await expectAccessible(page)
  // Enter picks what the keys are on; the form goes with the next one.
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(name).toHaveValue('gear')
  await expect(offers).toHaveCount(0)
  await name.press('Escape')
  await expect(name).toHaveValue('gear')
  await channel.fill('9')
  await channel.press('Enter')
  await expect(page.getByRole('heading', { name: /^gear/ })).toBeVisible()
  await expect(name).toHaveValue('')

  // A name of one's own goes with the first Enter, though something like it is offered.
  await name.focus()
  await page.keyboard.type('la')
  await expect(offers).toHaveText(['flap'])
  await page.keyboard.type('mp')
  await expect(offers).toHaveCount(0)
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { name: /^lamp/ })).toBeVisible()
})

test('a card offers what manuals call its family, and keeps what is picked or typed', async ({ page }) => {
  await page.goto('/shelf/weft-r6')
  const family = page.getByRole('combobox', { name: 'Family' })
  await expect(family).not.toHaveValue('')
  const before = await family.inputValue()
  await family.fill(before.slice(0, 2))
  await page
    .getByRole('option', { name: new RegExp(`^${before}`) })
    .filter({ visible: true })
    .click()
  await expect(family).toHaveValue(before)
  await family.fill('Reedling')
  await family.press('Escape')
  await expect(family).toHaveValue(before)
})

test('a word explained at the edge of a phone makes the page no wider', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/rigs/dunlin/handset')
  await page.getByRole('button', { name: 'stick mode', exact: true }).focus()
  await expect(page.getByRole('tooltip')).toBeVisible()
  await expectNoSidewaysScroll(page)
})

test('a family that is being typed keeps the hand while what manuals call it is still on its way', async ({ page }) => {
  await page.route('**/api/v1/aliases', async (route) => {
    await new Promise((late) => setTimeout(late, 1500))
    await route.continue()
  })
  await page.goto('/shelf/weft-r6')
  const family = page.getByLabel('Family')
  await family.fill('')
  await page.keyboard.type('we')
  await page.waitForResponse('**/api/v1/aliases')
  await page.keyboard.type('ft')
  await expect(family).toHaveValue('weft')
  await expect(page.getByRole('option', { name: /^weft/ }).filter({ visible: true })).toHaveCount(1)
})

test('a function’s name that is none is said, and stays to be mended', async ({ page }) => {
  await page.goto(`${await copyOf(page, 'dunlin', 'Turnstone names', 66)}/switches`)
  const name = page.getByRole('combobox', { name: 'Another function' })
  for (const odd of ['9 lives', 'a'.repeat(33), '<b>']) {
    await name.fill(odd)
    await name.press('Enter')
    await expect(page.getByRole('alert')).toHaveText('A function has a name in small letters, 32 at most, such as flap.')
    await expect(name).toHaveValue(odd)
  }
})

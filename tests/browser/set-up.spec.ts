import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, pick, test } from './bench'

test('four channels from reading to confirmed, by keyboard alone, though answers come late and out of turn', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Godwit')
  // Slower than the debounce: half a number is judged too, and its answer is overtaken.
  let asked = 0
  await page.route('**/travel', async (route) => {
    await new Promise((done) => setTimeout(done, [350, 20, 180, 90, 260][asked++ % 5]))
    await route.continue()
  })
  await page.goto(`${address}/travel`)
  const first = page.getByLabel('aileron, low (µs)')
  await expect(first).toBeVisible()
  await page.keyboard.press('Tab')
  for (let k = 0; k < 60 && !(await first.evaluate((element) => element === document.activeElement)); k++) await page.keyboard.press('Tab')

  // What is read at first; Enter goes on, +3 is three more than what stands there.
  for (const reading of ['990', '1503', '2013', '988', '1500', '2012', '1085', '1545', '2012', '988', '+3', '2012']) {
    await page.keyboard.type(reading, { delay: 50 })
    await page.keyboard.press('Enter')
  }
  const entered = page.getByRole('button', { name: 'Entered as shown' })
  await expect(entered).toBeFocused()
  await expect(page.getByText('4 channels to set.')).toBeVisible()
  await expect(page.getByRole('row', { name: /rudder/i })).toContainText('−21')
  await page.keyboard.press('Enter')
  await expect(page.getByText('read again').first()).toBeAttached()

  for (let k = 0; k < 90 && !(await first.evaluate((element) => element === document.activeElement)); k++) await page.keyboard.press('Shift+Tab')
  for (const reading of ['1000', '1500', '2000', '1000', '1500', '2000', '1000', '1545', '2000', '1000', '1500', '2000']) {
    await page.keyboard.type(reading, { delay: 50 })
    await page.keyboard.press('Enter')
  }
  await expect(page.getByRole('table', { name: 'Travel' }).getByText('confirmed', { exact: true })).toHaveCount(8)
  await expect(page.getByRole('link', { name: /Travel/ })).toContainText('done')
  await expect(page.getByText('rudder', { exact: true }).first()).toBeVisible()
})

test('a wrong reading says so, keeps what was typed over a reload, and a column can be pasted', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Plover')
  await page.goto(`${address}/travel`)
  await page.getByLabel('aileron, low (µs)').fill('1600')
  await expect(page.getByRole('alert')).toContainText('expected the middle above the low end')
  await page.reload()
  await expect(page.getByLabel('aileron, low (µs)')).toHaveValue('1600')
  await page.getByLabel('aileron, low (µs)').evaluate((field: HTMLInputElement) => {
    field.focus()
    const clip = new DataTransfer()
    clip.setData('text', '1000\t1500\t2000\n1000\t1500\t2000\n1000\t1500\t2000\n1000\t1500\t2000')
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: clip, bubbles: true, cancelable: true }))
  })
  await expect(page.getByRole('table', { name: 'Travel' }).getByText('confirmed', { exact: true })).toHaveCount(8)
})

test('values read in µs, percent or counts at a switch', async ({ page }) => {
  await page.goto('/rigs/dunlin/travel')
  await expect(page.getByLabel('aileron, low (µs)')).toHaveValue('988')
  await page.getByText('%', { exact: true }).first().click()
  await expect(page.getByLabel('aileron, low (%)')).toHaveValue('−100')
  await page.getByText('raw', { exact: true }).click()
  await expect(page.getByLabel('aileron, low (raw)')).toHaveValue('172.8')
  await page.goto('/rigs/dunlin/switches')
  await expect(page.getByLabel('Switch for arm').first()).toContainText('1811.2 raw')
  await page.getByText('µs', { exact: true }).first().click()
})

test('a bind that fails twice and then works', async ({ page }) => {
  const address = await copyOf(page, 'sanderling', 'Stint')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${address}/bind`)
  await page.getByLabel('Distance, m').fill('0.5')
  await page.getByRole('textbox', { name: 'Seen', exact: true }).fill('light went out')
  await page.getByRole('button', { name: 'It did not' }).click()
  await expect(page.getByText('0.5 m is too close: repeat at 2 m before changing anything else.')).toBeVisible()
  await page.getByLabel('Distance, m').fill('2')
  await page.getByRole('button', { name: 'It did not' }).click()
  await expect(page.locator('.next')).toContainText('tarn-a')
  await expectNoSidewaysScroll(page)
  await page.getByRole('button', { name: 'It bound' }).click()
  await page.getByLabel('Bind: seen by').fill('Wren')
  await page.getByRole('button', { name: 'Bind: It does', exact: true }).click()
  await expect(page.getByText(/Proven on .*the light follows the handset/)).toBeVisible()
  await expect(page.getByRole('listitem').filter({ hasText: 'light went out' })).toContainText('did not')
  await expectAccessible(page)
})

test('a window of seconds counts down', async ({ page }) => {
  await page.goto('/rigs/sanderling/bind')
  await page.getByRole('button', { name: 'Count 10 s down' }).click()
  await expect(page.getByRole('timer')).toContainText(/9\.\d s/)
})

test('a switch that misses its window is seen and mended', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Knot')
  await page.goto(`${address}/switches`)
  const card = page.getByRole('region', { name: 'Switch for arm' })
  await card.getByLabel('arm, to').fill('1990')
  await card.getByLabel('arm, to').press('Tab')
  await expect(card).toContainText('Position 2 sends 2012 µs, outside "arm" by 22 µs.')
  await expect(page.getByRole('link', { name: /Switches/ })).toContainText('needs you')
  await card.getByRole('button', { name: 'Widen arm' }).click()
  await expect(card).not.toContainText('outside "arm"')
  await expect(card.getByLabel('arm, to')).toHaveValue('2037')
  await expect(page.getByRole('link', { name: /Switches/ })).toContainText('done')

  await pick(card.getByLabel('Switch for arm'), /^L2:/)
  await expect(card).toContainText('Arm is on a switch with 3 positions.')
  await page.getByRole('button', { name: 'Remove mode' }).click()
  await expect(page.getByRole('heading', { name: 'Still without a switch' })).toBeVisible()
})

test('a quick tool answers while typing, keeps its numbers in the address, and goes into a rig', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Dotterel')
  await page.goto('/')
  await page.getByRole('link', { name: 'Thresholds' }).click()
  await page.getByLabel('Lowest').fill('1118')
  await page.getByLabel('Low threshold set').fill('1100')
  await expect(page.getByText('It never arms.', { exact: true })).toBeVisible()
  await expect(page).toHaveURL(/lo=1118/)
  await page.reload()
  await expect(page.getByText('It never arms.', { exact: true })).toBeVisible()
  await page.getByLabel('Lowest').fill('NaN')
  await expect(page.getByRole('alert')).toContainText('expected a number')
  await page.getByLabel('Lowest').fill('1000')
  await page.getByRole('button', { name: 'Use in a rig' }).click()
  await page.getByRole('button', { name: 'Dotterel' }).click()
  await expect(page).toHaveURL(new RegExp(`${address}/travel$`))
  await expect(page.getByLabel('Low threshold, µs')).toHaveValue('1010')
})

test('channel values become bytes, and a word among them is named', async ({ page }) => {
  await page.goto('/tools/encode')
  await pick(page.getByLabel('Format'), '16 × 11-bit, 420 k with CRC-8')
  await page.getByLabel('Channels from 1').fill('1000 2000')
  await expect(page.getByLabel('Frame 1, hex')).toContainText('c8 18 16 c0 00 38')
  await page.getByLabel('Channels from 1').fill('1000 up')
  await expect(page.getByRole('alert')).toContainText('"up"')
})

test('every quick tool answers from the start, and can be read by everybody', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto('/')
  const links = page.getByRole('region', { name: 'Quick tools' }).getByRole('link')
  await links.first().waitFor()
  const tools = await links.all()
  const addresses = await Promise.all(tools.map((tool) => tool.getAttribute('href')))
  expect(addresses.length).toBeGreaterThan(8)
  for (const to of addresses) {
    await page.goto(to ?? '')
    await expect(page.getByRole('region', { name: 'Answer' })).not.toBeEmpty()
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expectAccessible(page)
  }
})

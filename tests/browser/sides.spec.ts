import { copyOf, expect, kept, test } from './bench'

test('what stands beside the steps is operated: a coupling, the handset, rates, thresholds, timing', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Knot')
  await page.goto(`${address}/path`)
  await page.getByRole('button', { name: /^Ostrel 9 to Weft R16i/ }).click()
  const coupling = page.getByRole('region', { name: 'Coupling Ostrel 9 to Weft R16i' })
  await expect(coupling.getByRole('heading', { name: /joined/ })).toBeVisible()
  await coupling.getByRole('checkbox').uncheck()
  await expect(page.getByRole('button', { name: /Ostrel 9 to Weft R16i.*needs a setting/ })).toBeVisible()
  await coupling.getByRole('checkbox').check()
  await expect(page.getByRole('button', { name: /Ostrel 9 to Weft R16i.*joined/ })).toBeVisible()

  await page.goto(`${address}/handset`)
  const open = page.locator('li', { hasText: 'The right memory is active' }).getByRole('checkbox')
  await open.check()
  await page.reload()
  await expect(open).toBeChecked()

  await page.goto(`${address}/switches`)
  const rate = page.getByRole('textbox', { name: 'aileron, Rate, %' })
  await rate.fill('70')
  await rate.press('Tab')
  await expect(page.getByText('throw ±358.4 µs')).toBeVisible()

  await page.goto(`${address}/travel`)
  // The ends of the throttle are about to change: no threshold is suggested from them.
  await expect(page.getByText('its ends are about to change')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Set as suggested' })).toHaveCount(0)
  const low = page.getByRole('textbox', { name: 'Low threshold, µs' })
  await low.fill('9999999')
  await low.press('Tab')
  await expect(page.getByText('Found 9999999; expected 1 to 5000. It stays 1060.')).toBeVisible()
  await low.fill('1095')
  await low.press('Tab')
  await expect(page.getByText('The lowest throttle, 1085 µs, is not below the low threshold')).toHaveCount(0)

  await page.goto(`${address}/timing`)
  await expect(page.getByRole('heading', { name: 'Delay from stick to craft' })).toBeVisible()
})

test('names of one’s own are found by the search, and a capture is taken along', async ({ page }) => {
  await page.goto('/shelf?names=all')
  const field = page.getByRole('textbox', { name: /s100i$/ })
  await field.fill('tide wire')
  await kept(page, () => field.press('Tab'))
  await page.getByRole('combobox', { name: 'Find anything' }).fill('tide')
  await expect(page.getByRole('listbox', { name: 'Found' }).getByRole('option').first()).toContainText('100 k inverted')

  await page.goto('/signals')
  await page
    .getByRole('link', { name: /mudlark-train/ })
    .first()
    .click()
  const waiting = page.waitForEvent('download')
  await page.getByRole('region', { name: 'Export' }).getByRole('button', { name: 'CSV', exact: true }).click()
  expect((await waiting).suggestedFilename()).toMatch(/^capture-\d+\.csv$/)
})

test('dark stays dark after a reload', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Dark', exact: true }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.reload()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  await page.getByRole('button', { name: 'Light', exact: true }).click()
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light')
})

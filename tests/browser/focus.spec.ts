import { copyOf, expect, test } from './bench'

const focused = 'document.activeElement?.tagName.toLowerCase()'

test('the focus goes with the step, comes back after the keys and the search, and stays where a button has gone', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Ruff focus', 81)
  await page.goto(`${address}/order`)
  await expect(page.getByRole('heading', { name: 'Order', exact: true })).toBeVisible()
  await page.keyboard.press('5')
  await expect(page.getByRole('heading', { name: 'Travel and centre' })).toBeFocused()
  await page.keyboard.press('7')
  await expect(page.getByRole('heading', { name: 'If the link is lost', level: 2 })).toBeFocused()
  await page.keyboard.press('h')
  await expect(page.getByRole('heading', { name: 'History', exact: true })).toBeFocused()

  // The keys and the search give it back.
  const print = page.getByRole('link', { name: 'Print' })
  await print.focus()
  await page.keyboard.press('?')
  await expect(page.getByRole('region', { name: 'Keys' })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(print).toBeFocused()
  await page.keyboard.press('/')
  await expect(page.getByRole('combobox', { name: 'Find anything' })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(print).toBeFocused()

  // "Set it" is gone once it is pressed; the hand goes on where it was.
  await page.goto(`${address}/failsafe`)
  await page.getByRole('button', { name: 'Set it', exact: true }).press('Enter')
  await expect(page.getByRole('button', { name: 'It is set so' })).toBeVisible()
  await expect.poll(() => page.evaluate(focused)).not.toBe('body')
  await page.keyboard.press('Tab')
  expect(await page.evaluate(`document.activeElement?.closest('[aria-label="Hop 1"]') !== null`)).toBe(true)
  await page.goto(`${address}/travel`)
  await page.getByRole('button', { name: 'Entered as shown' }).press('Enter')
  await expect(page.getByRole('button', { name: 'Entered as shown' })).toBeHidden()
  await expect.poll(() => page.evaluate(focused)).not.toBe('body')
})

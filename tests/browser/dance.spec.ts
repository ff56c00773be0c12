import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, test } from './bench'

test('the stand-in dances, everything is found, and nothing of it is written', async ({ page }) => {
  test.setTimeout(120_000)
  await page.setViewportSize({ width: 390, height: 844 })
  const address = await copyOf(page, 'dunlin', 'Turnstone dancer')
  await page.goto(`${address}/dance`)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Let the stand-in dance' }).click()
  await expect(page.getByText('Rudder: right, hold; left, hold; let go.')).toBeVisible()
  await expectNoSidewaysScroll(page)
  await expect(page.getByRole('heading', { name: 'What was found' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/^Travel of throttle/i)).toBeVisible()
  await expect(page.getByText('A rate or expo is set on it').first()).toBeVisible()
  await expect(page.getByText("nobody's hands: this is what would be written, and nothing is.")).toBeVisible()
  await expect(page.getByRole('button', { name: /^Write/ })).toHaveCount(0)
  await expectAccessible(page)
  await expectNoSidewaysScroll(page)
})

test('a game controller is danced with by keyboard: a move that was seen leads on, one is skipped, and what is not certain is said', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const pad = { index: 0, connected: true, axes: [0, 0, -1, 0], buttons: [] }
    Object.defineProperty(window, 'pad', { value: pad })
    navigator.getGamepads = () => [pad as unknown as Gamepad]
  })
  await page.goto(`${await copyOf(page, 'dunlin', 'Turnstone pad')}/dance`)
  await page.getByRole('button', { name: 'Dance with it' }).press('Enter')
  await expect(page.getByText('Throttle: up, hold it, and back down.')).toBeVisible()
  await page.evaluate(async () => {
    const pad = (window as unknown as { pad: { axes: number[] } }).pad
    const to = async (value: number) => {
      const from = pad.axes[2] ?? 0
      for (let k = 1; k <= 12; k++) {
        pad.axes[2] = from + ((value - from) * k) / 12
        await new Promise((resolve) => setTimeout(resolve, 60))
      }
    }
    await new Promise((resolve) => setTimeout(resolve, 400))
    await to(1)
    await new Promise((resolve) => setTimeout(resolve, 1200))
    await to(-1)
  })
  await expect(page.getByText('Rudder: right, hold; left, hold; let go.')).toBeVisible()
  await expect(page.getByText('✓ T, seen')).toBeVisible()
  await page.keyboard.press('s')
  await expect(page.getByText('Elevator: up, hold; down, hold; let go.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('Not certain, so nothing is said of it: Rudder')).toBeVisible()
  await expect(page.getByText('not channels as they arrive: nothing of it is written.')).toBeVisible()
})

test('without a game controller, and at a port on which nothing listens, it is said in words', async ({ page }) => {
  await page.goto('/rigs/dunlin/dance')
  await page.getByRole('button', { name: 'Dance with it' }).click()
  await expect(page.getByRole('alert')).toContainText('No game controller is seen.')
  await page.getByLabel('Port').fill('1')
  await page.getByRole('button', { name: 'Dance on this port' }).click()
  await expect(page.getByRole('alert')).toContainText(/port/)
})

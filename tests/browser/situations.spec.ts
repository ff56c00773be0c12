import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, test } from './bench'

test('a craft that comes home: what is stored, how the button is pressed, and what the test must show, at the phone size', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Curlew')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`${address}/failsafe`)
  const hop = page.getByRole('region', { name: 'Hop 1' })
  await hop.getByRole('button', { name: 'Set it' }).click()
  await hop.getByRole('radio', { name: /go to stored values/ }).check()
  await hop.getByRole('radio', { name: 'button' }).check()
  // The instruction is built from exactly the values that are proposed.
  await expect(hop.getByLabel('throttle, stored')).toHaveValue('1548.5')
  await expect(hop.getByLabel('mode, stored')).toHaveValue('2012')
  await expect(hop).toContainText(/throttle at half \(1548\.5 µs\), arm in position 2 \(2012 µs\), mode in position 3 \(2012 µs\)/)
  await hop.getByRole('button', { name: 'It is set so' }).click()
  await expect(hop).toContainText('The craft goes into its return mode.')
  await expect(hop.getByRole('button', { name: /: As expected/ })).toBeDisabled()
  await hop.getByRole('button', { name: 'exactly as written' }).click()
  await hop.getByLabel('seen by').fill('Wren')
  await hop.getByRole('button', { name: /: As expected/ }).click()
  await expect(hop).toContainText(/Tested .* by Wren: exactly as written\./)
  await expectNoSidewaysScroll(page)
  await expectAccessible(page)
  // The last thing said takes it back, and says what that was.
  await page.getByRole('status').getByRole('button', { name: 'Take it back' }).click()
  await expect(page.getByRole('status')).toContainText('Failsafe of hop 1 tested')
  await expect(hop).toContainText('Never tested.')
})

test('a calibration nobody made keeps a rig from being signed off, until it is left as it is by reason and name, which is printed', async ({
  page,
}) => {
  const address = await copyOf(page, 'avocet', 'Ringed Wing')
  await page.goto(`${address}/handset`)
  await page.locator('li', { hasText: 'Stick calibration' }).getByRole('checkbox').uncheck()
  await expect(page.locator('p.state')).toContainText('Not ready.')
  const sentence = 'Nobody has said that the sticks of the handset are calibrated.'
  await page.goto(`${address}/check-out`)
  await expect(page.locator('p.verdict')).toHaveText(`Not ready. ${sentence}`)
  await expect(page.getByRole('button', { name: 'Sign it off' })).toBeDisabled()
  // The same words in the head, on the bench and on the sheet.
  await expect(page.locator('p.state')).toContainText(`Not ready. ${sentence}`)
  await page.goto('/')
  await expect(page.getByRole('listitem').filter({ hasText: 'Ringed Wing' })).toContainText(`Not ready. ${sentence}`)
  await page.goto(`${address}/sheet`)
  await expect(page.locator('header')).toContainText(`Not ready. ${sentence}`)

  await page.goto(`${address}/travel`)
  await page.getByRole('button', { name: `Leave as it is: ${sentence}` }).click()
  await page.getByLabel('Why it may stay as it is').fill('no menu for it on this handset')
  await page.getByLabel('By', { exact: true }).fill('Wren')
  await page.getByRole('button', { name: 'Leave it as it is', exact: true }).click()
  await expect(page.getByText('Left as it is: no menu for it on this handset (Wren')).toBeVisible()
  await expectAccessible(page)
  await page.goto(`${address}/check-out`)
  await expect(page.locator('p.verdict')).toHaveText('Ready to sign off. Every check holds again: sign it off anew.')
  await page.getByRole('button', { name: 'Sign it off' }).click()
  await expect(page.locator('p.verdict')).toContainText('with one thing left as it is.')
  await page.goto(`${address}/sheet`)
  await expect(page.getByRole('heading', { name: 'Left as it is' })).toBeVisible()
  await expect(page.getByText(`${sentence} no menu for it on this handset (Wren`)).toBeVisible()
})

test('the truthful reading of a reversed stick is taken as read, and a target can be typed', async ({ page }) => {
  const address = await copyOf(page, 'sanderling', 'Dotterel')
  await page.goto(`${address}/travel`)
  const [low, middle, high] = ['elevator, low (µs)', 'elevator, middle (µs)', 'elevator, high (µs)'].map((name) => page.getByLabel(name))
  await low?.fill('1880')
  await middle?.fill('1500')
  await high?.fill('1120')
  await expect(page.getByText('These values fall where the stick rises')).toBeVisible()
  await page.getByRole('button', { name: 'It is reversed: take it as read' }).click()
  await expect(low ?? page.locator('none')).toHaveValue('1120')
  await expect(page.getByText(/reversed in the handset/)).toBeVisible()
  await page.getByRole('button', { name: 'aim elsewhere: elevator' }).click()
  await page.getByLabel('lowest, µs').fill('600')
  await page.getByRole('button', { name: 'Aim there' }).click()
  await expect(page.getByRole('status')).toContainText('the servo can take no less than')
})

for (const [place, verdict, head] of [
  // Signed at 11:52 UTC on the third: in the far east of the date line it was the fourth already.
  [{ timezoneId: 'Pacific/Kiritimati', locale: 'en-GB' }, 'Ready. Signed off on 4 Nov 2026.', 'Wednesday 4 November 2026'],
  [{ timezoneId: 'America/New_York', locale: 'en-US' }, 'Ready. Signed off on Nov 3, 2026.', 'Tuesday, November 3, 2026'],
] as const) {
  test(`days are told by the clock and in the form of a browser in ${place.timezoneId}, in sentences of the bench too`, async ({ browser }) => {
    const context = await browser.newContext(place)
    const page = await context.newPage()
    const address = await copyOf(page, 'avocet', `Far Wing ${place.locale}`)
    await page.goto(`${address}/check-out`)
    await expect(page.locator('p.verdict')).toHaveText(verdict)
    await expect(page.getByText(/\b3 Nov 2026/)).toHaveCount(0)
    await page.goto(`${address}/history`)
    await expect(page.getByRole('heading', { name: head })).toBeVisible()
    // The bench keeps what it shows of a rig; its days are told by whoever looks.
    await page.goto('/')
    await expect(page.getByRole('listitem').filter({ hasText: `Far Wing ${place.locale}` })).toContainText(verdict)
    await page.goto(`${address}/sheet`)
    await expect(page.getByText(/\b3 Nov 2026/)).toHaveCount(0)
    await context.close()
  })
}

import { expect, expectAccessible, expectNoSidewaysScroll, pick, tabTo, test } from './bench'

test('from the bench to a printed sheet by keyboard alone', async ({ page }) => {
  await page.goto('/')
  await expect(page.getByRole('link', { name: 'Avocet', exact: true })).toBeVisible()
  await page.keyboard.press('n')
  await page.keyboard.type('Whimbrel')
  await page.keyboard.press('Tab')
  await page.keyboard.type('Multi')
  await page.keyboard.press('Tab')
  await page.keyboard.press('Enter')

  await expect(page.getByRole('heading', { name: 'Whimbrel' })).toBeVisible()
  await tabTo(page, /^Handset$/, 'combobox')
  await page.keyboard.type('Ostrel')
  await tabTo(page, 'Craft ends in', 'combobox')
  await page.keyboard.type('Ruddle')
  await page.keyboard.press('Enter')
  const ways = page.getByRole('region', { name: 'Ways to join' })
  await expect(ways.getByRole('listitem').first()).toContainText('Best:')
  await tabTo(page, 'Take this path', 'button')
  await page.keyboard.press('Enter')

  const chain = page.getByRole('list', { name: 'The chain, from hand to craft' })
  await expect(chain).toContainText('Ruddle F6')
  await tabTo(page, /weft-8/, 'checkbox')
  await page.keyboard.press('Space')
  await expect(page.getByText('Wire it as in the table.').first()).toBeVisible()

  await page.keyboard.press('Escape')
  await page.locator('h1').click()
  await page.keyboard.press('2')
  await expect(page.getByRole('heading', { name: 'Wiring' })).toBeVisible()
  await tabTo(page, 'All of it is wired like this', 'checkbox')
  await page.keyboard.press('Space')

  await page.locator('h1').click()
  await page.keyboard.press('4')
  await expect(page.getByText('Right: each stick moves what it should.')).toBeVisible()
  for (const stick of ['aileron', 'elevator', 'throttle', 'rudder']) {
    await tabTo(page, new RegExp(`${stick} stick`), 'combobox')
    await page.keyboard.type(stick)
    await page.keyboard.press('Enter')
  }
  await tabTo(page, 'Order check: seen by', 'textbox')
  await page.keyboard.type('Wren')
  await tabTo(page, 'Order check: Keep as proof', 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/Proven on/)).toBeVisible()

  await page.locator('h1').click()
  await page.keyboard.press('p')
  await expect(page).toHaveURL(/\/rigs\/whimbrel\/sheet$/)
  await expect(page.getByText('A E T R').first()).toBeVisible()
  await expectAccessible(page)
})

test('a wrong order is seen, mended, and taken back at the phone size', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto('/')
  await expectNoSidewaysScroll(page)
  await page.getByRole('button', { name: 'New rig' }).click()
  await page.getByLabel('Name of the craft').fill('Redshank')
  await pick(page.getByRole('combobox', { name: 'It is a' }), 'Multirotor')
  await page.getByRole('button', { name: 'Start its rig' }).click()
  await pick(page.getByRole('combobox', { name: 'Handset', exact: true }), 'Ostrel 9')
  await pick(page.getByRole('combobox', { name: 'Craft ends in' }), /^Ruddle F6/)
  await page.getByRole('button', { name: 'Take this path' }).first().click()
  await expectNoSidewaysScroll(page)

  await page.getByRole('link', { name: /Order/ }).click()
  await expect(page.getByText('Right: each stick moves what it should.')).toBeVisible()
  // Somebody changes the handset's default: the same through the script's door.
  await page.evaluate(async () => {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '')
    const { revision } = await (await fetch('/api/v1/rigs/redshank')).json()
    await fetch('/api/v1/rigs/redshank', {
      method: 'PATCH',
      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
      body: JSON.stringify({ revision, text: 'Handset order TAER', set: { 'settings.order': 'TAER' } }),
    })
  })
  await page.reload()
  await expect(page.getByText('Wrong: the throttle stick would move aileron.')).toBeVisible()
  await expectNoSidewaysScroll(page)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Do it this way' }).first().click()
  await expect(page.getByText('Right: each stick moves what it should.')).toBeVisible()

  await page.getByRole('link', { name: 'History' }).click()
  await page
    .getByRole('button', { name: /Take back/ })
    .first()
    .click()
  await page.getByRole('link', { name: /^Order/ }).click()
  await expect(page.getByText('Wrong: the throttle stick would move aileron.')).toBeVisible()
})

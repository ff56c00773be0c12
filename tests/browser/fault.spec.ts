import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, pick, test } from './bench'

test('a fault is found one look at a time, mended, and the search goes on', async ({ page }) => {
  await page.goto('/fault')
  await expect(page.getByRole('heading', { name: 'Still possible: 3' })).toBeHidden()
  const question = page.getByRole('region', { name: 'What to look at' })
  // Somebody with a plug the wrong way round answers whatever is asked.
  const truth: Record<string, string> = {
    "What does the light of the craft's receiver show?": 'it is off',
    'Which voltage is at the receiver?': 'none',
    'Do all plugs sit the right way round, each on its own pins?': 'one sits wrong',
    'Which channel values move with the sticks?': 'none',
    "Does the receiver's light change when the handset goes off?": 'it stays as it is',
  }
  const mend = page.getByRole('heading', { name: 'A plug sits the wrong way round, or one pin beside.' })
  const asked: string[] = []
  while (!(await mend.isVisible()) && asked.length < 12) {
    // A question that is still on its way would be taken for the next one.
    await page.waitForLoadState('networkidle')
    const asks = (await question.getByRole('heading', { level: 2 }).first().textContent()) ?? ''
    asked.push(asks)
    const answer = truth[asks]
    if (answer === undefined) await question.getByRole('button', { name: 'I cannot do this here' }).click()
    else await question.getByRole('button', { name: answer, exact: true }).click()
    await expect(question.getByRole('heading', { level: 2 }).first()).not.toHaveText(asks)
    // The hand on the keyboard stands at the next question.
    if (!(await mend.isVisible())) await expect(question.getByRole('heading', { level: 2 }).first()).toBeFocused()
  }
  await expect(mend).toBeVisible()
  expect(asked.length).toBeLessThan(8)
  await expect(question).toContainText('Power off; turn or move the plug')
  await expectAccessible(page)
  await page.reload()
  await expect(mend).toBeVisible()
  await question.getByRole('button', { name: 'Mended: is it well now?' }).click()
  await expect(mend).toBeHidden()
  await expect(page.getByRole('region', { name: 'Seen so far' })).toBeHidden()
})

test('of a rig the search begins with what it knows of itself, at the phone size, and goes into its history', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Wheatear')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(address)
  await page.getByRole('link', { name: 'find a fault' }).click()
  const seen = page.getByRole('region', { name: 'Seen so far' })
  await expect(seen).toContainText('Read: throttle down at 1085 µs; the low threshold is 1060 µs.')
  await expectNoSidewaysScroll(page)
  await page.getByRole('button', { name: 'Not so: Where do the centred sticks rest?' }).click()
  await page.getByRole('button', { name: 'Not so: How far do the values go?' }).click()
  await expect(seen).not.toContainText('rudder rests')
  const question = page.getByRole('region', { name: 'What to look at' })
  const mend = page.getByRole('heading', { name: "The lowest throttle is not below the controller's low threshold." })
  for (let k = 0; k < 25 && !(await mend.isVisible()); k++) {
    const asks = (await question.getByRole('heading', { level: 2 }).first().textContent()) ?? ''
    await question.getByRole('button', { name: 'I cannot do this here' }).click()
    await expect(question.getByRole('heading', { level: 2 }).first()).not.toHaveText(asks)
  }
  await expect(mend).toBeVisible()
  await question.getByRole('button', { name: 'Keep this in its history' }).click()
  await expect(question.getByRole('status')).toHaveText('Kept in the history of the rig.')
  await expectAccessible(page)
  await page.goto(`${address}/history`)
  await expect(page.getByText(/Fault found: The lowest throttle is not below/).first()).toBeVisible()
})

test('what a setting mends is set with one button, and is in the history with what was seen', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Ringed plover')
  // From a finding, with what it tells.
  await page.goto(`${address}/travel`)
  await page.getByRole('link', { name: 'find the fault' }).first().click()
  await expect(page).toHaveURL(/\/fault\?rig=[a-z-]+$/)
  await expect(page.getByRole('region', { name: 'Seen so far' })).toBeVisible()
  const question = page.getByRole('region', { name: 'What to look at' })
  const mend = page.getByRole('heading', { name: "The lowest throttle is not below the controller's low threshold." })
  await page.goto(`/fault?rig=${address.split('/').pop() ?? ''}`)
  await page.getByRole('button', { name: 'Not so: Where do the centred sticks rest?' }).click()
  await page.getByRole('button', { name: 'Not so: How far do the values go?' }).click()
  for (let k = 0; k < 30 && !(await mend.isVisible()); k++) {
    const asks = (await question.getByRole('heading', { level: 2 }).first().textContent()) ?? ''
    await question.getByRole('button', { name: 'I cannot do this here' }).click()
    await expect(question.getByRole('heading', { level: 2 }).first()).not.toHaveText(asks)
  }
  await question.getByRole('button', { name: /Enter the computed ends and sub-trim/ }).click()
  await expect(question.getByRole('status').first()).toContainText('Set: Enter the computed ends')
  await expect(question.getByRole('link', { name: 'Set it on the step travel' })).toBeVisible()
  await page.goto(`${address}/history`)
  await expect(page.getByText(/Ends and sub-trim entered for channel/).first()).toBeVisible()
})

test('a capture from the desk is evidence, and says what it shows', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Little ringed')
  await page.goto(`/fault?rig=${address.split('/').pop() ?? ''}`)
  await pick(page.getByLabel(/A capture at the receiver/), /^(?!choose)/)
  await page.getByRole('button', { name: 'Take as evidence' }).click()
  const seen = page.getByRole('region', { name: 'Seen so far' })
  await expect(seen).toContainText('What does a capture at the receiver')
  await expect(seen).toContainText(/The capture ".+" is/)
  await page.reload()
  await expect(seen).toContainText(/The capture ".+" is/)
})

import { expect, expectAccessible, newRig, pick, test } from './bench'

test('own gear is on the bench and joined within ten actions, from one page', async ({ page }) => {
  let actions = 0
  const act = async (what: Promise<void>) => {
    actions += 1
    await what
  }
  await page.goto('/')
  await act(page.getByRole('button', { name: 'Start with my gear' }).click())
  await expectAccessible(page)
  await act(page.getByLabel('Name of the craft').fill('Whinchat first'))
  await act(page.getByRole('button', { name: /^A handset with a bay/ }).click())
  await act(page.getByRole('button', { name: /^A six-pin receiver/ }).click())
  await act(page.getByRole('button', { name: /^A two-function boat/ }).click())
  // A box that was chosen by mistake is another one; what is typed survives a reload.
  await page.reload()
  await expect(page.getByLabel('Name of the craft')).toHaveValue('Whinchat first')
  await act(page.getByLabel('Family').fill('Own'))
  await page.getByRole('button', { name: 'Join them' }).click()
  await expect(page.getByRole('alert')).toHaveText(/Both of it, family and variant/)
  await act(page.getByLabel('Variant').fill('v1'))
  await expectAccessible(page)
  await act(page.getByRole('button', { name: 'Join them' }).click())
  await expect(page.getByText('Whinchat first is on the bench, and joined.')).toBeVisible()
  await expect(page).toHaveURL(/\/rigs\/whinchat-first\/path$/)
  await expect(page.getByRole('list', { name: 'The chain, from hand to craft' })).toContainText('own, v1')
  expect(actions).toBeLessThanOrEqual(10)
})

test('a bench of many rigs is filtered, sorted and archived', async ({ page }) => {
  await newRig(page, 'Reed bunting')
  await newRig(page, 'Reed warbler')
  await page.goto('/')
  const rigs = page.getByRole('list', { name: 'Rigs', exact: true })
  await page.getByLabel('Only rigs with these words').fill('reed')
  await expect(rigs.getByRole('listitem')).toHaveCount(2)
  await expect(page.getByText(/^2 of \d+ rigs$/)).toBeVisible()
  await pick(page.getByLabel(/^sorted by/), 'name')
  await expect(rigs.getByRole('listitem').first()).toContainText('Reed bunting')
  await page.getByRole('button', { name: 'Archive: Reed bunting' }).press('Enter')
  await expect(rigs.getByRole('listitem')).toHaveCount(1)
  await page.getByText('Archived: 1', { exact: true }).click()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Bring back: Reed bunting' }).click()
  await expect(rigs.getByRole('listitem')).toHaveCount(2)
})

test('a word is explained where it stands, by keyboard too, and all of them are one page', async ({ page }) => {
  await page.goto('/rigs/dunlin/failsafe')
  const hop = page.getByRole('button', { name: 'hop', exact: true })
  await hop.focus()
  const says = page.getByRole('tooltip')
  await expect(says).toContainText('One stretch through the air')
  await expect(hop).toHaveAccessibleDescription(/One stretch through the air/)
  await expectAccessible(page)
  await page.keyboard.press('Escape')
  await expect(says).toBeHidden()
  await page.getByRole('button', { name: 'hold', exact: true }).hover()
  await expect(says).toContainText('A failsafe that goes on with the last values')
  await page.keyboard.press('Control+k')
  await page.keyboard.type('sub-trim model')
  await page.getByRole('option', { name: /^Sub-trim model/ }).click()
  await expect(page).toHaveURL(/\/words#sub-trim/)
  await expect(page.getByRole('definition').filter({ hasText: 'What sub-trim does to the ends' })).toBeInViewport()
  await page.getByLabel('Only words with').fill('relay')
  await expect(page.getByText('A receiver whose output feeds a second sender')).toBeVisible()
  await expect(page.getByRole('definition').filter({ hasText: 'What sub-trim does to the ends' })).toBeHidden()
})

test('the search goes to a step, a tool, something to do, a capture and what was done', async ({ page }) => {
  await page.goto('/shelf')
  const find = async (words: string, option: RegExp, address: RegExp) => {
    await page.keyboard.press('Control+k')
    await page.keyboard.type(words)
    await expect(page.getByRole('option').first()).toHaveText(option)
    await page.keyboard.press('Enter')
    await expect(page).toHaveURL(address)
  }
  // Before anything is typed it offers where one can go.
  await page.keyboard.press('/')
  await expect(page.getByRole('option', { name: /^Signal desk/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await find('dunlin travel', /^Dunlin: Travel/, /\/rigs\/dunlin\/travel$/)
  await find('expo', /^Rate and expo/, /\/tools\/rates$/)
  await find('new rig', /^New rig/, /\/\?do=new$/)
  await expect(page.getByLabel('Name of the craft')).toBeFocused()
  await find('mudlark-train', /^mudlark-train\.csv/, /\/signals\/\d+$/)
  await find('relay power pulled', /^Relay power pulled; motor stops\./, /\/rigs\/[\w-]+\/at\/\d+$/)
})

import type { Page } from '@playwright/test'
import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, pick, tabTo, test } from './bench'

/** A demo rig of its own for this test: others may have been changed by now. */
const rigLike = async (page: Page, slug: string, name: string) => (await copyOf(page, slug, name)).replace('/rigs/', '')

test('a game by keyboard alone, from its begin to its review and into the list of those played', async ({ page }) => {
  const slug = await rigLike(page, 'avocet', 'Stint')
  await page.goto(`/practice?rig=${slug}`)
  await expect(page.getByRole('combobox', { name: 'Rig' })).toHaveAccessibleDescription('Stint')
  await tabTo(page, /^Seed/, 'textbox')
  await page.keyboard.type('7')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('A stick moves something else')
  await expect(page).toHaveURL(new RegExp(`/practice/${slug}/plain/7$`))
  await expectAccessible(page)

  // Two tests, found by a word.
  await tabTo(page, 'Look for a test', 'searchbox')
  await page.keyboard.type('output')
  await tabTo(page, /order at the receiver's output/, 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByText('As planned.').first()).toBeVisible()
  await expect(page.getByText(/4\s*min on the job/)).toBeVisible()

  // What was done is there again after a reload; the truth is nowhere in the page.
  await page.reload()
  await expect(page.getByText(/4\s*min on the job/)).toBeVisible()
  await expect(page.getByText('The best way')).toHaveCount(0)

  await tabTo(page, 'The fault', 'combobox')
  await page.keyboard.type('Handset and controller count')
  await tabTo(page, 'That is it', 'button')
  await page.keyboard.press('Enter')
  await expect(page.getByText('100 %')).toBeVisible()
  await expect(page.getByRole('heading', { name: 'The best way' })).toBeVisible()
  await expectAccessible(page)

  await tabTo(page, /Keep it/, 'textbox')
  await page.keyboard.type('Wren')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Kept.')).toBeVisible()
  await tabTo(page, 'How it went so far', 'link')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('img', { name: /Scores of/ })).toBeVisible()
  await expect(page.getByRole('row', { name: /Stint, plain, seed 7/ }).first()).toContainText('100 %')
  await page.goto('/logbook')
  await expect(page.getByText(/Practice by Wren/).first()).toBeVisible()
})

test('a wrong name costs minutes, the dry bench opens with the fault in it, and giving up shows the truth, at the phone size', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/practice/${await rigLike(page, 'avocet', 'Knot')}/plain/3`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing moves')
  await pick(page.getByRole('combobox', { name: 'The fault' }), 'A trim was bumped.')
  await page.getByRole('button', { name: 'That is it' }).click()
  await expect(page.getByText(/5\s*min on the job/)).toBeVisible()
  await expect(page.getByText(/mended in vain/)).toBeVisible()
  // A setting put back on a guess costs its minutes, and says so.
  await pick(page.getByRole('combobox', { name: 'A setting to put back' }), 'Directions and mixes of every channel, 5 min')
  await page.getByRole('button', { name: 'Put it back, 5 min' }).click()
  await expect(page.getByText('It stood as it should already; nothing has changed.')).toBeVisible()
  await expect(page.getByText(/10\s*min on the job/)).toBeVisible()
  await page.getByRole('button', { name: /Open the dry bench/ }).click()
  await expect(page.getByRole('heading', { name: /with the fault in it/ })).toBeVisible()
  await expect(page.getByText('searching').first()).toBeVisible()
  await expect(page.getByRole('row', { name: /^Aileron/i })).toContainText('nothing')
  await expectNoSidewaysScroll(page)
  await page.getByRole('button', { name: 'give up' }).click()
  await expect(page.getByText('not found')).toBeVisible()
  await expect(page.getByText(/speak different families/)).toBeVisible()
})

test('a rig with a fault on record says so, and leads to another', async ({ page }) => {
  await page.goto(`/practice/${await rigLike(page, 'dunlin', 'Ruff')}/plain/1`)
  await expect(page.getByRole('alert')).toContainText('Its own record has a fault already')
  await page.getByRole('link', { name: 'Choose another game' }).click()
  await expect(page.getByRole('button', { name: 'Begin' })).toBeVisible()
})

import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, test } from './bench'

test('a failsafe that fails its test, is mended, and passes', async ({ page }) => {
  const address = await copyOf(page, 'oystercatcher', 'Turnstone')
  await page.goto(`${address}/failsafe`)
  const first = page.getByRole('region', { name: 'Hop 1' })
  await expect(first).toContainText('The craft goes on with the last commands.')
  await first.getByLabel('What was seen').fill('motor ran on')
  await first.getByRole('button', { name: 'Otherwise' }).click()
  await expect(first).toContainText('The last test failed.')

  await first.getByRole('button', { name: 'Set it again' }).click()
  await expect(first.getByLabel(/go to stored values/)).toBeChecked()
  await first.getByRole('radio', { name: 'button' }).check()
  await expect(first).toContainText('press the button of Weft R16i')
  await first.getByRole('button', { name: 'It is set so' }).click()
  await expect(first).toContainText('Motor off, everything else goes where it was stored.')
  await first.getByLabel('What was seen').fill('motor stopped')
  await first.getByRole('button', { name: 'As it must' }).click()
  await expect(first).toContainText(/Tested .*motor stopped/)
  await expect(page.getByRole('link', { name: /Failsafe/ })).toContainText('done')
  await expectAccessible(page)
})

test('a sign-off goes stale by itself, and says why', async ({ page }) => {
  const address = await copyOf(page, 'avocet', 'Ruff Wing')
  await page.goto(`${address}/check-out`)
  await expect(page.getByText('Ready, signed off on 3 Nov 2026 by Wren.')).toBeVisible()
  // The demo rig shares this memory: its own number keeps the copy to itself.
  await page.goto(`${address}/handset`)
  await page.getByRole('textbox', { name: 'Receiver number' }).fill('17')
  await page.getByRole('textbox', { name: 'Receiver number' }).press('Tab')
  await page.goto(`${address}/check-out`)
  await expect(page.getByText(/no longer, because the receiver number changed from 7 to 17/)).toBeVisible()
  for (const open of ['Bind proven', 'Directions', 'Travel and centre', 'Failsafe tested', 'Power', 'Range check']) {
    await expect(page.getByRole('listitem').filter({ hasText: new RegExp(`^${open}\\s*open`) })).toBeVisible()
  }
  await expect(page.getByRole('listitem').filter({ hasText: /^Order\s*holds/ })).toBeVisible()
  await expect(page.getByText(/Shares its handset memory/)).toBeVisible()
})

test('an archive goes out and says what it would bring in', async ({ page }) => {
  await page.goto('/')
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'take it along' }).click()
  const path = await (await download).path()
  await page
    .getByLabel('An archive to bring in')
    .setInputFiles({ name: 'bench.zip', mimeType: 'application/zip', buffer: (await import('node:fs')).readFileSync(path) })
  await expect(page.getByText(/The same already: .*Avocet/)).toBeVisible()
  await page.getByLabel('An archive to bring in').setInputFiles({ name: 'bench.zip', mimeType: 'application/zip', buffer: Buffer.from('PK no') })
  await expect(page.getByRole('alert')).toContainText('not a whole zip archive')
})

test('the record works at the phone size', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  for (const address of ['/rigs/oystercatcher/failsafe', '/rigs/dunlin/check-out', '/rigs/avocet/history', '/rigs/avocet/at/3', '/logbook']) {
    await page.goto(address)
    await page.waitForLoadState('networkidle')
    await expectNoSidewaysScroll(page)
  }
})

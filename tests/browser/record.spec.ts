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
  await expect(page.getByRole('listitem').filter({ hasText: /^Bind proven\s*(holds|stale|open|failed)/ })).toContainText('stale')
  await expect(page.getByRole('button', { name: 'Sign it off' })).toBeDisabled()
  await expectAccessible(page)

  // Redo what fell, and sign again.
  await page.goto(`${address}/bind`)
  await page.getByRole('button', { name: 'It does', exact: true }).click()
  await page.goto(`${address}/failsafe`)
  await page.getByRole('button', { name: 'Set it again' }).click()
  await page.getByRole('button', { name: 'It is set so' }).click()
  await page.getByLabel('What was seen').fill('motor stopped')
  await page.getByRole('button', { name: 'As it must' }).click()
  await expect(page.getByText(/Tested .*motor stopped/)).toBeVisible()
  await page.goto(`${address}/check-out`)
  await expect(page.getByText('Every check holds. It may be signed off.')).toBeVisible()
  await page.getByLabel('Name').fill('Tern')
  await page.getByRole('button', { name: 'Sign it off' }).click()
  await expect(page.getByText(/signed off on .* by Tern/)).toBeVisible()
})

test('the logbook opens a rig as it then was, and brings a setting back', async ({ page }) => {
  const address = await copyOf(page, 'dunlin', 'Sandpiper')
  await page.goto(`${address}/handset`)
  await page.getByRole('textbox', { name: 'Model memory' }).fill('21')
  await page.getByRole('textbox', { name: 'Model memory' }).press('Tab')
  await expect(page.getByText('memory 21')).toBeVisible()
  await page.goto('/logbook')
  await page.getByRole('searchbox', { name: 'Words' }).fill('will not arm')
  await page.getByLabel('Rig').selectOption('sandpiper')
  await page.getByRole('link', { name: 'Will not arm.' }).click()
  await expect(page.getByText(/Sandpiper as it was on 20 Nov 2026/)).toBeVisible()
  await expect(page.getByRole('button', { name: /Entered|Take/ })).toHaveCount(0)
  await expectAccessible(page)
  await page.getByRole('link', { name: 'its history' }).click()
  await page.getByRole('button', { name: 'What changed since: Will not arm.' }).click()
  const compare = page.getByRole('region', { name: 'Two moments side by side' })
  await expect(compare.getByRole('row', { name: /Model memory/ })).toContainText('6')
  await expectAccessible(page)
  await compare.getByRole('button', { name: 'Bring back: Model memory' }).click()
  await expect(compare).toContainText('Nothing is set differently.')
})

test('a picture and a note are kept with the history; a lying file is refused', async ({ page }) => {
  const address = await copyOf(page, 'mudlark', 'Whinchat')
  await page.goto(`${address}/history`)
  await page.getByLabel('A note').fill('new rudder horn')
  await page.getByRole('button', { name: 'Write it down' }).click()
  const attach = page.getByLabel('Attach a file to: new rudder horn')
  const png = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==', 'base64')
  await attach.setInputFiles({ name: 'horn.png', mimeType: 'image/png', buffer: png })
  await expect(page.getByRole('link', { name: 'horn.png' })).toBeVisible()
  await attach.setInputFiles({ name: 'horn.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('\u007fELF not a picture\u0000') })
  await expect(page.getByText(/expected a PNG, JPEG or WebP picture, or plain text/)).toBeVisible()
})

test('a duplicate for another receiver opens what depends on it', async ({ page }) => {
  await page.goto('/rigs/avocet/history')
  await page.getByRole('button', { name: /Duplicate this rig/ }).click()
  await page.getByLabel('Name').fill('Avocet Mote')
  await page.getByRole('combobox', { name: 'Receiver' }).selectOption('tarn-mote')
  await page.getByRole('button', { name: 'Duplicate', exact: true }).click()
  await expect(page).toHaveURL(/avocet-mote\/check-out$/)
  await expect(page.getByRole('listitem').filter({ hasText: /^Bind proven\s*(holds|stale|open|failed)/ })).toContainText(
    'the receiver changed from tarn-t7 to tarn-mote',
  )
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

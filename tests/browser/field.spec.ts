import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { chromium } from '@playwright/test'
import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, test } from './bench'

test('a field pack works from a file without a network, keeps what is entered, and the bench takes it in after a look', async ({
  page,
  launchOptions,
}) => {
  test.setTimeout(120_000)
  const address = await copyOf(page, 'dunlin', 'Stint afield', 71)
  await page.goto(`${address}/check-out`)
  const waiting = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Field pack for a phone' }).click()
  const folder = mkdtempSync(join(tmpdir(), 'field-'))
  const file = join(folder, (await waiting).suggestedFilename())
  await (await waiting).saveAs(file)

  // Another device: a profile that has seen nothing, and no network.
  const phone = await chromium.launchPersistentContext(join(folder, 'profile'), {
    ...launchOptions,
    viewport: { width: 390, height: 844 },
    acceptDownloads: true,
    offline: true,
  })
  try {
    const asked: string[] = []
    const field = await phone.newPage()
    field.on('request', (request) => {
      if (!/^(file|data|blob):/.test(request.url())) asked.push(request.url())
    })
    await field.goto(pathToFileURL(file).href)
    await expect(field.getByRole('heading', { level: 1 })).toHaveText('Stint afield')
    await expect(field.getByText('Not ready. The lowest throttle')).toBeVisible()
    await expectAccessible(field)
    await expectNoSidewaysScroll(field)
    await expect(field.getByRole('button', { name: 'Save the file' })).toBeDisabled()
    const antennas = field.getByRole('group', { name: 'Antennas' })
    await antennas.getByLabel('As expected', { exact: true }).check()
    await expect(field.getByText('Who looked is not said yet')).toBeVisible()
    await field.getByLabel('Who looks').fill('Wren')
    await expect(field.getByText('What was seen is not said yet: Antennas.')).toBeVisible()
    await antennas.getByLabel('Antennas: what was seen').fill('both whole, one upright')
    await field.getByLabel('Notes').fill('windy from the west')
    await field.getByRole('button', { name: 'Start', exact: true }).click()
    await field.getByRole('button', { name: 'Stop', exact: true }).click()
    await field.getByLabel('Take a picture').setInputFiles('docs/screenshots/bench.png')
    await expect(field.getByRole('button', { name: /^Remove field-/ })).toBeVisible()
    // The phone closes the page; what was entered is there again.
    await field.reload()
    await expect(field.getByLabel('Notes')).toHaveValue('windy from the west')
    await expect(antennas.getByLabel('Antennas: what was seen')).toHaveValue('both whole, one upright')
    await expect(field.getByRole('button', { name: /^Remove field-/ })).toBeVisible()
    await expect(field.getByText(/^1 of \d+ seen, a note, 1 pictures\.$/)).toBeVisible()
    const saving = field.waitForEvent('download')
    await field.getByRole('button', { name: 'Save the file' }).click()
    await (await saving).saveAs(join(folder, 'seen.json'))
    expect(asked).toEqual([])
  } finally {
    await phone.close()
  }

  await page.getByRole('link', { name: 'import what was seen with it' }).click()
  await page.getByRole('button', { name: 'Import what was seen' }).click()
  await page.locator('input[type=file]').setInputFiles(join(folder, 'seen.json'))
  await expect(page.getByRole('heading', { name: 'Stint afield' })).toBeVisible()
  await expect(page.getByText('Antennas checked, holds: both whole, one upright')).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(page).toHaveURL(/\/check-out$/)
  await expect(page.getByRole('listitem').filter({ hasText: 'Antennas' }).first()).toContainText('both whole, one upright')
  await page.goto(`${address}/history`)
  await expect(page.getByText(/From the field: Antennas checked, holds: both whole, one upright; windy from the west/)).toBeVisible()
})

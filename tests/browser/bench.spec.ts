import { copyOf, expect, expectAccessible, test } from './bench'
import { expectPrints } from './printed'

// Each worker has a bench of its own, and none of these waits for another.
test.describe.configure({ mode: 'parallel' })

test('a new receiver goes on the shelf with what can be seen on it, and is found by its alias', async ({ page }) => {
  await page.goto('/shelf')
  await expect(page.getByRole('heading', { name: 'Shelf' })).toBeVisible()
  await page.keyboard.press('n')
  await page.getByLabel('What is printed on it?').fill('Bittern R6')
  await page.getByLabel('What else do manuals call it?').fill('the reed')
  await page.getByRole('button', { name: 'Add an output' }).click()
  await page.getByLabel(/Printed at pins/).fill('A E T R G X')
  await page.reload()
  await expect(page.getByLabel('What is printed on it?')).toHaveValue('Bittern R6')
  await page.getByRole('button', { name: 'Put it on the shelf' }).click()
  await expect(page.getByRole('heading', { name: 'Bittern R6' }).first()).toBeVisible()
  await page.locator('h1').click()
  await page.keyboard.press('/')
  await page.keyboard.type('reed')
  await expect(page.getByRole('option', { name: /Bittern R6/ })).toBeVisible()
  await page.keyboard.press('ArrowDown')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/shelf\/bittern-r6$/)
  await page.getByRole('button', { name: 'Take off the shelf' }).click()
  await page.getByRole('button', { name: 'Put it back' }).click()
  await expect(page.getByRole('heading', { name: 'Bittern R6' }).first()).toBeVisible()
})

test('a bad file says where, and a good one still goes in from the same box', async ({ page }) => {
  await page.goto('/')
  await page.getByRole('button', { name: 'Import a rig' }).click()
  const area = page.getByLabel(/Paste a rig document/)
  await area.fill('linguator: 1\nname: Ruff\ncraft: {kind: plane}\nchain: [ostrel-9, nowhere]\nsettings: {}\n')
  await page.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'nowhere' })).toContainText('line 4')
  await expect(area).toHaveValue(/Ruff/)
  await area.fill('linguator: 1\nname: Ruff\ncraft: {kind: plane}\nchain: [ostrel-9, weft-r16i, ruddle-f6]\nsettings: {}\n')
  await page.getByRole('button', { name: 'Import', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Ruff' })).toBeVisible()
})

test('two tabs on one rig: the second is told, and nothing is overwritten', async ({ page, context }) => {
  const address = await copyOf(page, 'avocet', 'Curlew')
  await page.goto(`${address}/wiring`)
  const other = await context.newPage()
  await other.goto(`${address}/wiring`)
  await page.getByLabel('pin 3, marked E: colour of signal').fill('yellow')
  await page.getByLabel('pin 3, marked E: colour of signal').press('Enter')
  await expect.poll(async () => (await page.request.get(`/api/v1${address}`)).text()).toContain('yellow')
  await other.getByLabel('pin 4, marked R: colour of signal').fill('green')
  await other.getByLabel('pin 4, marked R: colour of signal').press('Enter')
  await expect(other.getByText(/changed in another tab/)).toBeVisible()
  await expect(other.getByLabel('pin 3, marked E: colour of signal')).toHaveValue('yellow')
  await other.getByRole('button', { name: 'Make my change too' }).click()
  await expect.poll(async () => (await page.request.get(`/api/v1${address}`)).text()).toContain('green')
  expect(await (await page.request.get(`/api/v1${address}`)).text()).toContain('yellow')
})

test('a rig taken off the bench comes back with its history', async ({ page }) => {
  const address = await copyOf(page, 'oystercatcher', 'Lapwing')
  await page.goto(`${address}/history`)
  const before = await (await page.request.get(`/api/v1${address}.json`)).text()
  await page.getByRole('button', { name: 'Take this rig off the bench' }).click()
  await page.getByRole('button', { name: 'Take it off the bench' }).click()
  await page.getByRole('button', { name: 'Bring it back' }).click()
  await expect(page.getByRole('heading', { name: 'Lapwing' })).toBeVisible()
  expect(await (await page.request.get(`/api/v1${address}.json`)).text()).toBe(before)
})

test('a pasted channel log gives the order, and says what explains it', async ({ page }) => {
  const address = await copyOf(page, 'avocet', 'Greenshank')
  await page.goto(`${address}/order`)
  await page.getByLabel('I have a channel log').check()
  const rows: string[] = ['t_ms,ch1,ch2,ch3,ch4']
  for (const channel of [2, 3, 1, 0]) {
    for (const value of [1500, 1700, 2000, 1700, 1500, 1300, 1000, 1300, 1500, 1500]) {
      const us = [1500, 1500, 1500, 1500]
      us[channel] = value
      rows.push(`${rows.length * 20},${us.join(',')}`)
    }
  }
  await page.getByLabel(/Rows of a time/).fill(rows.join('\n'))
  await expect(page.getByText(/what you would see with remapping in Brack M4 off/)).toBeVisible()
  await page.getByLabel('Order check: seen by').fill('Wren')
  await page.getByRole('button', { name: 'Keep as a failed check' }).click()
  await expect(page.getByText(/The check of .* failed/)).toBeVisible()
})

for (const rig of ['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling'])
  test(`the sheet of ${rig} prints on at most two pages, A4 and Letter, with every line of it`, async ({ page }) => {
    await page.goto(`/rigs/${rig}/sheet`)
    await expect(page.getByRole('img', { name: /^Code that opens/ })).toBeVisible()
    await expectPrints(page)
  })

test('a label prints on one page of its own size', async ({ page }) => {
  for (const [size, width, height] of [
    ['wide', 62, 29],
    ['long', 36, 89],
  ] as const) {
    await page.goto(`/rigs/avocet/label?size=${size}`)
    await expect(page.getByRole('heading', { name: 'Avocet' })).toBeVisible()
    await expectAccessible(page)
    const pdf = (await page.pdf({ preferCSSPageSize: true })).toString('latin1')
    expect(pdf.match(/\/Type\s*\/Page[^s]/g)?.length).toBe(1)
    const box = /\/MediaBox\s*\[\s*0\s+0\s+([\d.]+)\s+([\d.]+)/.exec(pdf)
    // Points of 1/72 inch.
    expect(Math.abs(Number(box?.[1]) - (width / 25.4) * 72)).toBeLessThan(2)
    expect(Math.abs(Number(box?.[2]) - (height / 25.4) * 72)).toBeLessThan(2)
    // Nothing of it is cut off.
    expect(await page.locator('.label').evaluate((label) => label.scrollHeight - label.clientHeight)).toBeLessThanOrEqual(0)
  }
})

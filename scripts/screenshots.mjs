// The pictures in docs/screenshots, taken from a running bench with the demo data:
//   npm run screenshots [-- http://127.0.0.1:8080 [NAME…]]
import { chromium } from '@playwright/test'

const [base = 'http://127.0.0.1:8080', ...only] = process.argv.slice(2)
const folder = new URL('../docs/screenshots/', import.meta.url).pathname

const compare = (page) =>
  page
    .getByRole('button', { name: /^What changed since/ })
    .last()
    .click()

/** A link is cut, a stick held, a probe hangs where the second radio is fed. */
const probed = async (page) => {
  await page.getByRole('button', { name: 'Cut link' }).first().click()
  await page.getByRole('button', { name: 'Probe' }).nth(1).click()
  await page.getByRole('slider', { name: 'rudder' }).fill('60')
  await page.waitForTimeout(500)
}

/** The stand-in has danced. */
const danced = async (page) => {
  await page.getByRole('radio', { name: 'the stand-in' }).check()
  await page.getByRole('button', { name: 'Begin' }).click()
  await page.getByRole('heading', { name: 'What was found' }).waitFor()
}

/** Two tests and a name: the review. */
const played = async (page) => {
  await page.getByRole('button', { name: /Does a stick move another/ }).click()
  await page.getByRole('button', { name: /order at the receiver's output/ }).click()
  await page.getByText('As planned.').first().waitFor()
  await page.getByRole('combobox', { name: 'The fault' }).fill('different orders')
  await page.keyboard.press('Enter')
  await page.getByRole('button', { name: 'That is it' }).click()
  await page.getByRole('heading', { name: 'The best way' }).waitFor()
}

/** name, address, and what differs from a light 1280 × 800 page. */
const VIEWS = [
  { name: 'bench', address: '/' },
  { name: 'shelf', address: '/shelf/tarn-t7' },
  { name: 'rig-path', address: '/rigs/avocet/path' },
  { name: 'rig-wiring', address: '/rigs/avocet/wiring' },
  { name: 'rig-bind', address: '/rigs/sanderling/bind' },
  { name: 'rig-order', address: '/rigs/avocet/order' },
  { name: 'rig-travel', address: '/rigs/dunlin/travel' },
  { name: 'rig-switches', address: '/rigs/dunlin/switches' },
  { name: 'rig-failsafe', address: '/rigs/oystercatcher/failsafe' },
  { name: 'rig-check-out', address: '/rigs/avocet/check-out' },
  { name: 'rig-history', address: '/rigs/dunlin/history', before: compare },
  { name: 'signal-desk', address: '/signals/2' },
  { name: 'fault', address: '/fault?rig=dunlin' },
  { name: 'dry-bench', address: '/dry-bench?rig=oystercatcher', before: probed },
  { name: 'practice', address: '/practice/avocet/plain/7', before: played },
  { name: 'logbook', address: '/logbook' },
  { name: 'sheet', address: '/rigs/avocet/sheet', whole: true },
  { name: 'rig-phone', address: '/rigs/sanderling/travel', width: 390, height: 844 },
  { name: 'dance', address: '/rigs/dunlin/dance', before: danced },
]

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
for (const view of VIEWS.filter(({ name }) => only.length === 0 || only.includes(name))) {
  const context = await browser.newContext({
    viewport: { width: view.width ?? 1280, height: view.height ?? 800 },
    colorScheme: 'light',
    locale: 'en-GB',
    reducedMotion: 'reduce',
  })
  const page = await context.newPage()
  await page.goto(base + view.address)
  await page.waitForLoadState('networkidle')
  if (view.before) await view.before(page)
  await page.screenshot({ path: `${folder}${view.name}.png`, fullPage: view.whole ?? false })
  await context.close()
  console.log(view.name)
}
await browser.close()

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
  { name: 'signal-compare', address: '/signals/compare?a=3&b=3&line_a=before&line_b=after' },
  { name: 'fault', address: '/fault?rig=dunlin' },
  { name: 'logbook', address: '/logbook' },
  { name: 'tool', address: '/tools/pulse-train' },
  { name: 'sheet', address: '/rigs/avocet/sheet', whole: true },
  { name: 'rig-phone', address: '/rigs/sanderling/travel', width: 390, height: 844 },
  { name: 'rig-dark', address: '/rigs/mudlark/path', dark: true },
]

const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
for (const view of VIEWS.filter(({ name }) => only.length === 0 || only.includes(name))) {
  const context = await browser.newContext({
    viewport: { width: view.width ?? 1280, height: view.height ?? 800 },
    colorScheme: view.dark ? 'dark' : 'light',
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

// First load of the bench: bytes of JavaScript as they would travel gzipped, and the time until it can be used.
// node bench/page.mjs http://127.0.0.1:PORT
import { gzipSync } from 'node:zlib'
import { chromium } from '@playwright/test'

const base = process.argv[2]
const LOADS = 5
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
})
const times = []
let scripts = 0
let styles = 0
let fonts = 0
for (let k = 0; k < LOADS; k++) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  const bodies = []
  page.on('response', (response) => bodies.push(response))
  const start = performance.now()
  await page.goto(base)
  await page.getByRole('list', { name: 'Rigs' }).waitFor()
  times.push(performance.now() - start)
  if (k === 0) {
    for (const response of bodies) {
      const kind = response.request().resourceType()
      const body = await response.body()
      if (kind === 'script') scripts += gzipSync(body).length
      if (kind === 'stylesheet') styles += gzipSync(body).length
      if (kind === 'font') fonts += body.length
    }
  }
  await context.close()
}
const keys = await keystrokes()
await browser.close()

/** From a key pressed in the travel table to the new prediction on the screen, ms. */
async function keystrokes() {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage()
  await page.goto(`${base}/rigs/dunlin/travel`)
  const field = page.getByLabel('rudder, middle (µs)')
  await field.waitFor()
  const spent = []
  for (let us = 1511; us <= 1530; us++) {
    spent.push(
      await field.evaluate((input, value) => {
        const row = input.closest('[role=row]')
        const seen = row.textContent
        const start = performance.now()
        input.value = String(value)
        input.dispatchEvent(new Event('input', { bubbles: true }))
        return new Promise((resolve) => {
          const look = () => (row.textContent === seen ? requestAnimationFrame(look) : resolve(performance.now() - start))
          requestAnimationFrame(look)
        })
      }, us),
    )
  }
  return spent.sort((a, b) => a - b)
}
times.sort((a, b) => a - b)
const kb = (bytes) => (bytes / 1024).toFixed(0)
console.log('## First load of the bench\n\n| what | figure |\n|---|--:|')
console.log(`| JavaScript, gzipped | ${kb(scripts)} kB |\n| styles, gzipped | ${kb(styles)} kB |\n| fonts | ${kb(fonts)} kB |`)
console.log(`| usable bench, empty cache, median of ${LOADS} | ${times[Math.floor(LOADS / 2)].toFixed(0)} ms |`)
console.log(
  `| a key in the travel table to its prediction on the screen, p50 / p95 | ${keys[Math.floor(keys.length / 2)].toFixed(0)} / ${keys[Math.floor(keys.length * 0.95)].toFixed(0)} ms |`,
)

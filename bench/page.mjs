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
await browser.close()
times.sort((a, b) => a - b)
const kb = (bytes) => (bytes / 1024).toFixed(0)
console.log('## First load of the bench\n\n| what | figure |\n|---|--:|')
console.log(`| JavaScript, gzipped | ${kb(scripts)} kB |\n| styles, gzipped | ${kb(styles)} kB |\n| fonts | ${kb(fonts)} kB |`)
console.log(`| usable bench, empty cache, median of ${LOADS} | ${times[Math.floor(LOADS / 2)].toFixed(0)} ms |`)

// Measures in the browser how often the dry bench draws while a stick goes round and four probes hang: npm run frames -- http://127.0.0.1:8080
import { chromium } from 'playwright'

const [address = 'http://127.0.0.1:8080', seconds = '10'] = process.argv.slice(2)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${address}/dry-bench?rig=oystercatcher`)
await page.locator('.pad').first().waitFor()
for (const button of await page.getByRole('button', { name: 'Probe' }).all()) await button.click()
const measured = await page.evaluate(
  async (ms) => {
    const pad = document.querySelector('.pad')
    const box = pad.getBoundingClientRect()
    const move = (kind, angle) =>
      pad.dispatchEvent(
        new PointerEvent(kind, {
          pointerId: 1,
          bubbles: true,
          clientX: box.left + box.width * (0.5 + 0.4 * Math.cos(angle)),
          clientY: box.top + box.height * (0.5 + 0.4 * Math.sin(angle)),
        }),
      )
    pad.setPointerCapture = () => {}
    move('pointerdown', 0)
    const drawn = () => Number(document.querySelector('[data-drawn]').dataset.drawn)
    const [begin, before, gaps, waits] = [performance.now(), drawn(), [], []]
    let [last, lastDrawn, lastAt] = [begin, before, begin]
    while (performance.now() - begin < ms) {
      const now = await new Promise(requestAnimationFrame)
      gaps.push(now - last)
      last = now
      if (drawn() !== lastDrawn) {
        waits.push(now - lastAt)
        ;[lastDrawn, lastAt] = [drawn(), now]
      }
      move('pointermove', now / 300)
    }
    const share = (list, part) => [...list].sort((a, b) => a - b)[Math.floor(list.length * part)]
    return {
      answers_a_second: ((drawn() - before) / ms) * 1000,
      frames_a_second: (gaps.length / ms) * 1000,
      between_answers_ms: { p50: share(waits, 0.5), p95: share(waits, 0.95) },
      frame_ms: { p50: share(gaps, 0.5), p95: share(gaps, 0.95) },
    }
  },
  Number(seconds) * 1000,
)
console.log(JSON.stringify(measured, null, 2))
await browser.close()

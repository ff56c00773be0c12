// Measures in the browser how long a value takes from the wire to the screen, of each live source: npm run live-delay -- http://127.0.0.1:8080
import { createServer } from 'node:net'
import { chromium } from 'playwright'

const [base = 'http://127.0.0.1:8080', turns = '60'] = process.argv.slice(2)
const TURN_MS = 350
const FRAME_MS = 10
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu'] })
const share = (list, part) => [...list].sort((a, b) => a - b)[Math.floor(list.length * part)]
const told = (name, list) => console.log(`${name}: ${share(list, 0.5).toFixed(0)} ms p50, ${share(list, 0.95).toFixed(0)} ms p95, of ${list.length}`)
const sleep = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

const encoded = await fetch(`${base}/api/v1/encode`, {
  method: 'POST',
  headers: { 'Content-Type': 'application/json' },
  body: JSON.stringify({ format: 's115e', frames: [1100, 1900].map((us) => ({ us: [us, ...Array(11).fill(1500)] })) }),
})
const frames = (await encoded.json()).hex.map((hex) => Buffer.from(hex, 'hex'))

/** When the number of channel 1 became this one, by the clock of the machine. */
const watchMeter = (page) =>
  page.evaluate(() => {
    window.changes = []
    const meter = document.querySelector('.channels .big')
    new MutationObserver(() => window.changes.push([Date.now(), meter.textContent])).observe(meter, {
      characterData: true,
      subtree: true,
      childList: true,
    })
  })

async function delays(page, turn) {
  await page.locator('.channels .big').first().waitFor()
  await watchMeter(page)
  const waits = []
  for (let k = 0; k < Number(turns); k++) {
    const us = k % 2 ? '1900' : '1100'
    const at = await turn(k % 2)
    await sleep(TURN_MS + Math.random() * 30)
    const seen = (await page.evaluate(() => window.changes)).find(([when, text]) => when >= at && text === us)
    if (seen) waits.push(seen[0] - at)
  }
  return waits
}

// A port of this machine.
let frame = frames[0]
const sockets = new Set()
const server = createServer((socket) => sockets.add(socket.on('error', () => sockets.delete(socket))))
await new Promise((done) => server.listen(0, '127.0.0.1', done))
let since = 0
const pace = setInterval(() => {
  for (const socket of sockets) socket.write(frame)
  since ||= Date.now()
}, FRAME_MS)
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await page.goto(`${base}/signals/live`)
await page.getByLabel('Port').fill(String(server.address().port))
await page.getByRole('button', { name: 'Listen', exact: true }).click()
told(
  'port',
  await delays(page, async (k) => {
    frame = frames[k]
    since = 0
    while (since === 0) await sleep(1)
    return since
  }),
)
clearInterval(pace)
for (const socket of sockets) socket.destroy()
server.close()

// A serial adapter, as the browser would hand it over.
const serial = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await serial.addInitScript(
  (both) => {
    window.which = 0
    window.sent = [0, 0]
    const adapter = {
      open: () => Promise.resolve(),
      close: () => Promise.resolve(),
      readable: new ReadableStream({
        start(stream) {
          setInterval(() => {
            stream.enqueue(Uint8Array.from(both[window.which]))
            window.sent[window.which] ||= Date.now()
          }, 10)
        },
      }),
    }
    Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(adapter) } })
  },
  frames.map((one) => [...one]),
)
await serial.goto(`${base}/signals/live`)
await serial.getByRole('button', { name: 'Choose the adapter' }).click()
told(
  'serial adapter',
  await delays(serial, (k) =>
    serial.evaluate(async (which) => {
      window.sent[which] = 0
      window.which = which
      while (window.sent[which] === 0) await new Promise((resolve) => setTimeout(resolve, 1))
      return window.sent[which]
    }, k),
  ),
)

// A game controller on the dry bench: its stick moves as the axis does.
const pad = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await pad.addInitScript(() => {
  window.pad = { index: 0, connected: true, axes: [0, 0, -1, 0], buttons: [] }
  navigator.getGamepads = () => [window.pad]
})
await pad.goto(`${base}/dry-bench?rig=avocet`)
await pad.getByRole('button', { name: 'follow a game controller' }).click()
const row = pad.getByRole('row', { name: /^Aileron/i })
await row.waitFor()
const waits = []
for (let k = 0; k < Number(turns); k++) {
  waits.push(
    await row.evaluate(
      async (element, axis) => {
        const before = element.textContent
        window.pad.axes = [axis, 0, -1, 0]
        const at = performance.now()
        while (element.textContent === before && performance.now() - at < 2000) await new Promise(requestAnimationFrame)
        return performance.now() - at
      },
      k % 2 ? 0.6 : -0.6,
    ),
  )
  await sleep(150)
}
told('game controller, to the craft of the dry bench', waits)
await browser.close()

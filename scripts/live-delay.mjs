// Measures in the browser how long a value takes from the wire to the screen, of each live source: npm run live-delay -- http://127.0.0.1:8080
import { createServer } from 'node:net'
import { chromium } from 'playwright'

const [base = 'http://127.0.0.1:8080', turns = '60'] = process.argv.slice(2)
const TURN_MS = 350
const FRAME_MS = 10
/** The grain of a sound input, and some. */
const WITHIN_US = 60
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
    const us = k % 2 ? 1900 : 1100
    const at = await turn(k % 2)
    await sleep(TURN_MS + Math.random() * 30)
    const seen = (await page.evaluate(() => window.changes)).find(([when, text]) => when >= at && Math.abs(Number(text) - us) < WITHIN_US)
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
await page.getByRole('textbox', { name: 'Port' }).fill(String(server.address().port))
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

await page.close()

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
await serial.getByRole('radio', { name: 'a USB serial adapter' }).check()
await serial.getByRole('button', { name: 'Listen', exact: true }).click()
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

await serial.close()

// A pulse train in the sound input: the browser's own sound, as a lead would bring it.
const sound = await browser.newPage({ viewport: { width: 1280, height: 800 } })
await sound.addInitScript(() => {
  const MARK_S = 0.0003
  const context = new AudioContext()
  const to = context.createMediaStreamDestination()
  const LEVELS = [0.5, 0.4]
  const trains = [1100, 1900].map((us, which) => {
    const buffer = context.createBuffer(1, Math.round(context.sampleRate * 0.0225), context.sampleRate)
    const samples = buffer.getChannelData(0).fill(LEVELS[which])
    let at = 0
    for (const gap of [us, 1500, 1500, 1500, 1500, 1500, 1500, 1500, 0]) {
      samples.fill(-0.5, Math.round(at * context.sampleRate), Math.round((at + MARK_S) * context.sampleRate))
      at += gap / 1e6
    }
    return buffer
  })
  let playing = null
  window.play = async (which) => {
    await context.resume()
    playing?.stop()
    playing = new AudioBufferSourceNode(context, { buffer: trains[which], loop: true })
    playing.connect(to)
    playing.start()
    // The browser's own way from sound to samples is none of the page's: it counts from when they are there, told by their level.
    return new Promise((done) => (window.arrived = [LEVELS[which], done]))
  }
  const Node_ = window.AudioWorkletNode
  window.AudioWorkletNode = class extends Node_ {
    constructor(...told) {
      super(...told)
      this.port.addEventListener('message', ({ data }) => {
        const [level, done] = window.arrived ?? []
        if (done && Math.abs(Math.max(...data) - level) < 0.02) done(Date.now())
      })
    }
  }
  navigator.mediaDevices.getUserMedia = () => Promise.resolve(to.stream)
})
await sound.goto(`${base}/signals/live`)
await sound.evaluate(() => void window.play(0))
await sound.getByRole('radio', { name: 'the sound input' }).check()
await sound.getByRole('button', { name: 'Listen', exact: true }).click()
told('sound input, from its samples', await delays(sound, (k) => sound.evaluate((which) => window.play(which), k)))

await sound.close()

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

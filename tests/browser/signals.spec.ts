import { type AddressInfo, createServer } from 'node:net'
import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, pick, takeFrom, test } from './bench'

const sample = (name: string) => `demo/captures/${name}`

test('a capture is dropped, its finding read, and it is used for a rig', async ({ page }) => {
  const address = await copyOf(page, 'avocet', 'Phalarope')
  await page.goto('/')
  await page.getByRole('link', { name: 'Signal desk' }).click()
  const text = readFileSync(sample('dunlin-wrong-way-up.vcd'), 'utf8')
  const transfer = await page.evaluateHandle((content) => {
    const data = new DataTransfer()
    data.items.add(new File([content], 'wing.vcd'))
    return data
  }, text)
  await page.getByRole('region', { name: 'Bring a capture in' }).dispatchEvent('drop', { dataTransfer: transfer })
  await expect(page.getByRole('heading', { name: 'This is 16 × 11-bit, 420 k with CRC-8. All 75 frames are sound.' })).toBeVisible()
  await expect(page.getByText('The line is upside down: it idles low.')).toBeVisible()
  await expect(page.getByText('Put an inverter in between')).toBeVisible()
  await expect(page.getByText('420000 baud, 8N1')).toBeVisible()
  await expect(page.getByText('Frame 1 of 75')).toBeVisible()
  await expectAccessible(page)

  // Another one, for its values: the throttle never comes down.
  await page.getByRole('link', { name: 'Bring in another one' }).click()
  await page.getByLabel('choose a file: a capture').setInputFiles(sample('avocet-sticks.csv'))
  await expect(page.getByRole('heading', { name: /This is a log of values: 286 rows of 8 channels/ })).toBeVisible()
  const use = page.getByRole('region', { name: 'Use it for a rig' })
  await pick(use.getByLabel('Rig'), 'Phalarope')
  await expect(use.getByText('1085 / 1548.5 / 2012')).toBeVisible()
  await use.getByRole('button', { name: 'Take them over' }).click()
  await expect(page.getByText('Readings taken over.')).toBeVisible()
  await use.getByRole('link', { name: 'Judge the order' }).click()
  await expect(page.getByRole('textbox', { name: /Rows of a time/ })).toHaveValue(/^t_ms,ch1/)
  await expect(page.getByText(/Each stick|moves|on channel/).first()).toBeVisible()
  await page.goto(`${address}/history`)
  await expect(page.getByText('Read from the capture avocet-sticks.csv: channel 3 1085 / 1548.5 / 2012 µs')).toBeVisible()
})

test('a frame is found by keyboard, down to one byte', async ({ page }) => {
  await page.goto('/signals')
  await page.getByText('A sample', { exact: true }).click()
  await page.getByRole('button', { name: 'oystercatcher-link-cut.hex' }).click()
  await expect(page.getByText('The failsafe flag is up in 99 of 214 frames, first at 1.61 s.')).toBeVisible()
  const whole = page.getByRole('group', { name: /^The whole capture\./ })
  await whole.focus()
  for (let k = 0; k < 12; k++) await page.keyboard.press('PageDown')
  await expect(page.getByText('Frame 121 of 214')).toBeVisible()
  await expect(page.getByRole('row', { name: /23 flags .*frame lost, failsafe up/ })).toBeVisible()
  const close = page.getByRole('group', { name: /^One byte\./ })
  await close.focus()
  await expect(close).toContainText('0x0f start')
  await page.keyboard.press('ArrowRight')
  await expect(close).toContainText('channels')
  const frame = page.getByRole('group', { name: /^One frame\./ })
  await frame.focus()
  await expect(frame).toContainText('3.36 ms from')
  await page.keyboard.press('+')
  await expect(frame).toContainText('1.68 ms from')
  await page.getByRole('button', { name: 'Draw channel 5' }).click()
  await expect(whole).toContainText('channel 5 in µs')
  await page.setViewportSize({ width: 390, height: 844 })
  await expectNoSidewaysScroll(page)
  await expectAccessible(page)
})

test('what cannot be read is said with what was found', async ({ page }) => {
  await page.goto('/signals')
  await page.getByText('Paste it', { exact: true }).click()
  await page.getByLabel('Text of a capture').fill('time_us,level\nnothing;here\n')
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('alert')).toContainText('Found no row below the heading')
  await page.getByRole('link', { name: 'Bring in another one' }).click()
  await page.getByText('Paste it', { exact: true }).click()
  await page.getByLabel('Text of a capture').fill('11 22 33 44 '.repeat(40))
  await page.getByRole('button', { name: 'Read it' }).click()
  await expect(page.getByRole('heading', { name: 'This is none of the formats known here.' })).toBeVisible()
  await expect(page.getByText('4 bytes')).toBeVisible()
  await page.getByRole('link', { name: 'Write a format card from what was measured' }).click()
  await expect(page.getByLabel('Format card, YAML or JSON')).toHaveValue(/const: "11"/)

  const folder = mkdtempSync(join(tmpdir(), 'capture-'))
  const large = join(folder, 'large.bin')
  writeFileSync(large, '')
  truncateSync(large, 200 * 1024 * 1024)
  await page.goto('/signals')
  await page.getByLabel('choose a file: a capture').setInputFiles(large)
  await expect(page.getByRole('alert')).toContainText('Found a file of 209.7 MB; expected a capture of at most 64 MB.')
  rmSync(folder, { recursive: true })
})

/** Changes of a wire at 57600 baud, idle high: a header, five words and their sum every 12 ms. */
function wireOfNobody(): string {
  const rows = ['time_us,level', '0.000,1']
  const bit = 1e6 / 57_600
  for (let frame = 0; frame < 120; frame++) {
    const words = [0, 1, 2, 3, 4].map((k) => Math.round(1500 + 400 * Math.sin(frame / 9 + k)))
    const payload = words.flatMap((word) => [word & 255, word >> 8])
    const bytes = [0xd3, ...payload, payload.reduce((sum, byte) => sum + byte, 0xd3) & 255]
    let level = 1
    bytes.forEach((byte, at) => {
      const bits = [0, ...[0, 1, 2, 3, 4, 5, 6, 7].map((k) => (byte >> k) & 1), 1]
      bits.forEach((now, k) => {
        if (now !== level) rows.push(`${(2000 + frame * 12_000 + (at * 10 + k) * bit).toFixed(3)},${now}`)
        level = now
      })
    })
  }
  return rows.join('\n')
}

test('a format that nobody knows is measured on the wire, and the card drafted from it reads the capture', async ({ page }) => {
  await page.goto('/signals')
  await page.getByLabel('choose a file: a capture').setInputFiles({ name: 'strange.csv', mimeType: 'text/csv', buffer: Buffer.from(wireOfNobody()) })
  await expect(page.getByRole('heading', { name: 'This is none of the formats known here.' })).toBeVisible()
  await expect(page.getByText('57600 baud measured')).toBeVisible()
  await expect(page.getByText('sum8, over the bytes from 0 on')).toBeVisible()
  // Its bytes are shown on the wire, though nobody knows what they mean; keys go along it.
  const close = page.getByRole('group', { name: /^One byte\./ })
  await expect(close).toContainText('0xd3')
  await close.focus()
  await page.keyboard.press('ArrowRight')
  await expect(close).toContainText('0xdc')
  await page.getByRole('button', { name: 'Later' }).click()
  await expect(page.getByText('25 ms from 12.5 ms')).toBeVisible()
  await expectAccessible(page)

  await page.getByRole('link', { name: 'Write a format card from what was measured' }).click()
  const card = page.getByLabel('Format card, YAML or JSON')
  await page
    .getByRole('button', { name: /^Begin from what was measured/ })
    .or(card)
    .first()
    .click()
  await expect(card).toHaveValue(/const: "d3"/)
  await card.fill((await card.inputValue()).replace('id: my-format', 'id: strange').replace('My format', 'Sedge sum'))
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('heading', { name: 'This is Sedge sum. All 120 frames are sound.' })).toBeVisible()
  await expect(page.getByText('Frame 1 of 120')).toBeVisible()
  // Read as something else it is a wire again, and back.
  await pick(page.getByLabel('read as'), '16 × 11-bit, 420 k with CRC-8')
  await expect(page.getByText('changes of the wire')).toBeVisible()
  await expect(page.getByRole('row', { name: /always d3/ })).toBeHidden()
  await pick(page.getByLabel('read as'), 'whatever fits')
  await expect(page.getByText('Frame 1 of 120')).toBeVisible()
  await expect(page.getByText('changes of the wire')).toBeHidden()
  await page.goto('/signals/formats')
  await page.getByRole('listitem').filter({ hasText: 'Sedge sum' }).getByRole('button', { name: 'Take away' }).click()
  await expect(page.getByText('strange is gone.')).toBeVisible()
})

test('a format of one’s own is written, and a stand-in of it is recognised', async ({ page }) => {
  await page.goto('/signals/formats')
  await page.getByRole('listitem').filter({ hasText: 's115u' }).getByRole('button', { name: 'Begin from it' }).click()
  const card = page.getByLabel('Format card, YAML or JSON')
  await expect(card).toHaveValue(/id: my-format/)
  const text = (await card.inputValue())
    .replace('const: "2040"', 'const: "d1"')
    .replace('baud: 115200', 'baud: 9600')
    .replace('name: My format', 'name: Sedge words')
  await card.fill(text.replace('check: complement16', 'check: nonsense'))
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByRole('alert')).toContainText('parts.2')
  await card.fill(text)
  await page.getByRole('button', { name: 'Keep it' }).click()
  await expect(page.getByText('Sedge words is known from now on')).toBeVisible()
  await expectAccessible(page)
  await page.goto('/signals')
  await page.getByText('A stand-in', { exact: true }).click()
  await pick(page.getByLabel('It sends'), 'Sedge words')
  await page.getByRole('button', { name: 'Let it send' }).click()
  await expect(page.getByRole('heading', { name: /^This is Sedge words\. All \d+ frames are sound/ })).toBeVisible()
  await page.goto('/signals/formats')
  await page.getByRole('button', { name: 'Take away' }).click()
  await expect(page.getByText('my-format is gone.')).toBeVisible()
})

test('two wires are laid over one another', async ({ page }) => {
  await page.goto('/signals')
  await page.getByText('A sample', { exact: true }).click()
  await page.getByRole('button', { name: 'converter-two-wires.vcd' }).click()
  await expect(page.getByText('Frame 1 of')).toBeVisible()
  const id = /signals\/(\d+)/.exec(page.url())?.[1] ?? ''
  // The answer for the wires first asked comes when the one for the next is long there.
  const late = new Promise((resolve) => setTimeout(resolve, 2500))
  let answered = 0
  await page.route('**/captures/compare', async (route) => {
    const { b } = route.request().postDataJSON() as { b: { options: { line?: string } } }
    const answer = await route.fetch()
    if (b.options.line === undefined) await late
    await route.fulfill({ response: answer })
    answered += 1
  })
  await page.goto(`/signals/compare?a=${id}&b=${id}&line_a=before`)
  await pick(page.getByLabel('Wire of the second one'), 'after')
  await expect(page.getByText('1 arrives as 3, 3 arrives as 1')).toBeVisible()
  await expect(page.getByText('The travel differs.')).toBeVisible()
  await expect.poll(() => answered).toBe(2)
  await expect(page.getByText('1 arrives as 3, 3 arrives as 1')).toBeVisible()
  await page.getByRole('button', { name: 'channel 3', exact: true }).click()
  await expect(page.getByRole('img', { name: /^Channel 3 of the first capture, solid, and channel 1/ })).toBeVisible()
  await expectAccessible(page)
})

/** A port of this machine on which nothing listens just now. */
const freePort = () =>
  new Promise<number>((resolve) => {
    const server = createServer()
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo
      server.close(() => resolve(port))
    })
  })

test.describe('live', () => {
  let sender: ChildProcess
  let port = 0
  let silent = 0
  test.beforeAll(async () => {
    ;[port, silent] = await Promise.all([freePort(), freePort()])
    sender = spawn('php', ['artisan', 'linguator:stand-in', `--port=${port}`, '--format=s115e', '--seconds=60'], {
      stdio: ['ignore', 'ignore', 'pipe'],
    })
    await new Promise((resolve) => sender.stderr?.once('data', resolve))
  })
  test.afterAll(() => sender.kill())

  test('a stand-in on a port of this machine is listened to', async ({ page }) => {
    await page.goto('/signals/live')
    await takeFrom(page, 'port', silent)
    await page.getByRole('button', { name: 'Listen' }).click()
    await expect(page.getByRole('alert')).toContainText(`Nothing listens on port ${silent}`)
    await takeFrom(page, 'port', port)
    await page.getByRole('button', { name: 'Listen' }).click()
    await expect(page.getByText('This is eighth-µs words, 115 k with CRC-16.')).toBeVisible()
    const first = page.getByRole('listitem').filter({ has: page.getByRole('img', { name: /^Channel 1 at/ }) })
    const before = await first.innerText()
    await expect.poll(async () => await first.innerText()).not.toBe(before)
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Stop' }).click()
    await expect(page.getByRole('button', { name: 'Listen' })).toBeVisible()
  })

  test('a serial adapter is read through the browser', async ({ page }) => {
    const hex = readFileSync(sample('avocet-eighths.bin')).toString('hex')
    await page.addInitScript((bytes) => {
      const all = Uint8Array.from(bytes.match(/../g) ?? [], (pair) => parseInt(pair, 16))
      const adapter = {
        open: () => Promise.resolve(),
        close: () => Promise.resolve(),
        readable: new ReadableStream({
          async start(stream) {
            for (let at = 0; at < all.length; at += 64) {
              stream.enqueue(all.slice(at, at + 64))
              await new Promise((resolve) => setTimeout(resolve, 10))
            }
          },
        }),
      }
      Object.defineProperty(navigator, 'serial', { value: { requestPort: () => Promise.resolve(adapter) } })
    }, hex)
    await page.goto('/signals/live')
    await takeFrom(page, 'adapter')
    await page.getByRole('button', { name: 'Listen' }).click()
    await expect(page.getByText('This is eighth-µs words, 115 k with CRC-16.')).toBeVisible()
    await expect(page.getByRole('img', { name: /^Channel 12 at 1500 µs/ })).toBeVisible()
    await page.getByRole('button', { name: 'Stop' }).click()
  })
})

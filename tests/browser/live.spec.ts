import { type AddressInfo, createServer, type Socket } from 'node:net'
import { resolve } from 'node:path'
import { expect, expectAccessible, test } from './bench'

const launched = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-background-networking',
    '--use-fake-device-for-media-stream',
    '--use-fake-ui-for-media-stream',
    `--use-file-for-fake-audio-capture=${resolve('demo/captures/mudlark-train.wav')}`,
  ],
}

test.use({ launchOptions: launched })

test.describe('the sound input', () => {
  test('a pulse train in line-in is read as it comes, with its grain', async ({ page }) => {
    await page.goto('/signals/live')
    await page.getByRole('button', { name: 'Hear the input' }).click()
    await expect(page.getByText('This is Pulse train.')).toBeVisible()
    await expect(page.getByText('grain 22.7 µs')).toBeVisible()
    const first = page.getByRole('listitem').filter({ has: page.getByRole('img', { name: /^Channel 1 at 1[0-9]{3}/ }) })
    await expect(first).toBeVisible()
    // The sticks of the recording go round.
    const before = await first.innerText()
    await expect.poll(async () => await first.innerText()).not.toBe(before)
    await expectAccessible(page)
    await page.getByRole('button', { name: 'Stop' }).click()
    await expect(page.getByRole('button', { name: 'Hear the input' })).toBeVisible()
  })
})

test('a sender that falls silent is said at once, and it takes up again by itself', async ({ page }) => {
  const sockets = new Set<Socket>()
  const server = createServer((socket) => {
    sockets.add(socket)
    socket.on('error', () => sockets.delete(socket))
    socket.on('close', () => sockets.delete(socket))
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  await page.goto('/')
  const frame = await page.evaluate(async () => {
    const frames = [{ us: Array.from({ length: 12 }, () => 1500) }]
    const response = await fetch('/api/v1/encode', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ format: 's115e', frames }),
    })
    return ((await response.json()) as { hex: string[] }).hex[0] ?? ''
  })
  let isSending = true
  const pace = setInterval(() => {
    if (isSending) for (const socket of sockets) socket.write(Buffer.from(frame, 'hex'))
  }, 10)
  try {
    await page.goto('/signals/live')
    await page.getByLabel('Port').fill(String((server.address() as AddressInfo).port))
    await page.getByRole('button', { name: 'Listen', exact: true }).click()
    await expect(page.getByText('This is eighth-µs words, 115 k with CRC-16.')).toBeVisible()
    await expect(page.getByRole('alert')).toHaveCount(0)
    isSending = false
    const silent = Date.now()
    await expect(page.getByRole('alert')).toContainText('Nothing comes in', { timeout: 5000 })
    // Half a second, and what this machine needs to draw it.
    expect(Date.now() - silent).toBeLessThan(1500)
    isSending = true
    await expect(page.getByRole('alert')).toHaveCount(0)
    await expect(page.getByRole('button', { name: 'Stop' })).toBeVisible()
  } finally {
    clearInterval(pace)
    for (const socket of sockets) socket.destroy()
    server.close()
  }
})

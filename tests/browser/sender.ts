import type { Page } from '@playwright/test'
import { type AddressInfo, createServer, type Socket } from 'node:net'
import { posted } from './bench'

/** Something on a port of this machine that sends what it is told, and what it was told last again and again. */
export async function sender(pace_ms: number) {
  const sockets = new Set<Socket>()
  const server = createServer((socket) => {
    sockets.add(socket)
    socket.on('error', () => sockets.delete(socket))
    socket.on('close', () => sockets.delete(socket))
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  let queue: Buffer[] = []
  /** What is sent again and again: by turns, since what comes over the air is never quite the same. */
  let kept: Buffer[] = []
  // By the clock: a machine that wakes this late does not make what is held last longer.
  let sent_ms = performance.now()
  const timer = setInterval(() => {
    for (; sent_ms + pace_ms <= performance.now(); sent_ms += pace_ms) {
      const next = queue.shift() ?? kept[0]
      if (queue.length === 0) kept.push(...kept.splice(0, 1))
      if (next !== undefined) for (const socket of sockets) socket.write(next)
    }
  }, pace_ms)

  return {
    port: (server.address() as AddressInfo).port,
    /** These in turn, and the last one, or so many, of them from then on. */
    send: (bytes: Buffer[], again = 1) => ([queue, kept] = [[...bytes], bytes.slice(-again)]),
    silence: () => ([queue, kept] = [[], []]),
    end: () => {
      clearInterval(timer)
      for (const socket of sockets) socket.destroy()
      server.close()
    },
  }
}

/** Frames of 16 channels; what is not told stands in its middle. */
export async function framesOf(page: Page, rows: number[][]): Promise<Buffer[]> {
  const frames = rows.map((row) => ({ us: Array.from({ length: 16 }, (_, k) => row[k] ?? 1500) }))
  const { hex } = await posted<{ hex: string[] }>(page, '/encode', { format: 's115e', frames })
  return hex.map((one) => Buffer.from(one, 'hex'))
}

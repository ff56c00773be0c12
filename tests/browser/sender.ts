import type { Page } from '@playwright/test'
import { type AddressInfo, createServer, type Socket } from 'node:net'
import { posted } from './bench'

/** Something on a port of this machine that sends the same bytes again and again, and others once it is told. */
export async function sender(pace_ms: number) {
  const sockets = new Set<Socket>()
  const server = createServer((socket) => {
    sockets.add(socket)
    socket.on('error', () => sockets.delete(socket))
    socket.on('close', () => sockets.delete(socket))
  })
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
  let queue: Buffer[] = []
  let last: Buffer | null = null
  const timer = setInterval(() => {
    last = queue.shift() ?? last
    if (last !== null) for (const socket of sockets) socket.write(last)
  }, pace_ms)

  return {
    port: (server.address() as AddressInfo).port,
    /** These in turn, and the last one of them from then on. */
    send: (bytes: Buffer[]) => (queue = [...bytes]),
    silence: () => ([queue, last] = [[], null]),
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

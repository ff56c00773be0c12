import type { LiveSeen } from '@/api/captures'
import { linesOf, streamFrom } from '@/api/http'
import { type LiveSource, rowsFor } from './source'

const ENDED: Record<string, string> = {
  sender: 'The sender has closed the connection.',
  time: 'Five minutes have passed; listen again if you need more.',
}

/** What a sender on a port of this machine says, read by the core as it comes. Its times are those at which it reached this machine. */
export function portSource(port: number, format = ''): LiveSource {
  let abort: AbortController | null = null

  return {
    async start(listener) {
      const own = (abort = new AbortController())
      const response = await streamFrom('/live/tcp', { port, format }, own.signal)
      const hand = rowsFor(listener)
      let last = -1
      let why = ENDED['sender'] ?? ''
      const listen = async (): Promise<void> => {
        for await (const lines of linesOf(response)) {
          for (const line of lines) {
            const now = JSON.parse(line) as LiveSeen
            if (now.ended) why = ENDED[now.ended] ?? why
            // The same frame told once more is none.
            if (now.t_ms === null || now.t_ms <= last) listener.seen?.(now)
            else hand(now, (last = now.t_ms))
          }
        }
      }
      void listen()
        .then(() => listener.ended(why))
        .catch(() => {
          if (!own.signal.aborted) listener.ended('The connection broke: look at the sender.')
        })
    },
    stop: () => abort?.abort(),
  }
}

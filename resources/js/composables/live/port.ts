import type { LiveSeen } from '@/api/captures'
import { linesOf, streamFrom } from '@/api/http'
import type { LiveSource } from './source'

/** What a sender on a port of this machine says, read by the core as it comes. */
export function portSource(port: number): LiveSource {
  let abort: AbortController | null = null

  async function listen(response: Response, take: (seen: LiveSeen) => void): Promise<void> {
    for await (const lines of linesOf(response)) for (const line of lines) take(JSON.parse(line) as LiveSeen)
  }

  return {
    async start(take, ended) {
      abort = new AbortController()
      const response = await streamFrom('/live/tcp', { port, format: '' }, abort.signal)
      let many = 0
      let last = -1
      void listen(response, (seen) => {
        const us = seen.channels.map((channel) => channel.us)
        if (many === 0) many = us.length
        // The time is the server's: here answers may come in bunches. The same frame told once more is none.
        if (us.length === 0 || us.length !== many || seen.t_ms === null || seen.t_ms <= last) return
        last = seen.t_ms
        take({ t_ms: seen.t_ms, us })
      })
        .then(() => ended('The sender has closed the connection.'))
        .catch((error: unknown) => {
          if (!(error instanceof DOMException)) ended('The connection broke: look at the sender.')
        })
    },
    stop: () => abort?.abort(),
  }
}

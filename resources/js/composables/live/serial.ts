import type { LiveSeen } from '@/api/captures'
import type { LineChoice } from '@/api/choices'
import { postJson, sentenceOf } from '@/api/http'
import { type Listener, type LiveSource, rowsFor } from './source'

/** The serial adapter as browsers hand it to a page. */
interface SerialLike {
  open: (options: Record<string, unknown>) => Promise<void>
  close: () => Promise<void>
  readable: ReadableStream<Uint8Array> | null
}

/** The last bytes are sent for decoding, so often. */
const TELL_MS = 40
const WINDOW_BYTES = 2048
const ADAPTER_BUFFER = 8192
const HEX = 16

export const hasSerial = () => 'serial' in navigator

/** A serial adapter that the browser hands to this page; its last bytes are read by the core, one stretch after the other. */
export function serialSource(line: LineChoice, format = ''): LiveSource {
  let adapter: SerialLike | null = null
  let telling = 0
  let held: number[] = []
  let heldAt = 0

  function tell(listener: Listener): () => void {
    const hand = rowsFor(listener)
    let card = format
    let isAsking = false
    let lastAt = 0
    return () => {
      if (isAsking || heldAt === lastAt) return
      isAsking = true
      const at = (lastAt = heldAt)
      const hex = held.map((byte) => byte.toString(HEX).padStart(2, '0')).join('')
      postJson<LiveSeen>('/live/bytes', { hex, format: card })
        .then((now) => {
          if (format === '') card = now.card ?? ''
          hand(now, at)
        })
        .catch((error: unknown) => listener.ended(sentenceOf(error)))
        .finally(() => (isAsking = false))
    }
  }

  async function read(from: SerialLike): Promise<void> {
    const reader = from.readable?.getReader()
    try {
      while (adapter === from) {
        const part = await reader?.read()
        if (!part || part.done) break
        held = [...held, ...part.value].slice(-WINDOW_BYTES)
        heldAt = performance.now()
      }
    } finally {
      reader?.releaseLock()
    }
  }

  function stop(): void {
    window.clearInterval(telling)
    const open = adapter
    adapter = null
    if (open) void open.close().catch(() => undefined)
  }

  return {
    async start(listener) {
      held = []
      try {
        const serials = (navigator as unknown as { serial: { requestPort: () => Promise<SerialLike> } }).serial
        const chosen = await serials.requestPort()
        await chosen.open({ baudRate: line.baud, dataBits: 8, parity: line.parity, stopBits: line.stop, bufferSize: ADAPTER_BUFFER })
        adapter = chosen
      } catch (error) {
        throw new Error(`The adapter cannot be read: ${sentenceOf(error)}`, { cause: error })
      }
      telling = window.setInterval(tell(listener), TELL_MS)
      const own = adapter
      void read(own)
        .then(() => {
          if (adapter === own) listener.ended('The adapter sends nothing more: look at its plug.')
        })
        .catch((error: unknown) => listener.ended(`The adapter cannot be read: ${sentenceOf(error)}`))
    },
    stop,
  }
}

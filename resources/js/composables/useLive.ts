import { useIntervalFn } from '@vueuse/core'
import { onBeforeUnmount, type Ref, ref } from 'vue'
import type { LiveSeen } from '@/api/captures'
import type { LineChoice } from '@/api/choices'
import { ApiError, linesOf, postJson, sentenceOf, streamFrom } from '@/api/http'

/** The serial adapter as browsers hand it to a page. */
interface SerialLike {
  open: (options: Record<string, unknown>) => Promise<void>
  close: () => Promise<void>
  readable: ReadableStream<Uint8Array> | null
}

/** Of a serial adapter the last bytes are sent for decoding, so often. */
const TELL_MS = 40
const WINDOW_BYTES = 2048
const ADAPTER_BUFFER = 8192
const HEX = 16
/** Frames are counted over so long. */
const COUNT_MS = 500
const MS_PER_S = 1000

/** Frames a second, of a count that only grows. */
function useRate() {
  const rate = ref(0)
  let lastCount = 0
  let lastAt = 0

  function count(good: number): void {
    const at = performance.now()
    if (at - lastAt <= COUNT_MS) return
    rate.value = lastAt === 0 ? 0 : ((good - lastCount) * MS_PER_S) / (at - lastAt)
    lastCount = good
    lastAt = at
  }

  function reset(): void {
    lastAt = lastCount = 0
  }

  return { rate, count, reset }
}

/** Something that sends now, over a port of this machine or a serial adapter: its newest values, until it is stopped. */
export function useLive(format: Ref<string>) {
  const seen = ref<LiveSeen | null>(null)
  const state = ref<'off' | 'tcp' | 'serial'>('off')
  const problem = ref('')
  const { rate, count, reset } = useRate()
  let abort: AbortController | null = null
  let serial: SerialLike | null = null
  let held: number[] = []
  let isAsking = false

  function show(now: LiveSeen): void {
    count(now.good)
    seen.value = now
    if (now.ended) {
      problem.value = now.ended === 'sender' ? 'The sender has closed the connection.' : 'Five minutes have passed; listen again if you need more.'
    }
  }

  async function listen(port: number): Promise<void> {
    stop()
    problem.value = ''
    reset()
    abort = new AbortController()
    state.value = 'tcp'
    try {
      const response = await streamFrom('/live/tcp', { port, format: format.value }, abort.signal)
      // Only the newest is shown.
      for await (const lines of linesOf(response)) show(JSON.parse(lines[lines.length - 1] ?? '') as LiveSeen)
    } catch (error) {
      if (!(error instanceof DOMException)) problem.value = error instanceof ApiError ? error.message : sentenceOf(error)
    } finally {
      if (state.value === 'tcp') state.value = 'off'
    }
  }

  async function listenToSerial(line: LineChoice): Promise<void> {
    stop()
    problem.value = ''
    try {
      const serials = (navigator as unknown as { serial: { requestPort: () => Promise<SerialLike> } }).serial
      serial = await serials.requestPort()
      await serial.open({ baudRate: line.baud, dataBits: 8, parity: line.parity, stopBits: line.stop, bufferSize: ADAPTER_BUFFER })
      state.value = 'serial'
      await readSerial(serial)
    } catch (error) {
      problem.value = `The adapter cannot be read: ${sentenceOf(error)}`
      state.value = 'off'
    }
  }

  const telling = useIntervalFn(tell, TELL_MS, { immediate: false })

  /** The last bytes are told one stretch after the other: the next when the one before is answered. */
  function tell(): void {
    if (isAsking || held.length === 0) return
    isAsking = true
    const hex = held.map((byte) => byte.toString(HEX).padStart(2, '0')).join('')
    postJson<LiveSeen>('/live/bytes', { hex, format: format.value === '' ? (seen.value?.card ?? '') : format.value })
      .then(show)
      .catch((error: unknown) => (problem.value = sentenceOf(error)))
      .finally(() => (isAsking = false))
  }

  async function readSerial(from: SerialLike): Promise<void> {
    const reader = from.readable?.getReader()
    held = []
    telling.resume()
    try {
      while (state.value === 'serial') {
        const part = await reader?.read()
        if (!part || part.done) break
        held = [...held, ...part.value].slice(-WINDOW_BYTES)
      }
    } finally {
      telling.pause()
      reader?.releaseLock()
    }
  }

  function stop(): void {
    abort?.abort()
    abort = null
    const open = serial
    serial = null
    state.value = 'off'
    if (open) void open.close().catch(() => undefined)
  }
  onBeforeUnmount(stop)

  return { seen, state, problem, rate, listen, listenToSerial, stop, hasSerial: 'serial' in navigator }
}

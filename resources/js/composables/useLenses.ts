import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { CaptureOptions, CaptureReading, FrameSeen, Span, WaveSeen } from '@/api/captures'
import { postJson, sentenceOf } from '@/api/http'
import { around, back, lengthOf, middleOf, moved, type Stretch, usOf, zoomed } from '@/lib/scale'

const WAIT_MS = 60
/** Shown before and behind a frame, as a share of it. */
const MARGIN = 0.06
/** The same of a byte. */
const BYTE_MARGIN = 0.12
const USUAL_PERIOD_US = 20_000
/** Of a wire nobody can read so much is shown at first. */
const FIRST_LOOK_US = 25_000
const SHORTEST_US = 2

/** A capture looked at three times closer: the whole, one frame of it, one byte of that. Times in µs from its begin. */
export function useLenses(reading: () => CaptureReading, options: () => CaptureOptions) {
  const whole = computed<Stretch>(() => ({ from: 0, to: Math.max(reading().desk.ends_us ?? 0, 1000) }))
  const frames = computed(() => reading().answer.frames.good)
  const hasWire = computed(() => reading().answer.kind !== 'csv' || reading().answer.wires.length > 0)
  const periodUs = computed(() => usOf(reading().answer.period_ms?.mean ?? 0) || whole.value.to / Math.max(1, frames.value) || USUAL_PERIOD_US)

  const index = ref(0)
  const frame = ref<FrameSeen | null>(null)
  const middle = ref<Stretch>({ from: 0, to: 1 })
  const near = ref<Stretch>({ from: 0, to: 1 })
  const wave = ref<WaveSeen | null>(null)
  /** Where the wire is busy, for a capture without values to draw. */
  const busy = ref<WaveSeen | null>(null)
  const problem = ref('')
  const soon = useDebounceFn(() => readWave(), WAIT_MS)

  const timeOf = (span: Span) => (span.t_ms === null ? span.frame * periodUs.value : usOf(span.t_ms))

  /** The sound frame that begins nearest to a time. */
  function indexAt(us: number): number {
    const spans = reading().desk.spans
    let best = spans[0]
    for (const span of spans) if (timeOf(span) <= us) best = span
    if (best === undefined) return 0
    return Math.min(frames.value - 1, Math.max(0, best.frame + Math.round(lengthOf({ from: timeOf(best), to: us }) / periodUs.value)))
  }

  async function readFrame(): Promise<void> {
    busy.value = null
    if (frames.value === 0) {
      frame.value = null
      middle.value = { from: 0, to: Math.min(whole.value.to, FIRST_LOOK_US) }
      if (hasWire.value) busy.value = await windowOf(whole.value)
      return
    }
    // Read as another format there may be fewer.
    index.value = Math.min(index.value, frames.value - 1)
    try {
      const seen = await postJson<FrameSeen>(`/captures/${reading().capture.id}/frame`, { index: index.value, options: options() })
      // Keys are quicker than answers: only the newest one counts.
      if (seen.index !== index.value) return
      frame.value = seen
      middle.value = around(seen.begins_us ?? 0, seen.lasts_us ?? periodUs.value, MARGIN)
    } catch (error) {
      problem.value = sentenceOf(error)
    }
  }

  async function windowOf(stretch: Stretch): Promise<WaveSeen | null> {
    try {
      return await postJson<WaveSeen>(`/captures/${reading().capture.id}/window`, {
        from_us: stretch.from,
        to_us: stretch.to,
        options: options(),
      })
    } catch (error) {
      problem.value = sentenceOf(error)
      return null
    }
  }

  async function readWave(): Promise<void> {
    const asked = { ...middle.value }
    const seen = await windowOf(asked)
    if (seen !== null) {
      if (asked.from !== middle.value.from || asked.to !== middle.value.to) return
      wave.value = seen
      const first = seen.bytes.find((byte) => byte.us >= asked.from) ?? seen.bytes[0]
      near.value = first ? aroundByte(first) : moved({ from: asked.from, to: asked.from + lengthOf(asked) / 12 }, 0, asked)
      problem.value = ''
    }
  }

  const aroundByte = (byte: { us: number; to_us: number }): Stretch => around(byte.us, lengthOf({ from: byte.us, to: byte.to_us }), BYTE_MARGIN)

  /** To another frame; where there are none, along the wire. */
  function step(by: number): void {
    if (frames.value === 0) {
      middle.value = moved(middle.value, Math.max(-10, Math.min(10, by)) * 0.5 * lengthOf(middle.value), whole.value)
      return
    }
    const next = Math.min(frames.value - 1, Math.max(0, index.value + by))
    if (next !== index.value) index.value = next
  }

  function stepByte(by: number): void {
    const bytes = wave.value?.bytes ?? []
    const at = middleOf(near.value)
    const here = bytes.findIndex((byte) => byte.us <= at && byte.to_us >= at)
    const next = bytes[Math.min(bytes.length - 1, Math.max(0, here + by))]
    if (next) near.value = aroundByte(next)
    else near.value = moved(near.value, (by * lengthOf(near.value)) / 2, middle.value)
  }

  function pickNear(us: number): void {
    const byte = wave.value?.bytes.find((one) => one.us <= us && one.to_us >= us)
    near.value = byte ? aroundByte(byte) : moved(near.value, back(us, middleOf(near.value)), middle.value)
  }

  function zoom(factor: number): void {
    middle.value = zoomed(middle.value, factor, whole.value, SHORTEST_US)
  }

  watch(middle, () => {
    if (!hasWire.value) return
    void soon()
  })
  watch(
    () => reading().capture.id,
    () => (index.value = 0),
  )
  watch(
    () => [index.value, reading()] as const,
    () => void readFrame(),
    { immediate: true },
  )

  const field = computed(() => {
    const at = middleOf(near.value)
    return wave.value?.bytes.find((byte) => byte.us <= at && byte.to_us >= at) ?? null
  })

  return { whole, frames, hasWire, index, frame, middle, near, wave, busy, problem, field, timeOf, indexAt, step, stepByte, pickNear, zoom }
}

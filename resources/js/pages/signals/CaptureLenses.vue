<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { type CaptureOptions, type CaptureReading, type FrameSeen, type Span, type WaveSeen } from '@/api/captures'
import { postJson, sentenceOf } from '@/api/http'
import { useKeys } from '@/composables/useKeys'
import FrameInspector from './FrameInspector.vue'
import { lengthOf, moved, type Stretch, timeWords, zoomed } from './scale'
import WaveDrawing from './WaveDrawing.vue'
import WholeDrawing from './WholeDrawing.vue'

export interface CaptureLensesProps {
  reading: CaptureReading
  options: CaptureOptions
  /** Shown over the whole capture. */
  channel: number
}
const props = defineProps<CaptureLensesProps>()

const WAIT_MS = 60
/** Shown before and behind a frame, as a share of it. */
const MARGIN = 0.06
const USUAL_PERIOD_US = 20_000
/** Of a wire nobody can read so much is shown at first. */
const FIRST_LOOK_US = 25_000
const SHORTEST_US = 2

const whole = computed<Stretch>(() => ({ from: 0, to: Math.max(props.reading.desk.ends_us ?? 0, 1000) }))
const frames = computed(() => props.reading.answer.frames.good)
const hasWire = computed(() => props.reading.answer.kind !== 'csv' || props.reading.answer.wires.length > 0)
const periodUs = computed(() => (props.reading.answer.period_ms?.mean ?? 0) * 1000 || whole.value.to / Math.max(1, frames.value) || USUAL_PERIOD_US)

const index = ref(0)
const frame = ref<FrameSeen | null>(null)
const middle = ref<Stretch>({ from: 0, to: 1 })
const near = ref<Stretch>({ from: 0, to: 1 })
const wave = ref<WaveSeen | null>(null)
/** Where the wire is busy, for a capture without values to draw. */
const busy = ref<WaveSeen | null>(null)
const problem = ref('')
let timer = 0

const timeOf = (span: Span) => (span.t_ms === null ? span.frame * periodUs.value : span.t_ms * 1000)

/** The sound frame that begins nearest to a time. */
function indexAt(us: number): number {
  const spans = props.reading.desk.spans
  let best = spans[0]
  for (const span of spans) if (timeOf(span) <= us) best = span
  if (best === undefined) return 0
  return Math.min(frames.value - 1, Math.max(0, best.frame + Math.round((us - timeOf(best)) / periodUs.value)))
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
    const seen = await postJson<FrameSeen>(`/captures/${props.reading.capture.id}/frame`, { index: index.value, options: props.options })
    // Keys are quicker than answers: only the newest one counts.
    if (seen.index !== index.value) return
    frame.value = seen
    const length = seen.lasts_us ?? periodUs.value
    const from = (seen.begins_us ?? 0) - MARGIN * length
    middle.value = { from, to: from + length * (1 + 2 * MARGIN) }
  } catch (error) {
    problem.value = sentenceOf(error)
  }
}

async function windowOf(stretch: Stretch): Promise<WaveSeen | null> {
  try {
    return await postJson<WaveSeen>(`/captures/${props.reading.capture.id}/window`, {
      from_us: stretch.from,
      to_us: stretch.to,
      options: props.options,
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

const aroundByte = (byte: { us: number; to_us: number }): Stretch => ({
  from: byte.us - 0.12 * (byte.to_us - byte.us),
  to: byte.to_us + 0.12 * (byte.to_us - byte.us),
})

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
  const at = (near.value.from + near.value.to) / 2
  const here = bytes.findIndex((byte) => byte.us <= at && byte.to_us >= at)
  const next = bytes[Math.min(bytes.length - 1, Math.max(0, here + by))]
  if (next) near.value = aroundByte(next)
  else near.value = moved(near.value, (by * lengthOf(near.value)) / 2, middle.value)
}

function pickNear(us: number): void {
  const byte = wave.value?.bytes.find((one) => one.us <= us && one.to_us >= us)
  near.value = byte ? aroundByte(byte) : moved(near.value, us - (near.value.from + near.value.to) / 2, middle.value)
}

function zoom(factor: number): void {
  middle.value = zoomed(middle.value, factor, whole.value, SHORTEST_US)
}

function keyOnWhole(event: KeyboardEvent): void {
  const steps: Record<string, number> = { ArrowRight: 1, ArrowLeft: -1, PageDown: 10, PageUp: -10, End: frames.value, Home: -frames.value }
  if (steps[event.key] === undefined) return
  event.preventDefault()
  step(steps[event.key] ?? 0)
}

function keyOnFrame(event: KeyboardEvent): void {
  if (event.key === '+' || event.key === '=') zoom(0.5)
  else if (event.key === '-') zoom(2)
  else if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
    middle.value = moved(middle.value, (event.key === 'ArrowRight' ? 1 : -1) * 0.25 * lengthOf(middle.value), whole.value)
  } else return
  event.preventDefault()
}

/** From anywhere on the page: hands are busy, and a lens need not be found first. */
useKeys((key) => {
  if (key === 'ArrowRight' || key === 'ArrowLeft') step(key === 'ArrowRight' ? 1 : -1)
  else if (key === '+' || key === '-') zoom(key === '+' ? 0.5 : 2)
  else if (key === ']' || key === '[') stepByte(key === ']' ? 1 : -1)
  else return false
  return true
})

function keyOnByte(event: KeyboardEvent): void {
  if (event.key !== 'ArrowRight' && event.key !== 'ArrowLeft') return
  event.preventDefault()
  stepByte(event.key === 'ArrowRight' ? 1 : -1)
}

watch(middle, () => {
  if (!hasWire.value) return
  window.clearTimeout(timer)
  timer = window.setTimeout(() => void readWave(), WAIT_MS)
})
watch(
  () => props.reading.capture.id,
  () => (index.value = 0),
)
watch(
  () => [index.value, props.reading] as const,
  () => void readFrame(),
  { immediate: true },
)

const field = computed(() => {
  const at = (near.value.from + near.value.to) / 2
  return wave.value?.bytes.find((byte) => byte.us <= at && byte.to_us >= at) ?? null
})
const isPulses = computed(() => props.reading.answer.format === 'ppm' || props.reading.answer.format === 'pwm')
const middleWords = computed(() => `${timeWords(lengthOf(middle.value))} from ${timeWords(Math.max(0, middle.value.from))}`)
</script>

<template>
  <section class="lenses" aria-labelledby="lenses-title">
    <h2 id="lenses-title">The evidence, three times closer</h2>
    <div
      class="lens"
      tabindex="0"
      role="group"
      aria-label="The whole capture. Arrow keys go from frame to frame, page keys ten at a time."
      @keydown="keyOnWhole"
    >
      <p class="head">
        <b>The whole capture</b>
        <span class="muted">{{ timeWords(lengthOf(whole)) }}, {{ busy ? 'changes of the wire' : `channel ${channel} in µs` }}</span>
        <span v-if="reading.answer.flags.failsafe > 0" class="key"><i class="failsafe" aria-hidden="true"></i> failsafe</span>
        <span v-if="reading.answer.flags.frame_lost > 0" class="key"><i class="frame-lost" aria-hidden="true"></i> frame lost</span>
        <span v-if="reading.answer.bad_frames.length > 0" class="key"><i class="bad" aria-hidden="true"></i> bad frame</span>
        <span v-if="!reading.desk.has_times && frames > 0" class="muted small">no times in it: frames are laid out at the usual period</span>
      </p>
      <WaveDrawing
        v-if="busy"
        :wave="{ ...busy, bytes: [] }"
        :stretch="whole"
        :bracket="middle"
        :label="`Where the wire is busy; the bracket begins at ${timeWords(Math.max(0, middle.from))}`"
        @pick="middle = moved(middle, $event - (middle.from + middle.to) / 2, whole)"
      />
      <WholeDrawing
        v-else
        :reading="reading"
        :channel="channel"
        :stretch="whole"
        :bracket="middle"
        :time-of="timeOf"
        @pick="frames > 0 ? (index = indexAt($event)) : (middle = moved(middle, $event - middle.from, whole))"
      />
    </div>
    <template v-if="hasWire && wave">
      <div class="lens" tabindex="0" role="group" aria-label="One frame. Plus and minus zoom, arrow keys move." @keydown="keyOnFrame">
        <p class="head">
          <b v-if="frames > 0">Frame {{ index + 1 }} of {{ frames }}</b
          ><b v-else>The wire</b> <span class="muted">{{ middleWords }}</span>
          <span v-if="wave.drawn" class="muted small">drawn from its bytes</span>
          <span class="steps">
            <button type="button" :aria-label="frames > 0 ? 'Frame before' : 'Earlier'" :disabled="frames > 0 && index === 0" @click="step(-1)">
              ◂
            </button>
            <button type="button" :aria-label="frames > 0 ? 'Next frame' : 'Later'" :disabled="frames > 0 && index >= frames - 1" @click="step(1)">
              ▸
            </button>
            <button type="button" aria-label="Closer" @click="zoom(0.5)">+</button>
            <button type="button" aria-label="Further" @click="zoom(2)">−</button>
          </span>
        </p>
        <WaveDrawing :wave="wave" :stretch="middle" :bracket="near" :label="`Level of the wire over ${middleWords}`" @pick="pickNear" />
      </div>
      <div class="lens" tabindex="0" role="group" aria-label="One byte. Arrow keys go from byte to byte." @keydown="keyOnByte">
        <p class="head">
          <b>{{ field === null ? 'Close up' : isPulses ? 'One channel' : 'One byte' }}</b>
          <span v-if="field" class="muted"
            ><span class="value">{{ isPulses ? `${field.hex} µs` : `0x${field.hex}` }}</span>
            {{ field.name || (frames > 0 ? 'not part of a sound frame' : '') }}</span
          >
          <span class="muted">{{ timeWords(lengthOf(near)) }}</span>
          <span class="steps">
            <button type="button" aria-label="Byte before" @click="stepByte(-1)">◂</button>
            <button type="button" aria-label="Next byte" @click="stepByte(1)">▸</button>
          </span>
        </p>
        <WaveDrawing :wave="wave" :stretch="near" :label="`Level of the wire over ${timeWords(lengthOf(near))}`" />
      </div>
    </template>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <FrameInspector v-if="frame" :frame="frame" />
  </section>
</template>

<style scoped>
.lens {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  margin-top: 0.6rem;
  overflow: hidden;
  padding-bottom: 4px;
}
.lens + .lens {
  border-top: 2px solid var(--amber-line);
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.2rem 0.8rem;
  padding: 0.35rem 0.7rem;
}
.key {
  font-size: 0.85rem;
}
.key i {
  display: inline-block;
  width: 18px;
  height: 6px;
  background: var(--stop);
  vertical-align: middle;
}
.key .frame-lost {
  height: 3px;
  background: var(--amber-line);
}
.key .bad {
  width: 2px;
  height: 12px;
}
.steps {
  margin-left: auto;
  display: flex;
  gap: 0.3rem;
}
.steps button {
  min-width: 34px;
  min-height: 30px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--paper);
  cursor: pointer;
}
.steps button:disabled {
  opacity: 0.4;
  cursor: default;
}
@media (max-width: 700px) {
  .steps button {
    min-width: 42px;
    min-height: 42px;
  }
}
</style>

<script setup lang="ts">
import WordLine from '@/components/WordLine.vue'
import { computed } from 'vue'
import type { CaptureOptions, CaptureReading } from '@/api/captures'
import { useKeys } from '@/composables/useKeys'
import { useLenses } from '@/composables/useLenses'
import { back, lengthOf, middleOf, moved, timeWords } from '@/lib/scale'
import FrameInspector from './FrameInspector.vue'
import WaveDrawing from './WaveDrawing.vue'
import WholeDrawing from './WholeDrawing.vue'

export interface CaptureLensesProps {
  reading: CaptureReading
  options: CaptureOptions
  /** Shown over the whole capture. */
  channel: number
}
const props = defineProps<CaptureLensesProps>()

const { whole, frames, hasWire, index, frame, middle, near, wave, busy, problem, field, timeOf, indexAt, step, stepByte, pickNear, zoom } = useLenses(
  () => props.reading,
  () => props.options,
)

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

const isPulses = computed(() => props.reading.answer.format === 'ppm' || props.reading.answer.format === 'pwm')
const middleWords = computed(() => `${timeWords(lengthOf(middle.value))} from ${timeWords(Math.max(0, middle.value.from))}`)
</script>

<template>
  <section class="lenses" aria-labelledby="lenses-title">
    <h2 id="lenses-title">The evidence: the whole, a frame, a byte</h2>
    <WordLine :words="['lens', 'frame', 'raw', 'check']" />
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
        @pick="middle = moved(middle, back($event, middleOf(middle)), whole)"
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
    min-width: 44px;
    min-height: 44px;
  }
}
</style>

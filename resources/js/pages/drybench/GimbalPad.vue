<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Letter } from '@/composables/useDryBench'
import { placed } from '@/lib/scale'

/** One of the handset's two sticks: it follows pointer and touch; each of its two ways has keys of its own. */
export interface GimbalPadProps {
  across: Letter
  up: Letter
  names: Record<string, string>
  sticks: Record<Letter, number>
  side: string
}
const props = defineProps<GimbalPadProps>()
const emit = defineEmits<{ move: [letter: Letter, percent: number] }>()

const SIZE = 150
const EDGE = 16
const PERCENT = { from: -100, to: 100 }
const x = placed(PERCENT, { from: EDGE, to: SIZE - EDGE }, true)
const y = placed(PERCENT, { from: SIZE - EDGE, to: EDGE }, true)
const at = computed(() => ({ x: x(props.sticks[props.across]), y: y(props.sticks[props.up]) }))
const pad = ref<SVGSVGElement | null>(null)
const isHeld = ref(false)

function follow(event: PointerEvent): void {
  const box = pad.value?.getBoundingClientRect()
  if (box === undefined || !isHeld.value) return
  const edge = (EDGE / SIZE) * box.width
  emit('move', props.across, placed({ from: box.left + edge, to: box.right - edge }, PERCENT, true)(event.clientX))
  emit('move', props.up, placed({ from: box.bottom - edge, to: box.top + edge }, PERCENT, true)(event.clientY))
}

function take(event: PointerEvent): void {
  isHeld.value = true
  pad.value?.setPointerCapture(event.pointerId)
  follow(event)
}

const told = (event: Event) => Number((event.target as HTMLInputElement).value)
</script>

<template>
  <div class="gimbal" role="group" :aria-label="`${side} stick`">
    <svg
      ref="pad"
      :viewBox="`0 0 ${SIZE} ${SIZE}`"
      class="pad"
      :class="{ held: isHeld }"
      aria-hidden="true"
      @pointerdown="take"
      @pointermove="follow"
      @pointerup="isHeld = false"
      @pointercancel="isHeld = false"
    >
      <rect x="1" y="1" :width="SIZE - 2" :height="SIZE - 2" rx="10" class="well" />
      <path :d="`M${SIZE / 2} ${EDGE}V${SIZE - EDGE}M${EDGE} ${SIZE / 2}H${SIZE - EDGE}`" class="cross" />
      <path :d="`M${SIZE / 2} ${SIZE / 2}L${at.x} ${at.y}`" class="shaft" />
      <circle :cx="at.x" :cy="at.y" r="13" class="knob" />
      <circle :cx="at.x" :cy="at.y" r="4" class="tip" />
    </svg>
    <label v-for="letter in [across, up]" :key="letter" class="way">
      <span>{{ names[letter] }}</span>
      <input
        type="range"
        min="-100"
        max="100"
        step="1"
        :value="sticks[letter]"
        :aria-valuetext="`${sticks[letter]} %`"
        @input="emit('move', letter, told($event))"
      />
      <output class="value">{{ String(sticks[letter]).replace('-', '−') }} %</output>
    </label>
  </div>
</template>

<style scoped>
.gimbal {
  width: 172px;
}
.pad {
  width: 100%;
  display: block;
  touch-action: none;
  cursor: grab;
  margin-bottom: 0.4rem;
}
.pad.held {
  cursor: grabbing;
}
.well {
  fill: var(--card);
  stroke: var(--line);
}
.cross {
  stroke: var(--line);
  fill: none;
}
.shaft {
  stroke: var(--petrol-2);
  stroke-width: 5;
  stroke-linecap: round;
}
.knob {
  fill: var(--petrol);
}
.tip {
  fill: var(--card);
}
.way {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  column-gap: 0.3rem;
  font-size: 0.86rem;
  line-height: 1.2;
  margin-bottom: 0.25rem;
}
.way input {
  width: 100%;
  min-width: 0;
  grid-column: 1 / -1;
  grid-row: 2;
}
.way output {
  text-align: right;
}
@media (max-width: 700px) {
  .way {
    min-height: 44px;
  }
}
</style>

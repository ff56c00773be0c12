<script setup lang="ts">
import { computed } from 'vue'
import type { WaveSeen } from '@/api/captures'
import { useNarrow } from '@/composables/useNarrow'
import { levelPath, marksIn, placed, type Stretch, timeWords, wordAt } from '@/lib/scale'

export interface WaveDrawingProps {
  wave: WaveSeen
  stretch: Stretch
  /** What the next lens shows of this one. */
  bracket?: Stretch | null
  label: string
}
const props = withDefaults(defineProps<WaveDrawingProps>(), { bracket: null })
const emit = defineEmits<{ pick: [us: number] }>()

const WIDTH = 1000
const HIGH = 14
const LOW = 52
const x = (us: number) => placed(props.stretch, { from: 0, to: WIDTH }, true)(us)
const path = computed(() => (props.wave.edges === null ? '' : levelPath(props.wave.edges, props.wave.level, x, WIDTH, HIGH, LOW)))
const most = computed(() => Math.max(1, ...(props.wave.spans ?? []).map((span) => span.changes)))
const isNarrow = useNarrow()
const marks = computed(() => marksIn(props.stretch, isNarrow.value ? 3 : 7))
/** Room for two digits, and for a name behind them, in units of the drawing. */
const room = computed(() => (isNarrow.value ? { digits: 62, name: 250 } : { digits: 26, name: 90 }))
/** A byte narrower than this has no room for its digits. */
const boxes = computed(() =>
  props.wave.bytes.map((byte) => ({ ...byte, from: x(byte.us), width: x(byte.to_us) - x(byte.us) })).filter((byte) => byte.width > 1.5),
)

function pick(event: MouseEvent): void {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  emit('pick', props.stretch.from + ((event.clientX - box.left) / box.width) * (props.stretch.to - props.stretch.from))
}
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 104`" preserveAspectRatio="none" class="wave" role="img" :aria-label="label" @click="pick">
    <rect v-if="bracket" class="bracket" :x="x(bracket.from)" y="2" :width="Math.max(3, x(bracket.to) - x(bracket.from))" height="84" />
    <line class="level" x1="0" :x2="WIDTH" :y1="LOW" :y2="LOW" />
    <path v-if="wave.edges" class="line" :d="path" vector-effect="non-scaling-stroke" />
    <g v-else>
      <rect
        v-for="span in wave.spans ?? []"
        :key="span.us"
        class="busy"
        :x="x(span.us)"
        :y="LOW - (LOW - HIGH) * (0.15 + 0.85 * (span.changes / most))"
        :width="span.changes === 0 ? 0 : WIDTH / 600"
        :height="(LOW - HIGH) * (0.15 + 0.85 * (span.changes / most))"
      />
    </g>
    <g v-for="byte in boxes" :key="byte.us">
      <rect class="byte" :class="byte.name.split(' ')[0]" :x="byte.from" y="60" :width="byte.width" height="20" vector-effect="non-scaling-stroke" />
    </g>
    <line v-for="mark in marks" :key="mark" class="mark" :x1="x(mark)" :x2="x(mark)" y1="86" y2="91" vector-effect="non-scaling-stroke" />
  </svg>
  <div class="words" aria-hidden="true">
    <span
      v-for="byte in boxes.filter((one) => one.width > room.digits)"
      :key="byte.us"
      class="hex value"
      :style="{ left: `${(byte.from + byte.width / 2) / 10}%` }"
    >
      {{ byte.hex }}<small v-if="byte.width > room.name">{{ byte.name }}</small>
    </span>
    <span v-for="mark in marks" :key="mark" class="time value" :style="{ left: wordAt(x(mark), WIDTH, timeWords(mark)) }">{{ timeWords(mark) }}</span>
  </div>
</template>

<style scoped>
.wave {
  width: 100%;
  height: 118px;
  display: block;
  background: var(--card);
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.level {
  stroke: var(--line);
}
.busy {
  fill: var(--petrol-2);
}
.byte {
  fill: var(--wash);
  stroke: var(--petrol-2);
}
.byte.start,
.byte.end,
.byte.escape {
  fill: var(--card);
}
.byte.flags {
  fill: var(--amber-fill);
}
.bracket {
  fill: var(--amber-fill);
  opacity: 0.75;
}
.mark {
  stroke: var(--muted);
}
.words {
  position: relative;
  height: 0;
}
.hex {
  position: absolute;
  bottom: 29px;
  transform: translateX(-50%);
  font-size: 0.78rem;
  white-space: nowrap;
  pointer-events: none;
}
.hex small {
  margin-left: 0.5em;
  color: var(--muted);
  font-family: var(--sans);
}
.time {
  position: absolute;
  bottom: -1px;
  transform: translateX(-50%);
  font-size: 0.78rem;
  color: var(--muted);
  white-space: nowrap;
  pointer-events: none;
}
.time:first-of-type {
  transform: none;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { useLandmarks } from '@/composables/useLandmarks'
import type { CaptureReading, Span } from '@/api/captures'
import { useNarrow } from '@/composables/useNarrow'
import { marksIn, placed, SHOWN_US, type Stretch, timeWords, usOf, wordAt } from '@/lib/scale'

export interface WholeDrawingProps {
  reading: CaptureReading
  channel: number
  stretch: Stretch
  bracket: Stretch
  /** When a frame begins: from its time, or from its number where the capture has none. */
  timeOf: (span: Span) => number
}
const props = defineProps<WholeDrawingProps>()
const emit = defineEmits<{ pick: [us: number] }>()

const WIDTH = 1000
const HEIGHT = 84
const EDGE = 6
const x = (us: number) => placed(props.stretch, { from: 0, to: WIDTH })(us)
const y = placed(SHOWN_US, { from: HEIGHT - EDGE, to: EDGE }, true)

const carried = computed(() => props.reading.desk.spans.filter((span) => span.low[props.channel] !== undefined))
/** Lowest and highest value of each span: a band where much happens in little room, a line where not. */
const GAP_PERIODS = 3
const band = computed(() => stretches.value.map(bandOf).join(' '))
/** Where frames are missing for a while nothing is drawn: nobody knows what was there. */
const stretches = computed(() => {
  const gaps = carried.value.flatMap((span) => (span.gap_ms === null ? [] : [span.gap_ms])).sort((a, b) => a - b)
  const usual = gaps[Math.floor(gaps.length / 2)] ?? Infinity
  const parts: Span[][] = []
  for (const span of carried.value) {
    const part = parts[parts.length - 1]
    if (part === undefined || (span.gap_ms ?? 0) > GAP_PERIODS * usual) parts.push([span])
    else part.push(span)
  }
  return parts
})
function bandOf(spans: Span[]): string {
  const up = spans.map((span) => `${x(props.timeOf(span)).toFixed(1)} ${(y(span.high[props.channel] ?? 0) - 0.8).toFixed(1)}`)
  const down = spans.map((span) => `${x(props.timeOf(span)).toFixed(1)} ${(y(span.low[props.channel] ?? 0) + 0.8).toFixed(1)}`).reverse()
  return `M${[...up, ...down].join('L')}Z`
}
/** Without times a bad frame stands where its bytes do. */
const timeOfBad = (one: CaptureReading['answer']['bad_frames'][number]) =>
  one.t_ms === null ? ((one.offset ?? 0) / Math.max(1, props.reading.answer.bytes ?? 1)) * props.stretch.to : usOf(one.t_ms)
const bad = computed(() => props.reading.answer.bad_frames.map((one) => ({ at: x(timeOfBad(one)), reason: one.reason })))
const flags = computed(() =>
  props.reading.answer.flag_times
    .filter((one) => one.flag === 'failsafe' || one.flag === 'frame_lost')
    .filter((one) => one.from_ms !== null)
    .map((one) => ({ from: x(usOf(one.from_ms ?? 0)), to: x(usOf(one.to_ms ?? 0)), flag: one.flag })),
)
const isNarrow = useNarrow()
const marks = computed(() => marksIn(props.stretch, isNarrow.value ? 3 : 7))
const bracketX = computed(() => ({ from: x(props.bracket.from), width: Math.max(5, x(props.bracket.to) - x(props.bracket.from)) }))
const label = computed(
  () =>
    `Channel ${props.channel} over the whole capture of ${timeWords(props.stretch.to - props.stretch.from)}; ${bad.value.length} bad frames marked; the bracket begins at ${timeWords(props.bracket.from)}`,
)

function pick(event: MouseEvent | PointerEvent): void {
  if (event instanceof PointerEvent && event.type === 'pointermove' && event.buttons !== 1) return
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  emit('pick', props.stretch.from + ((event.clientX - box.left) / box.width) * (props.stretch.to - props.stretch.from))
}

const { list: guides } = useLandmarks()
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 112`" preserveAspectRatio="none" class="whole" role="img" :aria-label="label" @pointerdown="pick" @pointermove="pick">
    <rect class="bracket" :x="bracketX.from" y="0" :width="bracketX.width" height="98" />
    <line v-for="us in guides" :key="us" class="guide" x1="0" :x2="WIDTH" :y1="y(us)" :y2="y(us)" vector-effect="non-scaling-stroke" />
    <path class="band" :d="band" vector-effect="non-scaling-stroke" />
    <rect
      v-for="(one, k) in flags"
      :key="`f${k}`"
      :class="one.flag"
      :x="one.from"
      y="88"
      :width="Math.max(3, one.to - one.from)"
      :height="one.flag === 'failsafe' ? 6 : 3"
    />
    <line v-for="(one, k) in bad" :key="`b${k}`" class="bad" :x1="one.at" :x2="one.at" y1="86" y2="98" vector-effect="non-scaling-stroke" />
    <line v-for="mark in marks" :key="mark" class="mark" :x1="x(mark)" :x2="x(mark)" y1="97" y2="100" vector-effect="non-scaling-stroke" />
  </svg>
  <div class="words" aria-hidden="true">
    <span v-for="us in guides" :key="us" class="guide-word value" :style="{ top: `${(y(us) / 112) * 126 - 126 - 9}px` }">{{ us }}</span>
    <span v-for="mark in marks" :key="mark" class="time value" :style="{ left: wordAt(x(mark), WIDTH, timeWords(mark)) }">{{ timeWords(mark) }}</span>
  </div>
</template>

<style scoped>
.whole {
  width: 100%;
  height: 126px;
  display: block;
  background: var(--card);
  cursor: ew-resize;
  touch-action: pan-y;
}
.bracket {
  fill: var(--amber-fill);
}
.guide {
  stroke: var(--line);
}
.band {
  fill: var(--petrol-2);
  stroke: var(--petrol-2);
  stroke-width: 1.2;
}
.failsafe {
  fill: var(--stop);
}
.frame_lost {
  fill: var(--amber-line);
  transform: translateY(-5px);
}
.bad {
  stroke: var(--stop);
  stroke-width: 1.5;
}
.mark {
  stroke: var(--muted);
}
.words {
  position: relative;
  height: 0;
}
.guide-word {
  position: absolute;
  right: 4px;
  background: var(--card);
  padding: 0 2px;
  line-height: 1;
  margin-top: 4px;
  font-size: 0.78rem;
  color: var(--muted);
  pointer-events: none;
}
.time {
  position: absolute;
  bottom: -6px;
  transform: translateX(-50%);
  font-size: 0.78rem;
  color: var(--muted);
  white-space: nowrap;
  pointer-events: none;
}
</style>

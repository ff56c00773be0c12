<script setup lang="ts">
import { computed } from 'vue'
import { figure } from '@/lib/numberText'
import { isNear, placed, SHOWN_US } from '@/lib/scale'

export interface Marks {
  lo: number
  mid: number
  hi: number
}
export interface TravelRulerProps {
  /** Where the ends and the middle should be, µs. */
  target?: Marks | null
  /** What was read, µs. */
  read?: Marks | null
  /** What the computed settings will give, µs. */
  after?: Marks | null
  /** What a servo stands, µs. */
  safe?: { lo: number | null; hi: number | null }
  /** Windows to be hit, µs, and levels that should hit them. */
  windows?: { name: string; lo: number; hi: number; ok: boolean }[]
  levels?: { position: number; us: number }[]
  /** Where it is what is looked at: large, with its numbers. */
  isWide?: boolean
  label: string
}
const props = defineProps<TravelRulerProps>()

const WIDTH = props.isWide ? 620 : 260
const EDGE = props.isWide ? 18 : 8
const x = placed(SHOWN_US, { from: EDGE, to: WIDTH - EDGE }, true)
const three = (marks: Marks) => [marks.lo, marks.mid, marks.hi]
/** Numbers of the axis that no mark stands near. */
const NEAR_US = 60
const numbers = computed(() =>
  props.isWide ? [1000, 1500, 2000].filter((us) => !(props.read ? three(props.read) : []).some((one) => isNear(one, us, NEAR_US))) : [],
)
const ticks = Array.from({ length: 13 }, (_, k) => 900 + k * 100)
const height = computed(() => (props.isWide ? 62 : 50) + (props.windows?.length ?? 0) * 15)
const band = computed(() => ({
  from: x(props.safe?.lo ?? SHOWN_US.from),
  to: x(props.safe?.hi ?? SHOWN_US.to),
  known: props.safe?.lo != null || props.safe?.hi != null,
}))
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${height}`" class="ruler" :class="{ wide: isWide }" role="img" :aria-label="label">
    <rect v-if="band.known" class="safe" :x="band.from" y="18" :width="band.to - band.from" height="12" />
    <line class="axis" :x1="EDGE" :x2="WIDTH - EDGE" y1="24" y2="24" />
    <line
      v-for="tick in ticks"
      :key="tick"
      class="tick"
      :x1="x(tick)"
      :x2="x(tick)"
      :y1="tick % 500 === 0 ? 18 : 21"
      :y2="tick % 500 === 0 ? 30 : 27"
    />
    <template v-if="target">
      <path v-for="us in three(target)" :key="`t${us}`" class="target" :d="`M${x(us) - 5} 5h10l-5 9z`" />
    </template>
    <g v-if="read" class="read">
      <line :x1="x(read.lo)" :x2="x(read.hi)" y1="38" y2="38" />
      <line v-for="(us, k) in three(read)" :key="k" :x1="x(us)" :x2="x(us)" :y1="33" :y2="43" />
    </g>
    <template v-if="isWide">
      <text v-for="us in numbers" :key="`n${us}`" class="number faint" :x="x(us)" y="57" text-anchor="middle">{{ us }}</text>
      <text v-for="(us, k) in read ? three(read) : []" :key="`r${k}`" class="number" :x="x(us)" y="57" text-anchor="middle">{{ figure(us, 0) }}</text>
    </template>
    <template v-if="after">
      <circle v-for="(us, k) in three(after)" :key="`a${k}`" class="after" :cx="x(us)" cy="24" r="4.5" />
    </template>
    <template v-if="levels">
      <g v-for="level in levels" :key="level.position">
        <circle class="level" :cx="x(level.us)" cy="24" r="8" />
        <text class="level-text" :x="x(level.us)" y="28" text-anchor="middle">{{ level.position }}</text>
      </g>
    </template>
    <g v-for="(window, k) in windows ?? []" :key="window.name + k" :class="window.ok ? 'window' : 'window bad'">
      <rect :x="x(window.lo)" :y="40 + k * 15" :width="Math.max(2, x(window.hi) - x(window.lo))" height="13" rx="2" />
      <text :x="(x(window.lo) + x(window.hi)) / 2" :y="50 + k * 15" text-anchor="middle">{{ window.name }}</text>
    </g>
  </svg>
</template>

<style scoped>
.ruler {
  width: 100%;
  max-width: 300px;
  display: block;
}
.ruler.wide {
  max-width: none;
}
@media (max-width: 700px) {
  .ruler {
    max-width: none;
  }
}
.number {
  font: 600 13px var(--mono);
  fill: var(--ink);
}
.number.faint {
  font-weight: 400;
  fill: var(--muted);
}
.axis,
.tick {
  stroke: var(--muted);
  stroke-width: 1;
  opacity: 0.6;
}
.safe {
  fill: var(--wash);
}
.target {
  fill: var(--card);
  stroke: var(--petrol-2);
  stroke-width: 1.5;
}
.read line {
  stroke: var(--ink);
  stroke-width: 2;
}
.after {
  fill: var(--card);
  stroke: var(--amber-line);
  stroke-width: 2;
}
.level {
  fill: var(--petrol-2);
}
.level-text {
  font: 600 13px var(--mono);
  fill: var(--card);
}
.window rect {
  fill: var(--wash);
  stroke: var(--petrol-2);
}
.window text {
  font: 12.5px var(--sans);
  fill: var(--ink);
}
.window.bad rect {
  fill: var(--amber-fill);
  stroke: var(--amber-line);
  stroke-dasharray: 3 2;
}
</style>

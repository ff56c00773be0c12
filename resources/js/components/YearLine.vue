<script setup lang="ts">
import { computed } from 'vue'
import { useDrawnWidth, useNarrow } from '@/composables/useNarrow'
import { day, monthsOfYear, shareOfYear } from '@/lib/dates'

/** A year of a rig on one line: what was changed, read and tested, and what was noted, each in its lane. */
export interface YearLineProps {
  entries: { at: string; kind: string }[]
}
const props = defineProps<YearLineProps>()

const isNarrow = useNarrow()
const width = useDrawnWidth(360, 720)
const LEFT = 92
const LANES = [
  { key: 'checks', title: 'checks', kinds: ['test', 'sign-off'] },
  { key: 'readings', title: 'readings', kinds: ['measurement', 'attempt'] },
  { key: 'changes', title: 'changes', kinds: ['change', 'shared', 'undo'] },
  { key: 'flights', title: 'flights, runs', kinds: ['flight'] },
  { key: 'notes', title: 'notes', kinds: ['note'] },
]
const ROW = 20
const x = (share: number) => LEFT + share * (width.value - LEFT - 8)
const lanes = computed(() =>
  LANES.map((lane, k) => {
    const own = props.entries.filter(
      (entry) => lane.kinds.includes(entry.kind) || (lane.key === 'changes' && !LANES.some((one) => one.kinds.includes(entry.kind))),
    )
    const marks = own.flatMap((entry) => {
      const share = shareOfYear(entry.at)
      return share === null ? [] : [{ x: x(share), says: `${day(entry.at)}: ${entry.kind}` }]
    })
    return { ...lane, y: 12 + k * ROW, marks }
  }),
)
/** On a phone every other month has its name. */
const months = computed(() =>
  monthsOfYear().map((month, k) => ({ ...month, x: x(month.share), name: isNarrow.value && k % 2 === 1 ? '' : month.name })),
)
const label = computed(() => `The last twelve months: ${lanes.value.map((lane) => `${lane.marks.length} ${lane.title}`).join(', ')}`)
const HEIGHT = 12 + LANES.length * ROW + 14
</script>

<template>
  <svg class="year" :viewBox="`0 0 ${width} ${HEIGHT}`" role="img" :aria-label="label">
    <g v-for="month in months" :key="month.share">
      <path :d="`M${month.x} 4V${HEIGHT - 16}`" class="month" />
      <text :x="month.x + 3" :y="HEIGHT - 3">{{ month.name }}</text>
    </g>
    <g v-for="lane in lanes" :key="lane.key" :class="lane.key">
      <text x="0" :y="lane.y + 4" class="lane">{{ lane.title }}</text>
      <path :d="`M${LEFT} ${lane.y}H${width - 4}`" class="line" />
      <template v-for="(mark, k) in lane.marks" :key="k">
        <path v-if="lane.key === 'checks'" :d="`M${mark.x} ${lane.y - 6}l6 6-6 6-6-6z`">
          <title>{{ mark.says }}</title>
        </path>
        <path v-else-if="lane.key === 'readings'" :d="`M${mark.x} ${lane.y - 6}v12`" class="tick">
          <title>{{ mark.says }}</title>
        </path>
        <rect v-else-if="lane.key === 'changes'" :x="mark.x - 3.5" :y="lane.y - 3.5" width="7" height="7">
          <title>{{ mark.says }}</title>
        </rect>
        <path v-else-if="lane.key === 'flights'" :d="`M${mark.x - 5} ${lane.y + 4}l5 -9 5 9z`">
          <title>{{ mark.says }}</title>
        </path>
        <circle v-else :cx="mark.x" :cy="lane.y" r="4">
          <title>{{ mark.says }}</title>
        </circle>
      </template>
    </g>
  </svg>
</template>

<style scoped>
.year {
  width: 100%;
  max-width: 860px;
  display: block;
  margin: 0.6rem 0 0.9rem;
}
text {
  font: 13px var(--sans);
  fill: var(--muted);
}
.lane {
  fill: var(--ink);
}
.month,
.line {
  stroke: var(--line);
  stroke-width: 1;
}
.checks path:not(.line),
.flights path:not(.line) {
  fill: var(--petrol-2);
}
.tick {
  stroke: var(--petrol-2);
  stroke-width: 2.5;
}
rect {
  fill: none;
  stroke: var(--petrol-2);
  stroke-width: 1.5;
}
circle {
  fill: var(--amber-line);
}
</style>

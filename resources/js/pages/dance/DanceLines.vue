<script setup lang="ts">
import { computed } from 'vue'
import type { DanceShown } from '@/api/rigs'
import type { Row } from '@/composables/live/source'
import { lengthOf, placed } from '@/lib/scale'

/** Every channel as a thin line over time, with the stretch in which its move was seen. */
export interface DanceLinesProps {
  rows: Row[]
  shown: DanceShown | null
}
const props = defineProps<DanceLinesProps>()

const WIDTH = 600
const HEIGHT = 30
/** Values that lines reach from the lowest to the highest edge, µs. */
const LEVELS = { from: 900, to: 2100 }
const MOST_POINTS = 300
/** A dance is shown whole, from this length on, ms. */
const LEAST_MS = 10_000

const time = computed(() => {
  const from = props.rows[0]?.t_ms ?? 0
  return { from, to: Math.max(from + LEAST_MS, props.rows[props.rows.length - 1]?.t_ms ?? 0) }
})
const x = (ms: number) => placed(time.value, { from: 0, to: WIDTH }, true)(ms)
const y = placed(LEVELS, { from: HEIGHT - 2, to: 2 }, true)
const thin = computed(() => props.rows.filter((_, k) => k % Math.max(1, Math.ceil(props.rows.length / MOST_POINTS)) === 0))
const channels = computed(() => (props.rows[0]?.us ?? []).map((_, k) => k))
const path = (k: number) => thin.value.map((row) => `${x(row.t_ms).toFixed(1)},${y(row.us[k] ?? 0).toFixed(1)}`).join(' ')
const found = (k: number) => props.shown?.channels.find((read) => read.channel === k + 1) ?? null
const name = (k: number) => found(k)?.letter ?? found(k)?.id ?? ''
const width = (k: number) => lengthOf({ from: x(move(k)?.from_ms ?? 0), to: x(move(k)?.to_ms ?? 0) })
const move = (k: number) => props.shown?.moves.find((one) => one.channel === k + 1) ?? null
</script>

<template>
  <div class="lines" aria-hidden="true">
    <div v-for="k in channels" :key="k" class="line">
      <span class="value">{{ k + 1 }}</span>
      <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none">
        <rect
          v-if="move(k)?.from_ms != null && move(k)?.to_ms != null"
          class="seen"
          :x="x(move(k)?.from_ms ?? 0)"
          y="0"
          :width="width(k)"
          :height="HEIGHT"
        />
        <polyline :points="path(k)" />
      </svg>
      <b class="value">{{ name(k) }}</b>
    </div>
  </div>
</template>

<style scoped>
.lines {
  margin-top: 0.8rem;
}
.line {
  display: grid;
  grid-template-columns: 1.6rem 1fr 2.4rem;
  gap: 0.4rem;
  align-items: center;
}
svg {
  width: 100%;
  height: 30px;
  background: var(--card);
  border-bottom: 1px solid var(--line);
}
polyline {
  fill: none;
  stroke: var(--petrol);
  stroke-width: 1.4;
  vector-effect: non-scaling-stroke;
}
.seen {
  fill: var(--amber-fill);
}
</style>

<script setup lang="ts">
import type { CurvePoint } from '@/api/rigs'
import { placed } from '@/lib/scale'

export interface CurveDrawingProps {
  curve: CurvePoint[]
  low?: CurvePoint[] | null
  label: string
}
defineProps<CurveDrawingProps>()

const SIZE = 132
const EDGE = 6
const x = placed({ from: -100, to: 100 }, { from: EDGE, to: SIZE - EDGE })
const y = placed({ from: -125, to: 125 }, { from: SIZE - EDGE, to: EDGE }, true)
const path = (points: CurvePoint[]) =>
  points.map((point, k) => `${k === 0 ? 'M' : 'L'}${x(point.stick_pct).toFixed(1)} ${y(point.out_pct).toFixed(1)}`).join('')
</script>

<template>
  <svg :viewBox="`0 0 ${SIZE} ${SIZE}`" class="curve" role="img" :aria-label="label">
    <rect x="6" y="6" :width="SIZE - 12" :height="SIZE - 12" class="frame" />
    <line :x1="x(0)" :x2="x(0)" y1="6" :y2="SIZE - 6" class="axis" />
    <line x1="6" :x2="SIZE - 6" :y1="y(0)" :y2="y(0)" class="axis" />
    <line :x1="x(-100)" :y1="y(-100)" :x2="x(100)" :y2="y(100)" class="plain" />
    <path v-if="low" :d="path(low)" class="low" />
    <path :d="path(curve)" class="line" />
  </svg>
</template>

<style scoped>
.curve {
  width: 132px;
  height: 132px;
  flex: none;
}
.frame {
  fill: var(--card);
  stroke: var(--line);
}
.axis {
  stroke: var(--line);
}
.plain {
  stroke: var(--muted);
  stroke-dasharray: 2 3;
}
.line,
.low {
  fill: none;
  stroke: var(--petrol-2);
  stroke-width: 2;
}
.low {
  stroke: var(--amber-line);
  stroke-dasharray: 5 3;
}
</style>

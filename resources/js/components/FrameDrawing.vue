<script setup lang="ts">
import { computed } from 'vue'
import { useDrawnWidth } from '@/composables/useNarrow'
import { figure } from '@/lib/numberText'
import { msOf, placed, stacked } from '@/lib/scale'

export interface FrameDrawingProps {
  frameUs: number
  /** Length of every channel in the worst case, µs. */
  channels: { us: number; held: boolean }[]
  /** What is left between the last channel and the next frame, µs; and what a reader needs. */
  gapUs: number
  requiredSyncUs: number
  sound: boolean
}
const props = defineProps<FrameDrawingProps>()

/** Narrower than this it is moved aside, not made smaller. */
const width = useDrawnWidth(560, 720)
const SEPARATOR = 350
const EDGE = 6
const starts = computed(() => stacked(props.channels.map((channel) => channel.us)))
const end = computed(() => starts.value[starts.value.length - 1] ?? 0)
/** Where the gap that a reader needs would end. */
const needed = computed(() => stacked([end.value, props.requiredSyncUs])[2] ?? 0)
const shown = computed(() => Math.max(props.frameUs, needed.value))
const x = computed(() => placed({ from: 0, to: shown.value }, { from: EDGE, to: width.value - EDGE }))
/** Low between pulses, a short separator at every start. */
const line = computed(
  () =>
    starts.value.map((at) => `H${x.value(at).toFixed(1)}V20H${x.value(at + SEPARATOR).toFixed(1)}V48`).join('') +
    `H${x.value(Math.max(props.frameUs, end.value + SEPARATOR)).toFixed(1)}`,
)
const label = computed(
  () =>
    `Frame of ${figure(msOf(props.frameUs))} ms with ${props.channels.length} channels; the gap is ${figure(props.gapUs)} µs, needed are ${figure(props.requiredSyncUs)} µs`,
)
</script>

<template>
  <div class="scroll" tabindex="0" role="group" :aria-label="label">
    <svg :viewBox="`0 0 ${width} 92`" class="frame" role="img" :aria-label="label">
      <rect class="gap" :class="{ short: !sound }" :x="x(end)" y="14" :width="Math.max(0, x(frameUs) - x(end))" height="40" />
      <path :d="`M6 48${line}`" class="line" />
      <text
        v-for="(channel, k) in channels"
        :key="k"
        :x="(x(starts[k] ?? 0) + x(starts[k + 1] ?? 0)) / 2 + 4"
        y="64"
        text-anchor="middle"
        class="number"
      >
        {{ k + 1 }}{{ channel.held ? '·' : '' }}
      </text>
      <text :x="(x(end) + x(frameUs)) / 2" y="64" text-anchor="middle" class="number strong">gap {{ figure(gapUs, 0) }}</text>
      <line class="need" :class="{ short: !sound }" :x1="x(end)" :x2="x(needed)" y1="76" y2="76" />
      <text :x="x(end) - 6" y="80" text-anchor="end" class="number">needed {{ figure(requiredSyncUs, 0) }} µs</text>
      <line class="end" :x1="x(frameUs)" :x2="x(frameUs)" y1="8" y2="84" />
    </svg>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.frame {
  width: 100%;
  min-width: 560px;
  display: block;
}
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}
.gap {
  fill: var(--wash);
}
.gap.short {
  fill: var(--amber-fill);
}
.number {
  font: 12px var(--mono);
  fill: var(--muted);
}
.strong {
  font-weight: 600;
  fill: var(--ink);
}
.need {
  stroke: var(--petrol-2);
  stroke-width: 3;
}
.need.short {
  stroke: var(--amber-line);
}
.end {
  stroke: var(--muted);
  stroke-dasharray: 3 3;
}
</style>

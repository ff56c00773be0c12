<script setup lang="ts">
import { computed } from 'vue'
import type { CaptureReading } from '@/api/captures'
import { useDrawnWidth } from '@/composables/useNarrow'
import { figure } from '@/lib/numberText'
import { percentOf, rateOf, timeWords, usOf } from '@/lib/scale'

export interface FrameTimingProps {
  reading: CaptureReading
}
const props = defineProps<FrameTimingProps>()

const width = useDrawnWidth(360, 1200)
const HEIGHT = 110
const gaps = computed(() =>
  props.reading.desk.spans.filter((span) => span.gap_ms !== null && span.t_ms !== null).map((span) => ({ t: span.t_ms ?? 0, gap: span.gap_ms ?? 0 })),
)
const period = computed(() => props.reading.answer.period_ms)
const most = computed(() => Math.max(...gaps.value.map((one) => one.gap), (period.value?.mean ?? 1) * 2))
const first = computed(() => gaps.value[0]?.t ?? 0)
const last = computed(() => gaps.value[gaps.value.length - 1]?.t ?? 1)
const x = (t: number) => 4 + ((t - first.value) / Math.max(1e-6, last.value - first.value)) * (width.value - 8)
const y = (gap: number) => HEIGHT - 4 - (gap / most.value) * (HEIGHT - 10)
const median = computed(() => props.reading.desk.median_ms ?? 0)
const late = computed(() => props.reading.desk.late_above_ms ?? 0)
</script>

<template>
  <section v-if="period" aria-labelledby="timing-title">
    <h2 id="timing-title">From frame to frame</h2>
    <p class="figures">
      <span
        ><b class="value">{{ figure(period.mean, 3) }}</b> ms mean</span
      >
      <span
        ><b class="value">{{ figure(period.min, 3) }}</b> to <b class="value">{{ figure(period.max, 3) }}</b> ms</span
      >
      <span
        >σ <b class="value">{{ timeWords(usOf(period.sd)) }}</b></span
      >
      <span
        ><b class="value">{{ figure(rateOf(period.mean), 1) }}</b> frames/s</span
      >
      <span
        ><b class="value">{{ figure(percentOf(period.late_share), 1) }}</b> % of the frames late</span
      >
    </p>
    <svg
      v-if="gaps.length > 1"
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      class="timing"
      role="img"
      :aria-label="`Time from frame to frame over the capture: median ${figure(median, 3)} ms, longest ${figure(period.max, 3)} ms; late above ${figure(late, 2)} ms`"
    >
      <line class="late" x1="0" :x2="width" :y1="y(late)" :y2="y(late)" />
      <line
        v-for="(one, k) in gaps"
        :key="k"
        :class="one.gap > late ? 'gap over' : 'gap'"
        :x1="x(one.t)"
        :x2="x(one.t)"
        :y1="HEIGHT - 4"
        :y2="y(one.gap)"
      />
      <text x="4" :y="y(late) - 3">late above {{ figure(late, 2) }} ms</text>
    </svg>
  </section>
</template>

<style scoped>
.figures {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.3rem;
  margin: 0.2rem 0 0.4rem;
}
.timing {
  width: 100%;
  display: block;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.gap {
  stroke: var(--petrol-2);
  stroke-width: 1;
}
.gap.over {
  stroke: var(--stop);
  stroke-width: 2;
}
.late {
  stroke: var(--amber-line);
  stroke-dasharray: 4 3;
}
text {
  font: 13px var(--sans);
  fill: var(--muted);
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import { useDrawnWidth, useNarrow } from '@/composables/useNarrow'
import { useLandmarks } from '@/composables/useLandmarks'
import type { Compared, ComparedRow } from '@/api/captures'
import { back, marksIn, msOf, placed, SHOWN_US, timeWords, usOf } from '@/lib/scale'

export interface OverlayDrawingProps {
  compared: Compared
  row: ComparedRow
}
const props = defineProps<OverlayDrawingProps>()

const isNarrow = useNarrow()
const width = useDrawnWidth(360, 1200)
const HEIGHT = 170
/** Room for the values at the left, and for half a word of time at the right. */
const PLOT = { left: 66, right: 26 }
const shift = computed(() => props.compared.comparison.delay_ms ?? 0)
const a = computed(() => props.compared.comparison.a.map((one) => ({ t: one.t_ms, us: one.us[props.row.a] })))
const b = computed(() =>
  props.row.b === null ? [] : props.compared.comparison.b.map((one) => ({ t: back(one.t_ms, shift.value), us: one.us[props.row.b ?? 0] })),
)
const end = computed(() => Math.max(1, ...a.value.map((one) => one.t), ...b.value.map((one) => one.t)))
const x = (t: number) => placed({ from: 0, to: end.value }, { from: PLOT.left, to: width.value - PLOT.right })(t)
const y = placed(SHOWN_US, { from: HEIGHT - 22, to: 8 }, true)
const line = (points: { t: number; us: number | undefined }[]) =>
  points.flatMap((one) => (one.us === undefined || one.t < 0 ? [] : [`${x(one.t).toFixed(1)} ${y(one.us).toFixed(1)}`])).join('L')
/** On a phone every other one. */
const marks = computed(() => marksIn({ from: 0, to: usOf(end.value) }).filter((_, k) => !isNarrow.value || k % 2 === 0))

const { list: guides } = useLandmarks()
</script>

<template>
  <figure>
    <svg
      :viewBox="`0 0 ${width} ${HEIGHT}`"
      class="overlay"
      role="img"
      :aria-label="`Channel ${row.a} of the first capture, solid, and ${row.b === null ? 'nothing that goes with it' : `channel ${row.b}`} of the second one, dashed, moved back by ${shift} ms`"
    >
      <line v-for="us in guides" :key="us" class="guide" :x1="PLOT.left" :x2="width - PLOT.right" :y1="y(us)" :y2="y(us)" />
      <path v-if="a.length > 1" class="first" :d="`M${line(a)}`" />
      <path v-if="b.length > 1" class="second" :d="`M${line(b)}`" />
      <text v-for="us in guides" :key="`w${us}`" :x="PLOT.left - 6" :y="y(us) + 4" text-anchor="end">{{ us }} µs</text>
      <g v-for="mark in marks" :key="mark">
        <line class="mark" :x1="x(msOf(mark))" :x2="x(msOf(mark))" :y1="HEIGHT - 20" :y2="HEIGHT - 15" />
        <text :x="x(msOf(mark))" :y="HEIGHT - 3" text-anchor="middle">{{ timeWords(mark) }}</text>
      </g>
    </svg>
    <figcaption class="muted small">
      <span class="key solid" aria-hidden="true"></span> channel {{ row.a }} of the first<template v-if="row.b !== null"
        >, <span class="key dashed" aria-hidden="true"></span> channel {{ row.b }} of the second, moved back by the delay</template
      >
    </figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0.8rem 0 0;
}
.overlay {
  width: 100%;
  display: block;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.guide {
  stroke: var(--line);
}
.mark {
  stroke: var(--muted);
}
.first,
.second {
  fill: none;
  stroke-width: 1.8;
}
.first {
  stroke: var(--petrol-2);
}
.second {
  stroke: var(--amber-line);
  stroke-dasharray: 7 4;
}
text {
  font: 12.5px var(--mono);
  fill: var(--muted);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
.key {
  display: inline-block;
  width: 26px;
  border-top: 2px solid var(--petrol-2);
  vertical-align: middle;
}
.key.dashed {
  border-top: 2px dashed var(--amber-line);
}
</style>

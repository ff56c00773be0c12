<script setup lang="ts">
import { computed } from 'vue'
import { placed, SHOWN_US } from '@/lib/scale'

/** A value on a short ruler, µs; `should` is what it would be if all were well. The number stands beside it. */
export interface MiniRulerProps {
  us: number | null
  should?: number | null
}
const props = withDefaults(defineProps<MiniRulerProps>(), { should: null })

const WIDTH = 140
/** Where the ruler has its marks, µs. */
const MARKS = [1000, 1250, 1500, 1750, 2000]
const x = placed(SHOWN_US, { from: 4, to: WIDTH - 4 }, true)
const axis = `M4 12H${WIDTH - 4}${MARKS.map((us) => `M${x(us)} 9v6`).join('')}`
const isOff = computed(() => props.should !== null && props.should !== props.us)
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} 18`" class="ruler" :class="{ off: isOff }" aria-hidden="true" focusable="false">
    <path class="axis" :d="axis" />
    <circle v-if="should !== null" class="should" :cx="x(should)" cy="12" r="4.5" />
    <path v-if="us !== null" class="now" :d="`M${x(us)} 3v13`" />
  </svg>
</template>

<style scoped>
.ruler {
  display: block;
  width: 100%;
  min-width: 60px;
}
path,
circle {
  fill: none;
}
.axis {
  stroke: var(--muted);
}
.now {
  stroke: var(--petrol-2);
  stroke-width: 3;
}
.off .now {
  stroke: var(--amber-line);
}
.should {
  stroke: var(--petrol-2);
  stroke-width: 1.5;
}
</style>

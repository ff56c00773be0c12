<script setup lang="ts">
import { computed } from 'vue'
import type { DanceSetUp } from '@/api/rigs'

/** The handset's two sticks as they sit in this stick mode, and where the one that is asked for goes. */
export interface DanceHandsProps {
  gimbals: DanceSetUp['gimbals']
  move: DanceSetUp['moves'][number] | null
}
const props = defineProps<DanceHandsProps>()

const place = computed(() => (props.move?.letter === undefined ? -1 : props.gimbals.indexOf(props.move.letter)))
/** Left across, left up, right across, right up. */
const SIDES = [
  { x: 60, across: 0, up: 1 },
  { x: 180, across: 2, up: 3 },
] as const
</script>

<template>
  <svg viewBox="0 0 240 120" class="hands" aria-hidden="true">
    <g v-for="side in SIDES" :key="side.x">
      <rect :x="side.x - 50" y="10" width="100" height="100" rx="10" class="well" />
      <path v-if="place === side.across" :d="`M${side.x - 34} 60H${side.x + 34}m-9 -7l9 7l-9 7M${side.x - 34} 60m9 -7l-9 7l9 7`" class="way" />
      <path v-else-if="place === side.up" :d="`M${side.x} 94V26m-7 9l7 -9l7 9M${side.x} 94m-7 -9l7 9l7 -9`" class="way" />
      <circle :cx="side.x" cy="60" r="9" class="knob" :class="{ asked: place === side.across || place === side.up }" />
    </g>
  </svg>
</template>

<style scoped>
.hands {
  width: 100%;
  max-width: 300px;
  display: block;
}
.well {
  fill: var(--card);
  stroke: var(--line);
}
.way {
  fill: none;
  stroke: var(--amber-line);
  stroke-width: 5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.knob {
  fill: var(--muted);
}
.asked {
  fill: var(--petrol);
}
</style>

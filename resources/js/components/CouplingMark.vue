<script setup lang="ts">
import type { CouplingState } from '@/api/rigs'

export interface CouplingMarkProps {
  state: CouplingState
  /** How many things are open here; shown inside the mark. */
  open?: number
}
defineProps<CouplingMarkProps>()
</script>

<script lang="ts">
/** The word that goes with each mark. */
export const COUPLING_WORDS: Record<CouplingState, string> = {
  joined: 'joined',
  needs_setting: 'needs a setting',
  will_not_join: 'will not join',
  untested: 'untested',
}
</script>

<template>
  <svg class="coupling-mark" :class="state" viewBox="0 0 28 28" aria-hidden="true" focusable="false">
    <template v-if="state === 'joined'">
      <circle cx="14" cy="14" r="11" />
      <path d="M9 14.5l3.5 3.5L19.5 10.5" fill="none" />
    </template>
    <template v-else-if="state === 'needs_setting'">
      <path d="M14 2l12 12-12 12L2 14z" />
      <text v-if="open" x="14" y="18.5" text-anchor="middle">{{ open }}</text>
      <path v-else class="sign" d="M14 8v7.5M14 19v1.5" />
    </template>
    <template v-else-if="state === 'will_not_join'">
      <path d="M9 2h10l7 7v10l-7 7H9l-7-7V9z" />
      <path class="bar" d="M8 14h12" />
    </template>
    <template v-else>
      <circle cx="14" cy="14" r="11" stroke-dasharray="4 3" />
      <path class="sign" d="M10.6 11.4a3.4 3.4 0 1 1 4.9 3c-1.1 .6-1.5 1.2-1.5 2.3M14 19.6v1.2" />
    </template>
  </svg>
</template>

<style scoped>
.coupling-mark {
  width: 28px;
  height: 28px;
  flex: none;
  stroke-width: 1.5;
  stroke: var(--petrol-2);
  fill: var(--card);
}
.coupling-mark text {
  stroke: none;
  fill: var(--ink);
  font: 600 13px var(--sans);
}
.joined circle {
  fill: var(--petrol-2);
}
.joined path {
  stroke: var(--card);
  stroke-width: 2.4;
}
.needs_setting {
  stroke: var(--amber-line);
  fill: var(--amber-fill);
}
.needs_setting text {
  fill: var(--amber-text);
}
.sign {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
.needs_setting .sign {
  stroke: var(--amber-text);
}
.will_not_join {
  stroke: var(--stop);
  fill: var(--stop);
}
.will_not_join .bar {
  stroke: var(--card);
  stroke-width: 3;
}
</style>

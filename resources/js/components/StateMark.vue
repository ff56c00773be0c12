<script setup lang="ts">
import type { StepState } from '@/api/rigs'

export interface StateMarkProps {
  state: StepState
}
defineProps<StateMarkProps>()
</script>

<script lang="ts">
export const STATE_WORDS: Record<StepState, string> = {
  open: 'open',
  attention: 'needs you',
  stop: 'stop',
  done: 'done',
}
</script>

<template>
  <svg class="state-mark" :class="state" viewBox="0 0 18 18" aria-hidden="true" focusable="false">
    <template v-if="state === 'done'">
      <circle cx="9" cy="9" r="7.5" />
      <path d="M5.6 9.2l2.4 2.4 4.4-4.9" />
    </template>
    <path v-else-if="state === 'attention'" d="M9 1.5L16.5 9 9 16.5 1.5 9z" />
    <template v-else-if="state === 'stop'">
      <path d="M5.8 1.5h6.4l4.3 4.3v6.4l-4.3 4.3H5.8l-4.3-4.3V5.8z" />
      <path class="bar" d="M5.2 9h7.6" />
    </template>
    <circle v-else cx="9" cy="9" r="7" />
  </svg>
</template>

<style scoped>
.state-mark {
  width: 18px;
  height: 18px;
  flex: none;
  fill: none;
  stroke: var(--muted);
  stroke-width: 1.5;
}
.done {
  stroke: var(--petrol-2);
  fill: var(--petrol-2);
}
.done path {
  stroke: var(--card);
  stroke-width: 2;
  fill: none;
}
.attention {
  stroke: var(--amber-line);
  fill: var(--amber-fill);
}
.stop {
  stroke: var(--stop);
  fill: var(--stop);
}
.stop .bar {
  stroke: var(--card);
  stroke-width: 2;
}
</style>

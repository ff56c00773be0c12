<script setup lang="ts">
/** The row of pins along the edge of a case, with what is printed beside each, as it is typed. */
export interface PinStripProps {
  labels: string[]
}
defineProps<PinStripProps>()

const PITCH = 30
</script>

<template>
  <svg :viewBox="`0 0 ${labels.length * PITCH + 8} 44`" :width="labels.length * PITCH + 8" height="44" aria-hidden="true">
    <rect x="1" y="1" :width="labels.length * PITCH + 6" height="42" rx="4" class="case" />
    <g v-for="(label, k) in labels" :key="k">
      <rect :x="k * PITCH + 9" y="20" width="20" height="20" rx="2" class="socket" />
      <text :x="k * PITCH + 19" y="15">{{ label.slice(0, 4) }}</text>
      <text :x="k * PITCH + 19" y="34" class="place">{{ k + 1 }}</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  max-width: 100%;
  display: block;
}
.case {
  fill: var(--card);
  stroke: var(--line);
}
.socket {
  fill: none;
  stroke: var(--muted);
}
text {
  font-size: 12px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--ink);
}
.place {
  font-weight: 400;
  fill: var(--muted);
}
</style>

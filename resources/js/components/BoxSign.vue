<script setup lang="ts">
import type { BoxView } from '@/api/rigs'

/** What kind of box it is, as a small line drawing; its name stands beside it. */
export interface BoxSignProps {
  kind: BoxView['kind']
}
defineProps<BoxSignProps>()

/** Sixteen by sixteen. */
const WAYS: Record<BoxView['kind'], string> = {
  handset: 'M2 6h12v8H2zM8 6V1.5M5 10.5V9M11 10.5V9',
  module: 'M3 7h10v7H3zM11 7V1.5M8.5 3.5 11 1.5l2.5 2',
  receiver: 'M2 5h12v9H2zM5 5c0-2.5-2-2.5-2-4M11 5c0-2.5 2-2.5 2-4M5 14v1.5M8 14v1.5M11 14v1.5',
  converter: 'M2 3h12v10H2zM4.5 6.5h7l-2-2M11.5 9.5h-7l2 2',
  controller: 'M3 3h10v10H3zM3 6H1M3 10H1M13 6h2M13 10h2M8 11V5.5M6 7.5l2-2 2 2',
  servo_set: 'M2 7h12v7H2zM6 7V4h4v3M8 4 13 1.5',
}
</script>

<template>
  <svg class="box-sign" viewBox="0 0 16 16" aria-hidden="true" focusable="false"><path :d="WAYS[kind]" /></svg>
</template>

<style scoped>
.box-sign {
  width: 15px;
  height: 15px;
  flex: none;
  fill: none;
  stroke: var(--petrol-2);
  stroke-width: 1.3;
}
</style>

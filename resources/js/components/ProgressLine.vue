<script setup lang="ts">
import { computed } from 'vue'

/** How far something that takes a while has come, from 0 to 1. */
export interface ProgressLineProps {
  share: number
  name: string
}
const props = defineProps<ProgressLineProps>()
const percent = computed(() => Math.round(props.share * 100))
</script>

<template>
  <a-progress
    class="progress"
    :percent="percent"
    :show-info="false"
    stroke-color="var(--petrol-2)"
    trail-color="var(--line)"
    role="progressbar"
    :aria-label="name"
    aria-valuemin="0"
    aria-valuemax="100"
    :aria-valuenow="percent"
  />
</template>

<style scoped>
.progress {
  display: inline-block;
  width: 12rem;
  max-width: 60%;
  margin: 0 0.4rem 0 0;
  vertical-align: middle;
}
</style>

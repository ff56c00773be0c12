<script setup lang="ts">
import type { LatencyAnswer } from '@/api/generated/latency.out'
import DelayBars from '@/components/DelayBars.vue'

export interface LatencyProps {
  answer: LatencyAnswer
}
defineProps<LatencyProps>()
</script>

<template>
  <div>
    <DelayBars :ms="{ best: answer.best_ms, mean: answer.mean_ms, p95: answer.p95_ms, worst: answer.worst_ms }" :stages="answer.stages" />
  </div>
</template>

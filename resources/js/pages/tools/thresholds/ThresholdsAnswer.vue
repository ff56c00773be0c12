<script setup lang="ts">
import type { ThresholdsAnswer } from '@/api/generated/thresholds.out'
import type { Finding } from '@/api/generated/finding'
import FindingLine from '@/components/FindingLine.vue'
import { figure } from '@/lib/numberText'

export interface ThresholdsProps {
  answer: ThresholdsAnswer
}
defineProps<ThresholdsProps>()
</script>

<template>
  <div>
    <p class="big" :class="{ bad: !answer.arms }">{{ answer.arms ? 'It arms.' : 'It never arms.' }}</p>
    <p>
      Low threshold <b class="value">{{ figure(answer.low_threshold) }} µs</b>, high threshold
      <b class="value">{{ figure(answer.high_threshold) }} µs</b>, dead band <b class="value">{{ figure(answer.deadband) }} µs</b>.
    </p>
    <FindingLine v-for="finding in answer.findings as Finding[]" :key="finding.message" :finding="finding" />
  </div>
</template>

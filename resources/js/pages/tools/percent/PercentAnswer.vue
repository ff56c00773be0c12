<script setup lang="ts">
import type { PercentAnswer } from '@/api/generated/percent.out'
import { figure } from '@/lib/numberText'

export interface PercentProps {
  answer: PercentAnswer
}
defineProps<PercentProps>()
</script>

<template>
  <div>
    <p class="big">
      set <b class="value">{{ figure(answer.percent, 2) }} %</b> there; both send <span class="value">{{ figure(answer.us) }} µs</span>
    </p>
  </div>
</template>

<script setup lang="ts">
import type { RatesAnswer } from '@/api/generated/rates.out'
import CurveDrawing from '@/components/CurveDrawing.vue'
import { figure } from '@/lib/numberText'

export interface RatesProps {
  answer: RatesAnswer
}
defineProps<RatesProps>()
</script>

<template>
  <div>
    <div class="side">
      <CurveDrawing :curve="answer.curve" label="The curve" />
      <div>
        <p class="big">
          throw <b class="value">±{{ figure(answer.throw_us) }} µs</b>
        </p>
        <p>
          to <span class="value">{{ figure(answer.full_us) }} µs</span> at full stick; gain at the centre
          <b class="value">{{ figure(answer.centre_gain, 2) }}</b>
        </p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.side {
  display: flex;
  gap: 1.4rem;
  align-items: center;
}
</style>

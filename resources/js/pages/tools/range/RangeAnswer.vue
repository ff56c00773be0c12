<script setup lang="ts">
import type { RangeAnswer } from '@/api/generated/range.out'
import { figure } from '@/lib/numberText'

export interface RangeProps {
  answer: RangeAnswer
}
defineProps<RangeProps>()

const metres = (m: number) => (m >= 1000 ? `${figure(m / 1000, 2)} km` : `${figure(m, 0)} m`)
</script>

<template>
  <div>
    <p class="big">
      reach <b class="value">{{ metres(answer.reach_m) }}</b>
    </p>
    <p v-if="answer.margin_db !== null">
      At this distance <b class="value">{{ figure(answer.margin_db) }} dB</b> are left; the path loses
      <span class="value">{{ figure(answer.path_loss_db ?? 0) }} dB</span>.
    </p>
    <p v-if="answer.check_stands_for_m !== null">
      This range check stands for <b class="value">{{ metres(answer.check_stands_for_m) }}</b> at full power.
    </p>
    <p>
      Quarter wave: <b class="value">{{ figure(answer.quarter_wave_mm) }} mm</b>. Free space, less the margin. Power limits are set by local law.
    </p>
  </div>
</template>

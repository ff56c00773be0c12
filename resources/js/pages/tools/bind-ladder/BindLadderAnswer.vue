<script setup lang="ts">
import type { BindLadderAnswer } from '@/api/generated/bind-ladder.out'
import { figure } from '@/lib/numberText'

export interface BindLadderProps {
  answer: BindLadderAnswer
}
defineProps<BindLadderProps>()
</script>

<template>
  <div>
    <p v-if="answer.next" class="big">
      Try <b class="value">{{ [answer.next.variant, answer.next.channel_mode, answer.next.region].filter(Boolean).join(', ') }}</b> at
      {{ answer.next.distance_m }} m
    </p>
    <p v-else class="big">Everything possible was tried and failed.</p>
    <p v-if="answer.repeat_because" class="band">
      The last try of this one was {{ answer.repeat_because }}: repeat it before changing anything else.
    </p>
    <p v-if="answer.expected_minutes !== null" class="muted">{{ figure(answer.expected_minutes) }} minutes on average until it binds.</p>
    <table v-if="answer.ladder.length > 0">
      <tbody>
        <tr v-for="(rung, k) in answer.ladder" :key="k">
          <td>{{ [rung.variant, rung.channel_mode, rung.region].filter(Boolean).join(', ') }}</td>
          <td class="value">{{ Math.round(rung.p * 100) }} %</td>
          <td class="value">{{ figure(rung.minutes) }} min</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

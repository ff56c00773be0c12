<script setup lang="ts">
import type { TrainBudget } from '@/api/rigs'
import TrainAnswer from '@/components/TrainAnswer.vue'
import { type Answers } from '../tool'

export interface PulseTrainProps {
  answer: TrainBudget
  answers: Answers
}
const props = defineProps<PulseTrainProps>()

const number = (key: string) => Number(props.answers[key])
</script>

<template>
  <div>
    <TrainAnswer
      :budget="answer"
      :frame-us="number('frame_us')"
      :channels="number('channels')"
      :used="answers.used ? number('used') : number('channels')"
      :max-us="number('max_us')"
      :held-at="answers.hold_unused_at ? number('hold_unused_at') : null"
    />
  </div>
</template>

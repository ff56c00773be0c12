<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { nextTick, ref, watch } from 'vue'
import type { FaultTestView } from '@/api/rigs'
import { figure } from '@/lib/numberText'

/** One thing to look at, in large type, with how it is done safely. */
export interface FaultQuestionProps {
  test: FaultTestView
  /** The fault is found already; this would make it surer. */
  isMore: boolean
}
const props = defineProps<FaultQuestionProps>()
const emit = defineEmits<{ tell: [outcome: string] }>()

const heading = ref<HTMLElement | null>(null)
let isAnswered = false

/** The buttons of one question go with it: the hand that pressed one stands at the next question. */
watch(
  () => props.test.id,
  async () => {
    if (!isAnswered) return
    isAnswered = false
    await nextTick()
    heading.value?.focus()
  },
)

function tell(outcome: string): void {
  isAnswered = true
  emit('tell', outcome)
}
</script>

<template>
  <div class="question">
    <p class="muted small">{{ isMore ? 'To be surer' : 'Look at this next' }}, about {{ figure(test.minutes) }} min</p>
    <h2 ref="heading" tabindex="-1">{{ test.asks }}</h2>
    <p>{{ test.how }}</p>
    <p v-if="test.risk" class="band">{{ test.risk }}</p>
    <div class="outcomes" role="group" :aria-label="test.asks">
      <button v-for="outcome in test.outcomes" :key="outcome.key" type="button" class="outcome" @click="tell(outcome.key)">
        {{ outcome.title }}
      </button>
    </div>
    <ActButton kind="link" class="small" @click="tell('cannot_do')">I cannot do this here</ActButton>
  </div>
</template>

<style scoped>
.question {
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 1rem 1.2rem;
  margin-bottom: 1rem;
}
h2 {
  font-size: 1.5rem;
  margin: 0.2rem 0 0.4rem;
}
.outcomes {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(170px, 1fr));
  gap: 0.6rem;
  margin: 0.9rem 0 0.6rem;
}
.outcome {
  min-height: 54px;
  padding: 0.5rem 0.8rem;
  border: 1px solid var(--petrol-2);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 1.05rem;
  text-align: left;
  cursor: pointer;
}
.outcome:first-letter {
  text-transform: uppercase;
}
.outcome:hover,
.outcome:focus-visible {
  background: var(--wash);
}
</style>

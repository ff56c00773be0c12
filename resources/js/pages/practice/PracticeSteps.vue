<script setup lang="ts">
import type { PracticeShown } from '@/api/rigs'
import { figure } from '@/lib/numberText'

/** What was done so far, and what it showed. */
const props = defineProps<{ steps: PracticeShown['steps']; tests: PracticeShown['tests']; settings: PracticeShown['settings'] }>()
const asks = (id: string | null) => props.tests.find((test) => test.id === id)?.asks ?? ''
const TITLES = { name: 'Named', look: 'Dry bench', give_up: 'Given up' } as const
const title = (step: PracticeShown['steps'][number]) =>
  step.did === 'test'
    ? asks(step.what)
    : step.did === 'change'
      ? `Put back: ${props.settings.find((one) => one.id === step.what)?.says ?? ''}`
      : TITLES[step.did]
</script>

<template>
  <section v-if="steps.length > 0" aria-labelledby="so-far" aria-live="polite">
    <h2 id="so-far">So far</h2>
    <ol class="plain-list">
      <li v-for="(step, k) in steps" :key="k" :class="{ wrong: step.outcome === 'wrong' || step.outcome === 'nothing' }">
        <span class="muted small">{{ title(step) }}</span>
        <span>{{ step.seen }}</span>
        <span class="value small">{{ figure(step.minutes) }} min</span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 0.8rem;
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--line);
}
li .muted {
  grid-column: 1 / -1;
}
.wrong {
  border-left: 3px solid var(--stop);
  padding-left: 0.5rem;
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import type { FaultTestView, RigSymptoms } from '@/api/rigs'
import type { Seen } from '@/composables/useDiagnosis'

/** What was seen so far, each to be changed or taken back; and what the rig says of itself, with where it comes from. */
export interface FaultSeenProps {
  seen: Seen[]
  byItself: RigSymptoms['symptoms']
  test: (id: string) => FaultTestView | undefined
}
const props = defineProps<FaultSeenProps>()
defineEmits<{ tell: [test: string, outcome: string]; take: [test: string] }>()

const outcomesOf = (id: string) => [
  ...choicesOf(props.test(id)?.outcomes ?? [], 'key', 'title'),
  { value: 'cannot_do', label: 'cannot be done here' },
]
const words = (id: string, outcome: string) => props.test(id)?.outcomes.find((one) => one.key === outcome)?.title ?? 'cannot be done here'
</script>

<template>
  <section v-if="seen.length + byItself.length > 0" aria-label="Seen so far">
    <h2>Seen so far</h2>
    <ul class="plain-list">
      <li v-for="one in [...seen].reverse()" :key="one.test">
        <label
          ><span
            >{{ test(one.test)?.asks }}<small v-if="one.from" class="muted">{{ one.from }}</small></span
          >
          <PickField :model-value="one.outcome" :options="outcomesOf(one.test)" @update:model-value="(outcome) => $emit('tell', one.test, outcome)"
        /></label>
        <ActButton kind="link" class="small" :aria-label="`Take back: ${test(one.test)?.asks}`" @click="$emit('take', one.test)">
          take back
        </ActButton>
      </li>
      <li v-for="one in byItself" :key="one.test" class="rig">
        <span
          >{{ test(one.test)?.asks }} <b>{{ words(one.test, one.outcome) }}</b><small class="muted">From the rig. {{ one.from }}</small></span
        >
        <ActButton kind="link" class="small" :aria-label="`Not so: ${test(one.test)?.asks}`" @click="$emit('take', one.test)"> not so </ActButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.1rem;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--line);
}
label {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 0.8rem;
  align-items: center;
}
.rig small,
label small {
  display: block;
}
.link-act {
  white-space: nowrap;
}
</style>

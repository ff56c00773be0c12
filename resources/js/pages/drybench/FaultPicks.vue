<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { computed, ref } from 'vue'
import type { DryBenchSetUp } from '@/api/rigs'

/** Faults to put into the simulated rig and to take out again. */
const props = defineProps<{ setUp: DryBenchSetUp; faults: string[]; slug: string }>()
const emit = defineEmits<{ put: [cause: string] }>()

const chosen = ref('')
const says = (cause: string) => props.setUp.faults.find((one) => one.cause === cause)?.says ?? cause
const open = computed(() => props.setUp.faults.filter((one) => one.refusal === null && !props.faults.includes(one.cause)))
const cannot = computed(() => props.setUp.faults.filter((one) => one.refusal !== null))
const MOST = 5

function put(): void {
  if (chosen.value === '') return
  emit('put', chosen.value)
  chosen.value = ''
}
</script>

<template>
  <section aria-labelledby="faults">
    <h2 id="faults">Faults</h2>
    <ul class="plain-list in" aria-label="Faults that are in">
      <li v-for="cause in faults" :key="cause">
        <span>{{ says(cause) }}</span>
        <ActButton kind="link" class="small" :aria-label="`Take out: ${says(cause)}`" @click="emit('put', cause)">take out</ActButton>
      </li>
    </ul>
    <div v-if="faults.length < MOST" class="add">
      <label class="small" for="fault-to-add">Put one in</label>
      <div class="row">
        <PickField id="fault-to-add" v-model="chosen" :options="choicesOf(open, 'cause', 'says', 'choose a fault')" />
        <ActButton :disabled="chosen === ''" @click="put">Put in</ActButton>
      </div>
    </div>
    <p v-else class="muted small">Five at once are enough.</p>
    <details v-if="cannot.length > 0" class="small muted">
      <summary>{{ cannot.length }} that this rig cannot have</summary>
      <ul>
        <li v-for="one in cannot" :key="one.cause">
          {{ one.says }} <em class="why">{{ one.refusal }}</em>
        </li>
      </ul>
    </details>
    <p class="small">
      <RouterLink :to="`/practice?rig=${slug}`">Let one be hidden, and find it</RouterLink>
    </p>
  </section>
</template>

<style scoped>
h2 {
  margin-bottom: 0.4rem;
}
.in li {
  display: flex;
  justify-content: space-between;
  gap: 0.8rem;
  border-left: 3px solid var(--stop);
  padding: 0.15rem 0 0.15rem 0.6rem;
  margin-bottom: 0.3rem;
}
.row {
  display: flex;
  gap: 0.5rem;
}
details {
  margin: 0.6rem 0;
}
details ul {
  padding-left: 1.1rem;
}
.why {
  display: block;
  font-style: normal;
}
</style>

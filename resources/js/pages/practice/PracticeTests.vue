<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PracticeShown } from '@/api/rigs'
import { figure } from '@/lib/numberText'

/** Every test that can be made on this rig, with what it costs; those made show what they showed. */
const props = defineProps<{ game: PracticeShown; isBusy: boolean }>()
defineEmits<{ make: [test: string] }>()
const wanted = ref('')
const made = computed(() => new Map(props.game.steps.filter((step) => step.did === 'test').map((step) => [step.what, step.seen])))
const listed = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return props.game.tests.filter((test) => words.every((word) => `${test.asks} ${test.how}`.toLowerCase().includes(word)))
})
</script>

<template>
  <section aria-labelledby="tests">
    <div class="top">
      <h2 id="tests">Tests</h2>
      <input v-model="wanted" class="field" type="search" placeholder="Look for: light, bind, throttle" aria-label="Look for a test" />
    </div>
    <ul class="plain-list">
      <li v-for="test in listed" :key="test.id" :class="{ made: made.has(test.id) }">
        <button type="button" :disabled="isBusy" @click="$emit('make', test.id)">
          <span class="asks">{{ test.asks }}</span>
          <span class="cost value">{{ figure(test.minutes) }} min</span>
          <span v-if="made.has(test.id)" class="seen">{{ made.get(test.id) }}</span>
          <span v-else class="how small">{{ test.how }}{{ test.risk ? ` ${test.risk}` : '' }}</span>
        </button>
      </li>
    </ul>
    <p v-if="listed.length === 0" class="muted">No test speaks of that.</p>
  </section>
</template>

<style scoped>
.top {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  align-items: center;
  margin-bottom: 0.5rem;
}
.top input {
  flex: 1;
  max-width: 260px;
}
ul {
  max-height: 66vh;
  overflow-y: auto;
  border-top: 1px solid var(--line);
}
li button {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 0.8rem;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  padding: 0.5rem 0.4rem;
  min-height: 44px;
  cursor: pointer;
}
li button:hover {
  background: var(--wash);
}
.asks {
  font-weight: 500;
}
.how {
  color: var(--muted);
  grid-column: 1 / -1;
}
.seen {
  grid-column: 1 / -1;
  color: var(--petrol);
  font-weight: 600;
}
.made .asks {
  color: var(--muted);
}
</style>

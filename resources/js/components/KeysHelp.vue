<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { onBeforeUnmount, onMounted, ref } from 'vue'

defineEmits<{ close: [] }>()
const panel = ref<HTMLElement | null>(null)
/** Where the hand was: it is there again once the keys are closed. */
const before = document.activeElement
onMounted(() => panel.value?.focus())
onBeforeUnmount(() => before instanceof HTMLElement && before.focus())

const keys: [string, string][] = [
  ['/ or Ctrl K', 'Find anything or go anywhere: rigs, steps, tools, cards, captures, what was done, what a word means'],
  ['1 – 8', 'In a rig: Path, Wiring, Bind, Order, Travel, Switches, Failsafe, Check-out'],
  ['t', 'In a rig: timing'],
  ['Enter', 'In a table of readings: on to the next'],
  ['h', 'In a rig: its history'],
  ['p', 'In a rig: the sheet, to print'],
  ['Ctrl Z', 'In a rig: take the last change back'],
  ['n', 'On the bench: a new rig; on the shelf: a new card; on the signal desk: another capture'],
  ['← →', 'On the signal desk: the frame before, the next one; + and − closer and further, [ and ] byte by byte'],
  ['?', 'These keys'],
  ['Esc', 'Close'],
]
</script>

<template>
  <section ref="panel" class="keys" tabindex="-1" aria-label="Keys" @keydown.esc="$emit('close')">
    <dl>
      <template v-for="[key, what] in keys" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ what }}</dd>
      </template>
    </dl>
    <ActButton kind="link" @click="$emit('close')">Close</ActButton>
  </section>
</template>

<style scoped>
.keys {
  background: var(--wash);
  padding: 0.9rem 1.25rem;
  display: flex;
  gap: 2rem;
  align-items: flex-start;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr auto 1fr;
  gap: 0.25rem 1rem;
}
dt {
  text-align: right;
}
kbd {
  font-family: var(--mono);
  font-size: 0.9em;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 0 0.4em;
}
</style>

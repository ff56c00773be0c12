<script setup lang="ts">
import { useUnitChoice } from '@/composables/useUnits'
import type { Unit } from '@/lib/units'

const { chosen, choose, words } = useUnitChoice()
const UNITS: { unit: Unit; title: string }[] = [
  { unit: 'us', title: 'Pulse width in microseconds' },
  { unit: 'pct', title: "Percent on the handset's scale" },
  { unit: 'raw', title: 'Counts on the wire' },
]
</script>

<template>
  <div class="units" role="radiogroup" aria-label="Unit of values">
    <label v-for="entry in UNITS" :key="entry.unit" :title="entry.title" :class="{ on: chosen === entry.unit }">
      <input type="radio" name="unit" class="sr-only" :value="entry.unit" :checked="chosen === entry.unit" @change="choose(entry.unit)" />{{
        words[entry.unit]
      }}
    </label>
  </div>
</template>

<style scoped>
.units {
  display: flex;
  border: 1px solid var(--head-line);
  border-radius: var(--radius);
  overflow: hidden;
}
label {
  padding: 0.2rem 0.7rem;
  cursor: pointer;
  min-height: 30px;
}
.on {
  background: var(--head-ink);
  color: var(--head);
  font-weight: 600;
}
label:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: -2px;
}
@media (max-width: 900px) {
  label {
    display: flex;
    align-items: center;
    min-height: 42px;
  }
}
</style>

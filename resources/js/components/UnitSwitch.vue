<script setup lang="ts">
import { useUnitChoice } from '@/composables/useUnits'
import type { Unit } from '@/lib/units'
import TipHint from './TipHint.vue'

const { chosen, choose, words } = useUnitChoice()
const UNITS: { unit: Unit; title: string }[] = [
  { unit: 'us', title: 'Pulse width in microseconds' },
  { unit: 'pct', title: "Percent on the handset's scale" },
  { unit: 'raw', title: 'Counts on the wire' },
]
</script>

<template>
  <div class="units" role="radiogroup" aria-label="Unit of values">
    <TipHint v-for="entry in UNITS" :key="entry.unit" v-slot="{ describedBy }" :says="entry.title">
      <label :class="{ on: chosen === entry.unit }">
        <input
          type="radio"
          name="unit"
          class="sr-only"
          :value="entry.unit"
          :checked="chosen === entry.unit"
          :aria-describedby="describedBy"
          @change="choose(entry.unit)"
        />{{ words[entry.unit] }}
      </label>
    </TipHint>
  </div>
</template>

<style scoped>
.units {
  display: flex;
  border: 1px solid var(--head-line);
  border-radius: var(--radius);
}
label {
  display: block;
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

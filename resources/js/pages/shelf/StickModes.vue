<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, useId } from 'vue'
import { choicesQuery } from '@/api/choices'

/** The stick modes as they look from above: which letter goes across and which up, on the left and on the right. */
export interface StickModesProps {
  question: string
  value: string
}
defineProps<StickModesProps>()
defineEmits<{ choose: [value: string] }>()

const name = useId()
const choices = useQuery(choicesQuery)
const modes = computed(() => choices.data.value?.stick_modes ?? [])
const SIDES = [
  { x: 26, across: 0, up: 1 },
  { x: 78, across: 2, up: 3 },
] as const
const said = (gimbals: string[]) => `left: ${gimbals[0]} across, ${gimbals[1]} up; right: ${gimbals[2]} across, ${gimbals[3]} up`
</script>

<template>
  <fieldset class="modes">
    <legend>{{ question }}</legend>
    <label v-for="one in modes" :key="one.mode" :class="{ chosen: String(one.mode) === value }">
      <input
        type="radio"
        :name="name"
        :value="one.mode"
        :checked="String(one.mode) === value"
        :aria-label="`${one.mode}, ${said(one.gimbals)}`"
        @change="$emit('choose', String(one.mode))"
      />
      <svg viewBox="0 0 104 56" aria-hidden="true">
        <g v-for="side in SIDES" :key="side.x">
          <rect :x="side.x - 22" y="4" width="44" height="48" rx="5" class="well" />
          <path :d="`M${side.x - 12} 28H${side.x + 12}M${side.x} 16V40`" class="ways" />
          <text :x="side.x + 16" y="32">{{ one.gimbals[side.across] }}</text>
          <text :x="side.x" y="15">{{ one.gimbals[side.up] }}</text>
        </g>
      </svg>
      <b>{{ one.mode }}</b>
    </label>
    <label class="unknown" :class="{ chosen: value === '' }">
      <input type="radio" :name="name" value="" :checked="value === ''" @change="$emit('choose', '')" />
      not known
    </label>
  </fieldset>
</template>

<style scoped>
.modes {
  grid-column: 1 / -1;
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: stretch;
  min-width: 0;
}
legend {
  font-size: 0.9rem;
  padding: 0;
  float: left;
  width: 100%;
}
label {
  display: flex;
  align-items: center;
  gap: 0.4rem;
  min-height: 44px;
  padding: 0.2rem 0.6rem 0.2rem 0.3rem;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
}
label.unknown {
  padding-left: 0.6rem;
}
label.chosen {
  border-color: var(--petrol);
  box-shadow: inset 0 0 0 1px var(--petrol);
}
label:focus-within {
  outline: 3px solid var(--amber-line);
  outline-offset: 1px;
}
input {
  accent-color: var(--petrol-2);
  width: 18px;
  height: 18px;
  margin: 0;
}
svg {
  width: 104px;
  height: 56px;
}
.well {
  fill: none;
  stroke: var(--line);
}
.ways {
  stroke: var(--muted);
  stroke-width: 1.5;
}
text {
  font-size: 12.5px;
  font-weight: 600;
  fill: var(--ink);
  text-anchor: middle;
}
</style>

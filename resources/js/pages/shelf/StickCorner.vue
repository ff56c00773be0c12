<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useId } from 'vue'

/** A stick in its well, seen from above: the place where it is held is pressed where it is. */
export interface StickCornerProps {
  question: string
  options: [value: string, label: string][]
  value: string
}
defineProps<StickCornerProps>()
defineEmits<{ choose: [value: string] }>()

const name = useId()
/** Across and down in the well, parts of its side. */
const PLACES: Record<string, [x: number, y: number]> = {
  upper_left: [0.16, 0.16],
  upper_right: [0.84, 0.16],
  middle: [0.5, 0.5],
  lower_left: [0.16, 0.84],
  lower_right: [0.84, 0.84],
}
const place = (option: string) => {
  const [x, y] = PLACES[option] ?? [0.5, 0.5]
  return { left: `${x * 100}%`, top: `${y * 100}%` }
}
</script>

<template>
  <fieldset class="corner">
    <legend>{{ question }}</legend>
    <div class="well">
      <label v-for="[option, label] in options" :key="option" :style="place(option)" :class="{ held: option === value }">
        <input type="radio" :name="name" :value="option" :checked="option === value" :aria-label="label" @change="$emit('choose', option)" />
      </label>
    </div>
    <span class="small"
      >{{ options.find(([option]) => option === value)?.[1] ?? 'as it rests, or not known' }}
      <ActButton kind="link" v-if="value !== ''" @click="$emit('choose', '')">not held</ActButton></span
    >
  </fieldset>
</template>

<style scoped>
.corner {
  grid-column: auto;
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
}
legend {
  font-size: 0.9rem;
  padding: 0;
}
.well {
  position: relative;
  width: 132px;
  height: 132px;
  margin: 0.25rem 0;
  border: 2px solid var(--line);
  border-radius: 14px;
  background:
    linear-gradient(var(--line), var(--line)) center / 1px 70% no-repeat,
    linear-gradient(var(--line), var(--line)) center / 70% 1px no-repeat,
    var(--card);
}
.well label {
  position: absolute;
  width: 44px;
  height: 44px;
  transform: translate(-50%, -50%);
  display: grid;
  place-items: center;
  cursor: pointer;
}
.well label::before {
  content: '';
  width: 14px;
  height: 14px;
  border-radius: 50%;
  border: 2px solid var(--muted);
  background: var(--card);
}
.well label.held::before {
  width: 26px;
  height: 26px;
  border-color: var(--petrol);
  background: var(--petrol);
}
.well label:focus-within::before {
  outline: 3px solid var(--amber-line);
  outline-offset: 2px;
}
input {
  position: absolute;
  opacity: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  cursor: pointer;
}
</style>

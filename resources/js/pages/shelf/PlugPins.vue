<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { computed, useId } from 'vue'
import type { NamedThing } from '@/api/shelf'

/** A plug, drawn with its pins from the key, the notch or the edge of the case on; pins are added one after the other, or taken from a plug known here. */
export interface PlugPinsProps {
  question: string
  options: [value: string, label: string][]
  pins: string[]
  /** Plugs of this bench, with what they are called. */
  known: NamedThing[]
}
const props = defineProps<PlugPinsProps>()
const emit = defineEmits<{ change: [pins: string[]] }>()

const id = useId()
const LETTERS: Record<string, string> = { signal: 'S', plus: '+', ground: '–', data: 'D', free: '' }
const PITCH = 26
const width = computed(() => props.pins.length * PITCH + 12)
const labelOf = (pin: string) => props.options.find(([one]) => one === pin)?.[1] ?? pin
const called = (one: NamedThing) => (one.aliases.length === 0 ? one.name : `${one.aliases.join(', ')} (${one.name})`)

function append(pin: string): void {
  if (pin !== '') emit('change', [...props.pins, pin])
}

function takeKnown(plug: string): void {
  if (plug !== '') emit('change', plug.split('-'))
}
</script>

<template>
  <fieldset class="plug">
    <legend>{{ question }}</legend>
    <svg v-if="pins.length > 0" :viewBox="`0 0 ${width} 34`" :width="width" height="34" aria-hidden="true">
      <rect x="4" y="1" :width="width - 5" height="32" rx="3" class="case" />
      <path d="M1 4V30" class="edge" />
      <template v-for="(pin, k) in pins" :key="k">
        <circle :cx="k * PITCH + 20" cy="17" r="9" class="pin" :class="pin" />
        <text :x="k * PITCH + 20" y="21.5">{{ LETTERS[pin] }}</text>
      </template>
    </svg>
    <span>{{ pins.length === 0 ? 'not known' : pins.map(labelOf).join(' · ') }}</span>
    <PickField
      :aria-label="`${question}: the next`"
      :model-value="''"
      :options="[{ value: '', label: 'add the next' }, ...options.map(([value, label]) => ({ value, label }))]"
      @update:model-value="append"
    />
    <PickField
      v-if="pins.length === 0 && known.length > 0"
      :id="id"
      :aria-label="`${question}: as a plug known here`"
      :model-value="''"
      :options="choicesOf(known, 'target', called, 'as a plug known here')"
      @update:model-value="takeKnown"
    />
    <ActButton kind="link" v-if="pins.length > 0" class="small" @click="emit('change', pins.slice(0, -1))">take the last away</ActButton>
  </fieldset>
</template>

<style scoped>
.plug {
  grid-column: 1 / -1;
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.9rem;
  min-width: 0;
}
legend {
  float: left;
  width: 100%;
  font-size: 0.9rem;
  padding: 0;
}
.case {
  fill: var(--card);
  stroke: var(--muted);
}
.edge {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.pin {
  fill: none;
  stroke: var(--muted);
  stroke-width: 1.5;
}
.signal,
.data {
  stroke: var(--petrol);
  stroke-width: 2.5;
}
.plus {
  stroke: var(--stop);
  stroke-width: 2.5;
}
.ground {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.free {
  stroke-dasharray: 3 3;
}
text {
  font-size: 12px;
  font-weight: 600;
  text-anchor: middle;
  fill: var(--ink);
}
</style>

<script setup lang="ts">
import { type Save, useDraft } from '@/composables/useDraft'

export interface TickFieldProps {
  /** As the bench has it. */
  value: boolean
  save: Save<boolean>
}
const props = defineProps<TickFieldProps>()

const { shown, hold, drop, tell } = useDraft(() => props.value)

async function tick(event: Event): Promise<void> {
  const isOn = (event.target as HTMLInputElement).checked
  hold(isOn)
  // What was not taken does not look as if it were.
  if (!(await tell(() => props.save(isOn))) && shown.value === isOn) drop()
}
</script>

<template>
  <input type="checkbox" class="tick-field" :checked="shown" @change="tick" />
</template>

<style scoped>
.tick-field {
  width: 20px;
  height: 20px;
  flex: none;
  accent-color: var(--petrol-2);
}
</style>

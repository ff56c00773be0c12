<script setup lang="ts">
import { type Save, useDraft } from '@/composables/useDraft'

export interface SelectFieldProps {
  /** As the bench has it. */
  value: string
  save: Save<string>
}
const props = defineProps<SelectFieldProps>()

const { shown, hold, drop, tell } = useDraft(() => props.value)

async function choose(event: Event): Promise<void> {
  const chosen = (event.target as HTMLSelectElement).value
  hold(chosen)
  // What was not taken does not look as if it were.
  if (!(await tell(() => props.save(chosen))) && shown.value === chosen) drop()
}
</script>

<template>
  <select class="field" :value="shown" @change="choose">
    <slot />
  </select>
</template>

<script setup lang="ts" generic="T extends string | number">
import { type Save, useDraft } from '@/composables/useDraft'
import type { Choice } from '@/lib/choice'
import PickField from './PickField.vue'

export interface SelectFieldProps<T extends string | number> {
  /** As the bench has it. */
  value: T
  options: readonly Choice<T>[]
  save: Save<T>
}
const props = defineProps<SelectFieldProps<T>>()

const { shown, hold, drop, tell } = useDraft(() => props.value)

async function choose(chosen: T): Promise<void> {
  hold(chosen)
  // What was not taken does not look as if it were.
  if (!(await tell(() => props.save(chosen))) && shown.value === chosen) drop()
}
</script>

<template>
  <PickField :model-value="shown" :options="options" @update:model-value="choose" />
</template>

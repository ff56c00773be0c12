<script setup lang="ts">
import type { Choice } from '@/lib/choice'
import PickBase from './PickBase.vue'

/** Any of several, each by a part of its name. */
export interface PickManyProps {
  modelValue: readonly string[]
  options: readonly Choice[]
}
defineProps<PickManyProps>()
defineEmits<{ 'update:modelValue': [value: string[]] }>()
</script>

<template>
  <PickBase :value="modelValue" :options="options" is-many @pick="(value) => $emit('update:modelValue', value as string[])" />
</template>

<script setup lang="ts" generic="T extends string | number">
import type { Choice } from '@/lib/choice'
import PickBase from './PickBase.vue'

/** One of several; with more than a few of them a part of its name can be typed. */
export interface PickFieldProps<T extends string | number> {
  modelValue: T
  options: readonly Choice<T>[]
}
defineProps<PickFieldProps<T>>()
defineEmits<{ 'update:modelValue': [value: T] }>()
</script>

<template>
  <PickBase :value="modelValue" :options="options" @pick="(value) => $emit('update:modelValue', value as T)" />
</template>

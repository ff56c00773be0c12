<script setup lang="ts">
import { computed } from 'vue'
import type { Save } from '@/composables/useDraft'
import { numberFrom } from '@/lib/numberText'
import TextField from './TextField.vue'

export interface NumberFieldProps {
  /** As the bench has it, in the unit that stands beside the field. */
  value: number | null
  save: Save<number | null>
  lowest?: number
  highest?: number
  isWhole?: boolean
  /** Then `-3` is a value, not three less than what stands there. */
  isSigned?: boolean
  /** Whether nothing may stand in it. */
  mayBeEmpty?: boolean
}
const props = defineProps<NumberFieldProps>()

const text = computed(() => (props.value === null ? '' : String(props.value)))

function number(typed: string): number | null {
  return numberFrom(typed.replace(/%\s*$/, ''), props.value, props.isSigned)
}

function reads(typed: string): boolean {
  if (typed.trim() === '') return props.mayBeEmpty === true
  const value = number(typed)
  if (value === null || (props.isWhole && !Number.isInteger(value))) return false
  return value >= (props.lowest ?? -Infinity) && value <= (props.highest ?? Infinity)
}

function tell(typed: string): Promise<boolean> {
  return props.save(typed === '' ? null : number(typed))
}
</script>

<template>
  <TextField class="value" :value="text" :reads="reads" :save="tell" :inputmode="isWhole ? 'numeric' : 'decimal'" />
</template>

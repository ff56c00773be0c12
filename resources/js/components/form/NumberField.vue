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

/** What is wrong with it, and what stays meanwhile. */
function wrong(typed: string): string {
  if (typed.trim() === '') return props.mayBeEmpty === true ? '' : `A number is needed here${stays()}`
  const value = number(typed)
  const example = props.isWhole ? '12' : '12.5'
  if (value === null) return `Found “${typed.trim()}”; expected a number like ${example}${stays()}`
  if (props.isWhole && !Number.isInteger(value)) return `Found ${typed.trim()}; expected a whole number${stays()}`
  const [lowest, highest] = [props.lowest ?? -Infinity, props.highest ?? Infinity]
  if (value >= lowest && value <= highest) return ''
  const bounds = highest === Infinity ? `${lowest} or more` : lowest === -Infinity ? `${highest} at most` : `${lowest} to ${highest}`
  return `Found ${typed.trim()}; expected ${bounds}${stays()}`
}

const stays = () => (props.value === null ? '.' : `. It stays ${props.value}.`)

const meant = (typed: string) => (typed.trim() === '' ? '' : String(number(typed)))

function tell(typed: string): Promise<boolean> {
  return props.save(typed === '' ? null : number(typed))
}
</script>

<template>
  <TextField class="value" :value="text" :wrong="wrong" :meant="meant" :save="tell" :inputmode="isWhole ? 'numeric' : 'decimal'" />
</template>

<script setup lang="ts">
import { type Choice } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { choicesQuery, type PackChoice } from '@/api/choices'
import type { GearCardSchemaJsonDefsPack as Pack } from '@/api/rigs'
import type { Save } from '@/composables/useDraft'
import SelectField from './form/SelectField.vue'

export interface PackSelectProps {
  pack: Pack | null
  /** Whose pack it is: they differ in what is usual. */
  where: 'handset' | 'craft'
  /** What it means that none is chosen. */
  none: string
  prefix?: string
  save: Save<Pack | null>
}
const props = defineProps<PackSelectProps>()

const choices = useQuery(choicesQuery)
const packs = computed<PackChoice[]>(() => choices.data.value?.packs[props.where] ?? [])
const keyOf = (pack: { chemistry: string; cells: number }) => `${pack.chemistry} ${pack.cells}`
const value = computed(() => (props.pack ? keyOf(props.pack) : ''))
const isUnusual = computed(() => props.pack !== null && !packs.value.some((one) => keyOf(one) === value.value))

const offered = computed<Choice[]>(() => [
  { value: '', label: props.none },
  ...(isUnusual.value && props.pack ? [{ value: value.value, label: `${props.prefix ?? ''}${props.pack.cells} ${props.pack.chemistry}` }] : []),
  ...packs.value.map((one) => ({ value: keyOf(one), label: `${props.prefix ?? ''}${one.label}` })),
])

function tell(key: string): Promise<boolean> {
  const [chemistry, cells] = key.split(' ')
  return props.save(key === '' ? null : ({ chemistry, cells: Number(cells) } as Pack))
}
</script>

<template>
  <SelectField :value="value" :options="offered" :save="tell" />
</template>

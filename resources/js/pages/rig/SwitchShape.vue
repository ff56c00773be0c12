<script setup lang="ts">
import { computed } from 'vue'
import type { SwitchRowView, Told } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import NumberField from '@/components/form/NumberField.vue'
import SelectField from '@/components/form/SelectField.vue'
import TextField from '@/components/form/TextField.vue'
import type { RigHandle } from '@/composables/useRig'
import { figure, numbersFrom } from '@/lib/numberText'

/** What a switch sends at each of its positions. */
export interface SwitchShapeProps {
  row: SwitchRowView
  handle: RigHandle
}
const props = defineProps<SwitchShapeProps>()

const MOST_LEVELS = 12

const tell = (told: Omit<Told<'set-switch'>, 'function'>) => props.handle.intend('set-switch', { function: props.row.function, ...told })
const tellWeight = (weight: number | null) => tell({ weight: weight ?? 0 })
const tellOffset = (offset: number | null) => tell({ offset: offset ?? 0 })
const tellPowerUp = (position: number) => tell({ power_up: position })
const read = computed(() => (props.row.measured ? props.row.levels.map((level) => figure(level.us)).join(' ') : ''))
const tellRead = (text: string) => tell({ levels_us: text === '' ? null : (numbersFrom(text) as [number, number] | null) })
const tellLevels = (text: string) => tell({ curve: text === '' ? null : (numbersFrom(text) ?? null) })

function wrongRead(text: string): string {
  return text.trim() === '' || (numbersFrom(text)?.length ?? 0) >= 2
    ? ''
    : `Found “${text.trim()}”; expected what was read at each position, like 988 1500 2012.`
}

function wrongLevels(text: string): string {
  const levels = text.trim() === '' ? [] : numbersFrom(text)
  if (levels === null) return `Found “${text.trim()}”; expected a number for each position, like −50 0 100.`
  if (levels.length === 1) return 'Found one level; expected one for each position, at least two.'
  return levels.length > MOST_LEVELS ? `Found ${levels.length} levels; expected ${MOST_LEVELS} at most.` : ''
}
</script>

<template>
  <div class="shape">
    <LabelledField label="Weight, %"
      ><NumberField :value="row.weight" :save="tellWeight" is-signed :lowest="-1000" :highest="1000" maxlength="7"
    /></LabelledField>
    <LabelledField label="Offset, %"
      ><NumberField :value="row.offset" :save="tellOffset" is-signed :lowest="-1000" :highest="1000" maxlength="7"
    /></LabelledField>
    <LabelledField label="Level of each position, %"
      ><TextField
        class="value wide"
        :value="(row.curve ?? []).join(' ')"
        :wrong="wrongLevels"
        :save="tellLevels"
        maxlength="60"
        placeholder="evenly spread"
    /></LabelledField>
    <LabelledField label="Read at each position, µs"
      ><TextField class="value wide" :value="read" :wrong="wrongRead" :save="tellRead" maxlength="80" placeholder="computed, not read"
    /></LabelledField>
    <LabelledField label="At power-up"
      ><SelectField
        :value="row.power_up"
        :options="row.levels.map((level) => ({ value: level.position, label: `position ${level.position}` }))"
        :save="tellPowerUp"
    /></LabelledField>
  </div>
</template>

<style scoped>
.shape {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem 1rem;
  margin: 0.5rem 0;
}
.shape :deep(.field) {
  width: 6rem;
}
.shape :deep(.wide),
.shape :deep(select.field) {
  width: 10rem;
}
</style>

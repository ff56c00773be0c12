<script setup lang="ts">
import { asChoices } from '@/lib/choice'
import type { RigData, Told } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import SelectField from '@/components/form/SelectField.vue'
import TextField from '@/components/form/TextField.vue'
import type { RigHandle } from '@/composables/useRig'

/** Name, kind, and what the craft is in a few words: each may turn out otherwise than it was told at first. */
export interface CraftFormProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<CraftFormProps>()

const KINDS = ['multirotor', 'plane', 'glider', 'boat', 'car', 'other'] as const
const MOTOR_OFF = [
  { value: '', label: 'as usual for its kind' },
  { value: 'low', label: 'low' },
  { value: 'centre', label: 'in the middle' },
] as const
const rename = (name: string) => props.handle.intend('rename-rig', { name })
const tellKind = (kind: string) => props.handle.intend('tell-craft', { kind: kind as NonNullable<Told<'tell-craft'>['kind']> })
const tellNote = (note: string) => props.handle.intend('tell-craft', { note })
const tellMotor = (motor: string) => props.handle.intend('tell-craft', { motor_off: motor === '' ? null : (motor as 'low' | 'centre') })
const lacksName = (text: string) => (text.trim() === '' ? `A craft has a name; it stays ${props.rig.document.name}.` : '')
</script>

<template>
  <div class="craft" role="group" aria-label="The craft">
    <LabelledField label="Name"><TextField :value="rig.document.name" :save="rename" :wrong="lacksName" maxlength="80" /></LabelledField>
    <LabelledField label="Kind"><SelectField :value="rig.document.craft.kind" :options="asChoices(KINDS)" :save="tellKind" /></LabelledField>
    <LabelledField label="What it is" is-growing
      ><TextField :value="rig.document.craft.note ?? ''" :save="tellNote" maxlength="200" placeholder="2.6 m electric glider"
    /></LabelledField>
    <LabelledField label="Its motor is off with the throttle"
      ><SelectField :value="rig.document.craft.motor_off ?? ''" :options="MOTOR_OFF" :save="tellMotor"
    /></LabelledField>
  </div>
</template>

<style scoped>
.craft {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  margin: 0.5rem 0 0.3rem;
}
</style>

<script setup lang="ts">
import { choicesOf } from '@/lib/choice'
import WordLine from '@/components/WordLine.vue'
import { computed } from 'vue'
import type { HandsetItem, RigData } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import NumberField from '@/components/form/NumberField.vue'
import SelectField from '@/components/form/SelectField.vue'
import TextField from '@/components/form/TextField.vue'
import TickField from '@/components/form/TickField.vue'
import type { RigHandle } from '@/composables/useRig'
import ToldFacts from './ToldFacts.vue'
import MenuLine from '@/components/MenuLine.vue'

export interface HandsetPanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<HandsetPanelProps>()
const MODES = choicesOf([1, 2, 3, 4], String, (one) => `mode ${one}`, 'as on the card')
const items = computed(() => props.rig.review.handset)
const left = computed(() => items.value.filter((item) => !item.done).length)
const settings = computed(() => props.rig.document.settings)

const tick = (item: HandsetItem) => (done: boolean) => props.handle.intend('tick-handset', { item: item.key, done })
const tellMemory = (memory: string) => props.handle.intend('tell-memory', { memory })
const tellNumber = (number: number | null) => props.handle.intend('tell-receiver-number', { number })
const tellMode = (mode: string) => props.handle.intend('tell-stick-mode', { mode: mode === '' ? null : Number(mode) })
</script>

<template>
  <div>
    <h2>The handset, made ready</h2>
    <WordLine :words="['calibration', 'model memory', 'receiver number', 'stick mode']" />
    <MenuLine :words="rig.review.menus.preparation" />
    <p v-if="items.length === 0" class="muted">Choose a handset on the <RouterLink :to="`/rigs/${rig.slug}/path`">Path</RouterLink> step first.</p>
    <template v-else>
      <p class="muted">Before any value is judged. {{ left === 0 ? 'All of it is done.' : `${left} of ${items.length} still to do.` }}</p>
      <div class="facts">
        <LabelledField label="Model memory"
          ><TextField class="value" :value="String(settings.memory ?? '')" :save="tellMemory" maxlength="40"
        /></LabelledField>
        <LabelledField label="Receiver number"
          ><NumberField :value="settings.receiver_number ?? null" :save="tellNumber" may-be-empty is-whole :lowest="0" maxlength="6"
        /></LabelledField>
        <LabelledField label="Stick mode"><SelectField :value="String(settings.stick_mode ?? '')" :options="MODES" :save="tellMode" /></LabelledField>
      </div>
      <ul class="plain-list">
        <li v-for="item in items" :key="item.key">
          <label>
            <TickField :value="item.done" :save="tick(item)" />
            <span
              ><b>{{ item.title }}</b> <span v-if="item.value" class="value">{{ item.value }}</span>
              <small class="muted">{{ item.text }}</small>
              <small v-if="item.warning" class="warning">{{ item.warning }}</small></span
            >
          </label>
        </li>
      </ul>
      <ToldFacts :rig="rig" :handle="handle" group="handset" />
    </template>
  </div>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem 1.2rem;
  margin: 0.7rem 0;
}
.facts :deep(.field) {
  width: 9rem;
}
li label {
  display: flex;
  gap: 0.8rem;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
}
li input {
  margin-top: 2px;
}
small {
  display: block;
  font-size: 0.9rem;
}
.warning {
  color: var(--amber-text);
  font-weight: 600;
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { choicesOf } from '@/lib/choice'
import { computed, ref } from 'vue'
import type { RigData, SwitchRowView } from '@/api/rigs'
import SelectField from '@/components/form/SelectField.vue'
import TravelRuler from '@/components/TravelRuler.vue'
import type { RigHandle } from '@/composables/useRig'
import { useUnits } from '@/composables/useUnits'
import { figure } from '@/lib/numberText'
import SwitchShape from './SwitchShape.vue'
import SwitchWindows from './SwitchWindows.vue'

export interface SwitchCardProps {
  row: SwitchRowView
  rig: RigData
  handle: RigHandle
}
const props = defineProps<SwitchCardProps>()

const { word, shown } = useUnits(() => props.rig.review.units)
const switches = computed(() => props.rig.review.switches.handset_switches)
const called = (entry: (typeof switches.value)[number]) =>
  `${entry.id}: ${entry.positions === null ? 'slider' : `${entry.positions} positions`}${entry.spring ? ', springs back' : ''}`
const isOpen = ref(false)

const tellSwitch = (id: string) => props.handle.intend('set-switch', { function: props.row.function, switch: id === '' ? null : id })
const positionWord = (position: number) =>
  props.row.is_slider ? (['low end', 'middle', 'high end'][position - 1] ?? String(position)) : String(position)
</script>

<template>
  <section class="card" :aria-label="`Switch for ${row.function}`">
    <header>
      <h3>{{ row.function }}</h3>
      <label
        >on
        <SelectField
          :value="row.switch ?? ''"
          :options="choicesOf(switches, 'id', called, 'choose a switch')"
          :save="tellSwitch"
          :aria-label="`Switch for ${row.function}`"
      /></label>
      <span class="muted"
        >channel <b class="value">{{ row.channel }}</b>; {{ row.handset_says }} on the handset, {{ row.controller_says }} at the controller</span
      >
      <ActButton
        kind="link"
        class="small"
        :aria-label="`${row.function} moves the wrong way`"
        @click="handle.intend('reverse-channel', { channel: row.channel })"
      >
        moves the wrong way
      </ActButton>
      <ActButton kind="link" class="small" :aria-expanded="isOpen" @click="isOpen = !isOpen">levels</ActButton>
      <ActButton kind="link" class="small" :aria-label="`Remove ${row.function}`" @click="handle.intend('remove-switch', { function: row.function })">
        remove
      </ActButton>
    </header>
    <div class="body">
      <TravelRuler
        :levels="row.levels"
        :windows="row.windows.map((window) => ({ name: window.name, lo: window.lo, hi: window.hi, ok: window.ok }))"
        :label="`${row.function}: ${row.levels.map((level) => `position ${level.position} ${figure(level.us)} µs`).join(', ')}`"
      />
      <table class="levels">
        <tbody>
          <tr v-for="level in row.levels" :key="level.position">
            <td>{{ positionWord(level.position) }}</td>
            <td class="value">{{ shown(level.us) }} {{ word }}</td>
            <td class="muted whole">
              {{
                row.windows
                  .filter((window) => window.inside.includes(level.position))
                  .map((window) => window.name)
                  .join(', ') || (row.windows.length > 0 ? 'in no window' : '')
              }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <SwitchShape v-if="isOpen" :row="row" :handle="handle" />
    <SwitchWindows :row="row" :has-controller="rig.review.switches.controller !== null" :handle="handle" />
  </section>
</template>

<style scoped>
.card {
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  padding: 0.7rem 0.9rem;
  margin-top: 0.8rem;
}
header {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 1rem;
}
header h3 {
  font-size: 1.08rem;
}
header h3::first-letter {
  text-transform: uppercase;
}
header .muted {
  flex: 1 1 100%;
  order: 1;
  font-size: 0.9rem;
}
header label {
  flex: 1 1 14rem;
  white-space: nowrap;
}
.body {
  display: grid;
  grid-template-columns: minmax(180px, 300px) minmax(0, 1fr);
  gap: 1.2rem;
  align-items: center;
  margin-top: 0.4rem;
}
.levels td {
  border: 0;
  padding: 0.1rem 0.9rem 0.1rem 0;
}
.levels td:first-child {
  width: 5.5rem;
  white-space: nowrap;
  font-weight: 600;
}
.levels td.value {
  width: 7rem;
  font-size: 1.02rem;
}
@media (max-width: 700px) {
  .body {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { RigData, ThresholdsView } from '@/api/rigs'
import { figure, numberFrom } from '@/composables/numberText'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from './FindingLine.vue'

export interface ThresholdsPanelProps {
  thresholds: ThresholdsView
  rig: RigData
  handle: RigHandle
}
const props = defineProps<ThresholdsPanelProps>()

const ROWS = [
  { key: 'low', label: 'Low threshold', why: 'throttle below it counts as low' },
  { key: 'high', label: 'High threshold', why: 'a stick above it counts as full' },
  { key: 'deadband', label: 'Dead band', why: 'a little above the noise at rest' },
] as const
type Key = (typeof ROWS)[number]['key']

const differs = computed(() => ROWS.some(({ key }) => props.thresholds[key] !== props.thresholds.suggested[key]))

function set(values: Partial<Record<Key, number>>): void {
  const words = Object.entries(values).map(([key, value]) => `${ROWS.find((row) => row.key === key)?.label.toLowerCase()} ${value} µs`)
  const changes = Object.fromEntries(Object.entries(values).map(([key, value]) => [`settings.thresholds.${key}`, value]))
  void props.handle.change({ text: `${props.thresholds.controller}: ${words.join(', ')}`, set: changes })
}

function type(key: Key, event: Event): void {
  const field = event.target as HTMLInputElement
  const value = numberFrom(field.value, props.thresholds[key])
  if (value === null || value < 0 || value > 5000 || (key !== 'deadband' && value === 0))
    field.value = props.thresholds[key] === null ? '' : String(props.thresholds[key])
  else set({ [key]: value })
}
</script>

<template>
  <section class="thresholds">
    <h3>Thresholds in {{ thresholds.controller }}, once the ends are right</h3>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">what</span></th>
          <th scope="col">set, µs</th>
          <th scope="col">suggested</th>
          <th scope="col">what it does</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in ROWS" :key="row.key">
          <td>{{ row.label }}</td>
          <td>
            <input
              class="field value"
              :value="thresholds[row.key] ?? ''"
              :aria-label="`${row.label}, µs`"
              placeholder="not known"
              inputmode="decimal"
              maxlength="8"
              @change="type(row.key, $event)"
              @keydown.enter="($event.target as HTMLInputElement).blur()"
            />
          </td>
          <td class="value">{{ figure(thresholds.suggested[row.key]) }} µs</td>
          <td class="muted">{{ row.why }}</td>
        </tr>
      </tbody>
    </table>
    <FindingLine v-for="finding in thresholds.findings" :key="finding.code + finding.message" :finding="finding" />
    <a-button v-if="differs" class="take" @click="set(thresholds.suggested)">Set as suggested</a-button>
  </section>
</template>

<style scoped>
.thresholds {
  margin-top: 1.2rem;
}
td {
  vertical-align: middle;
}
.field {
  width: 6.5rem;
  min-height: 32px;
  text-align: right;
}
.take {
  margin-top: 0.6rem;
}
</style>

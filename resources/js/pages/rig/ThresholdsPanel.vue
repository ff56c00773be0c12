<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import WordLine from '@/components/WordLine.vue'
import MenuLine from '@/components/MenuLine.vue'
import { computed } from 'vue'
import type { ThresholdsView } from '@/api/rigs'
import NumberField from '@/components/form/NumberField.vue'
import { figure } from '@/lib/numberText'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from '@/components/FindingLine.vue'

export interface ThresholdsPanelProps {
  thresholds: ThresholdsView
  handle: RigHandle
  /** Where the menus have it. */
  menu: string | null
}
const props = defineProps<ThresholdsPanelProps>()

const ROWS = [
  { key: 'low', label: 'Low threshold', why: 'throttle below it counts as low' },
  { key: 'high', label: 'High threshold', why: 'a stick above it counts as full' },
  { key: 'deadband', label: 'Dead band', why: 'a little above the noise at rest' },
] as const
type Key = (typeof ROWS)[number]['key']

/** What is suggested and not set yet. */
const offered = computed(() =>
  Object.fromEntries(
    ROWS.filter(({ key }) => props.thresholds.suggested[key] !== null && props.thresholds[key] !== props.thresholds.suggested[key]).map(({ key }) => [
      key,
      props.thresholds.suggested[key] ?? 0,
    ]),
  ),
)

const set = (key: Key) => (value: number | null) => props.handle.intend('set-thresholds', { [key]: value ?? 0 })
</script>

<template>
  <section class="thresholds">
    <h3>Thresholds in {{ thresholds.controller }}, once the ends are right</h3>
    <WordLine :words="['threshold', 'dead band']" />
    <MenuLine :words="menu" />
    <table class="stacks">
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
          <td class="whole long">
            <b>{{ row.label }}</b>
          </td>
          <td data-says="set, µs">
            <NumberField
              :value="thresholds[row.key]"
              :save="set(row.key)"
              :lowest="row.key === 'deadband' ? 0 : 1"
              :highest="5000"
              :aria-label="`${row.label}, µs`"
              placeholder="not known"
              maxlength="8"
            />
          </td>
          <td class="value" data-says="suggested">
            {{ thresholds.suggested[row.key] === null ? '–' : `${figure(thresholds.suggested[row.key] ?? 0)} µs` }}
          </td>
          <td class="muted long">{{ row.why }}</td>
        </tr>
      </tbody>
    </table>
    <FindingLine v-for="finding in thresholds.findings" :key="finding.code + finding.message" :finding="finding" />
    <p v-if="thresholds.waits_for" class="muted small">{{ thresholds.waits_for }}</p>
    <ActButton v-if="Object.keys(offered).length > 0" class="take" @click="handle.intend('set-thresholds', offered)">Set as suggested</ActButton>
  </section>
</template>

<style scoped>
.thresholds {
  margin-top: 1.2rem;
}
td {
  vertical-align: middle;
}
td :deep(.field) {
  width: 6.5rem;
  min-height: 32px;
  text-align: right;
}
.take {
  margin-top: 0.6rem;
}
</style>

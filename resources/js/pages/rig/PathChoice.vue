<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed } from 'vue'
import type { PlanAnswer } from '@/api/generated/plan.out'
import FindingLine from '@/components/FindingLine.vue'

type Way = PlanAnswer['paths'][number]

export interface PathChoiceProps {
  way: Way
  names: Record<string, string>
  settingNames: Record<string, string>
  best: boolean
  /** Whether the rig already has this chain. */
  taken: boolean
}
const props = defineProps<PathChoiceProps>()
defineEmits<{ take: [] }>()

const name = (id: string) => props.names[id] ?? id
const TELEMETRY = { full: 'telemetry from the controller', link: 'telemetry of the link', none: 'no telemetry' }
const reasons = computed(() => {
  const way = props.way
  const fixes = way.findings.filter((finding) => finding.severity === 'fix').length
  return [
    fixes === 0 ? 'nothing to mend' : `${fixes} to mend`,
    `${way.boxes.length} boxes`,
    changes.value.length === 0 ? 'nothing to set' : `${changes.value.length} to set`,
    `${way.latency_ms.mean.toFixed(1)} ms mean delay`,
    TELEMETRY[way.telemetry],
  ]
})
/** Where the order is mended the Order step offers, cheapest first: here it is said that it differs. */
const isOrderDue = computed(() => props.way.settings_to_change.some((change) => change.setting === 'order'))
const changes = computed(() => props.way.settings_to_change.filter((change) => change.setting !== 'order'))
const findings = computed(() => props.way.findings.filter((finding) => !(isOrderDue.value && finding.code === 'O1')))
const onOff = (to: unknown) => (typeof to === 'boolean' ? (to ? 'on' : 'off') : String(to))
</script>

<template>
  <div class="way">
    <div class="text">
      <p class="boxes">
        <template v-for="(link, k) in way.links" :key="link.to"
          ><b>{{ name(link.from) }}</b> <span class="via">{{ link.via.replace('/', ' ') }} →</span>
          <b v-if="k === way.links.length - 1">{{ name(link.to) }}</b>
        </template>
      </p>
      <p class="muted small">{{ best ? 'Best: ' : '' }}{{ reasons.join(' · ') }}</p>
      <p v-if="changes.length > 0" class="small">
        Set:
        <template v-for="(change, k) in changes" :key="change.box + change.setting"
          >{{ k > 0 ? '; ' : '' }}{{ name(change.box) }}, {{ (settingNames[change.setting] ?? change.setting).toLowerCase() }}
          <span class="value">{{ onOff(change.to) }}</span></template
        >.
      </p>
      <p v-if="isOrderDue" class="small">The channel order differs; the Order step offers where to mend it.</p>
      <FindingLine v-for="finding in findings" :key="finding.code + finding.message" :finding="finding" />
    </div>
    <span v-if="taken" class="taken">This rig has it</span>
    <ActButton v-else :type="best ? 'primary' : 'default'" @click="$emit('take')">Take this path</ActButton>
  </div>
</template>

<style scoped>
.way {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  align-items: flex-start;
}
.boxes {
  line-height: 1.5;
}
.via {
  color: var(--muted);
  font-size: 0.88rem;
}
.taken {
  color: var(--petrol);
  font-weight: 600;
  white-space: nowrap;
}
@media (max-width: 700px) {
  .way {
    flex-direction: column;
  }
}
</style>

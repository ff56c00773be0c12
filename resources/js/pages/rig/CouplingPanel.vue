<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import FactsTable from '@/components/FactsTable.vue'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import type { CouplingWayView, RigData } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import CouplingMark, { COUPLING_WORDS } from '@/components/CouplingMark.vue'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from '@/components/FindingLine.vue'
import SettingTicks from './SettingTicks.vue'

export interface CouplingPanelProps {
  rig: RigData
  /** Position of the coupling in the chain, from 0. */
  position: number
  handle: RigHandle
}
const props = defineProps<CouplingPanelProps>()
defineEmits<{ close: [] }>()

const coupling = computed(() => props.rig.review.couplings[props.position])
const name = (id: string | undefined) => props.rig.review.boxes.find((box) => box.id === id)?.name ?? ''
const priceOf = (way: CouplingWayView) =>
  [
    `${figure(way.mean_ms)} ms on average`,
    way.settings === 0 ? 'nothing to set' : way.settings === 1 ? 'one thing to set' : `${way.settings} things to set`,
    way.fixes > 0 ? `${way.fixes} to mend` : '',
    way.brings_data_back === null ? '' : way.brings_data_back ? 'data comes back' : 'no data back',
  ]
    .filter(Boolean)
    .join(', ')
const panel = ref<HTMLElement | null>(null)
const focus = () => nextTick(() => panel.value?.focus())
onMounted(focus)
watch(() => props.position, focus)
</script>

<template>
  <section v-if="coupling" ref="panel" class="panel" tabindex="-1" :aria-label="`Coupling ${name(coupling.from)} to ${name(coupling.to)}`">
    <header>
      <CouplingMark :state="coupling.state" :open="coupling.open" />
      <h2>{{ name(coupling.from) }} to {{ name(coupling.to) }}: {{ COUPLING_WORDS[coupling.state] }}</h2>
      <ActButton size="small" @click="$emit('close')">Close</ActButton>
    </header>
    <div class="halves">
      <FactsTable v-if="coupling.facts.length > 0" :facts="coupling.facts" :ends="{ from: name(coupling.from), to: name(coupling.to) }" />
      <div>
        <p v-for="miss in coupling.misses" :key="miss.code" class="band stop">
          <b>{{ miss.message }}</b> {{ miss.change }} <span class="value small">{{ miss.code }}</span>
        </p>
        <FindingLine v-for="finding in coupling.findings" :key="finding.code + finding.message" :finding="finding" />
        <template v-if="coupling.changes.length > 0">
          <h3>Set in the boxes</h3>
          <SettingTicks :changes="coupling.changes" :handle="handle" />
        </template>
        <template v-if="coupling.ways.length > 1">
          <h3>Ways to join them</h3>
          <ul class="plain-list ways">
            <li v-for="way in coupling.ways" :key="way.via" :class="{ chosen: way.chosen }">
              <span
                ><b>{{ way.label }}</b> <span class="muted small">{{ priceOf(way) }}</span></span
              >
              <span v-if="way.chosen" class="muted small">taken</span>
              <ActButton
                v-else
                size="small"
                :aria-label="`Join by ${way.label}`"
                @click="handle.intend('choose-way', { from: coupling.from, to: coupling.to, via: way.via })"
                >Take it</ActButton
              >
            </li>
          </ul>
        </template>
        <p v-if="coupling.changes.length + coupling.findings.length + coupling.misses.length === 0" class="muted">
          Joined as delivered; nothing to set here.
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.panel {
  margin-top: 0.8rem;
  padding: 0.8rem 1rem 1rem;
  background: var(--card);
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.ways li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 0.8rem;
  padding: 0.25rem 0;
}
header {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  margin-bottom: 0.6rem;
}
header h2 {
  flex: 1;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1.1fr) minmax(0, 1fr);
  gap: 1.6rem;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

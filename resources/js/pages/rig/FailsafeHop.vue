<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, reactive, ref, watch } from 'vue'
import type { FailsafeHopView, RigData, Told } from '@/api/rigs'
import PulseField from '@/components/PulseField.vue'
import StateMark from '@/components/StateMark.vue'
import { day } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'
import { useUnits } from '@/composables/useUnits'
import LossWay from '@/components/LossWay.vue'
import FindingLine from '@/components/FindingLine.vue'
import LossTest from './LossTest.vue'

export interface FailsafeHopProps {
  hop: FailsafeHopView
  rig: RigData
  handle: RigHandle
}
const props = defineProps<FailsafeHopProps>()

const MARKS = { ok: 'done', check: 'open', fix: 'attention', stop: 'stop' } as const
const { word, shown } = useUnits(() => props.rig.review.units)
const isSetting = ref(false)
const choice = reactive({ mode: '', way: '' })
const stored = reactive<Record<number, number | null>>({})

watch(() => [props.hop.recommended, props.hop.mode, props.hop.hop] as const, open, { immediate: true })

function open(): void {
  choice.mode = props.hop.recommended ?? props.hop.mode ?? props.hop.modes[0]?.mode ?? ''
  choice.way = props.hop.set_by ?? props.hop.ways[0]?.way ?? ''
  for (const entry of props.hop.stored_channels) stored[entry.channel] = props.hop.stored_us?.[entry.channel - 1] ?? entry.safe_us
}

const how = computed(() => {
  const way = props.hop.ways.find((one) => one.way === choice.way)
  return (choice.mode === 'stored' ? way?.says : way?.says_otherwise) ?? ''
})
const outcomeFindings = computed(() => props.hop.findings.filter((finding) => !['F6', 'F7', 'F8'].includes(finding.code)))

function safe(): void {
  for (const entry of props.hop.stored_channels) stored[entry.channel] = entry.safe_us
}

async function set(): Promise<void> {
  const values: (number | null)[] = []
  for (const entry of props.hop.stored_channels) values[entry.channel - 1] = stored[entry.channel] ?? null
  const body = {
    hop: props.hop.hop,
    mode: choice.mode as Told<'set-failsafe'>['mode'],
    ...(choice.way === '' ? {} : { set_by: choice.way as NonNullable<Told<'set-failsafe'>['set_by']> }),
    ...(choice.mode === 'stored' ? { stored_us: Array.from(values, (value) => value ?? null) } : {}),
  }
  if (await props.handle.intend('set-failsafe', body)) isSetting.value = false
}
</script>

<template>
  <section class="hop" :class="hop.severity" :aria-label="`Hop ${hop.hop}`">
    <header>
      <StateMark :state="MARKS[hop.severity]" />
      <div>
        <h3>{{ rig.review.failsafe.hops.length > 1 ? `Hop ${hop.hop}: ` : '' }}{{ hop.receiver }} hears nothing any more</h3>
        <p class="says">{{ hop.says }}</p>
        <p class="muted">{{ hop.because }} <template v-if="!hop.is_set">This is how it is delivered; nothing was set yet.</template></p>
      </div>
    </header>
    <LossWay :way="hop.way" />
    <FindingLine v-for="finding in outcomeFindings" :key="finding.code + finding.message" :finding="finding" />

    <div class="set">
      <p>
        <b>Should {{ hop.modes.find((mode) => mode.mode === hop.recommended)?.says ?? 'not be used like this' }}.</b> {{ hop.recommended_why }}
        <span v-if="hop.is_set" class="muted">Set to {{ hop.mode_says }} on {{ day(hop.set_at) }}.</span>
      </p>
      <ActButton v-if="!isSetting && hop.ways.length > 0" :type="hop.is_set ? 'default' : 'primary'" @click="isSetting = true">{{
        hop.is_set ? 'Set it again' : 'Set it'
      }}</ActButton>
    </div>
    <form v-if="isSetting" class="form" @submit.prevent="set">
      <fieldset>
        <legend>On loss it is to</legend>
        <label v-for="mode in hop.modes" :key="mode.mode"
          ><input v-model="choice.mode" type="radio" :name="`mode-${hop.hop}`" :value="mode.mode" /> {{ mode.says
          }}<span v-if="mode.mode === hop.recommended" class="muted"> (recommended)</span></label
        >
      </fieldset>
      <fieldset>
        <legend>Set by</legend>
        <label v-for="way in hop.ways" :key="way.way"
          ><input v-model="choice.way" type="radio" :name="`way-${hop.hop}`" :value="way.way" /> {{ way.way }}</label
        >
      </fieldset>
      <p class="band calm how">{{ how }}</p>
      <fieldset v-if="choice.mode === 'stored'" class="values">
        <legend>What is stored, {{ word }}, as {{ hop.receiver }} puts it out</legend>
        <label v-for="entry in hop.stored_channels" :key="entry.channel"
          ><span>{{ entry.channel }} {{ entry.function }}</span>
          <PulseField
            :value="stored[entry.channel] ?? null"
            :label="`${entry.function}, stored`"
            :units="rig.review.units"
            @change="stored[entry.channel] = $event"
          />
        </label>
        <p v-if="hop.stored_channels.length === 0" class="muted small">Say on the Path step which function rides on which channel.</p>
        <ActButton kind="link" class="small" @click="safe">as recommended</ActButton>
      </fieldset>
      <div class="row">
        <ActButton html-type="submit">It is set so</ActButton>
        <ActButton @click="isSetting = false">Cancel</ActButton>
      </div>
    </form>
    <p v-else-if="hop.stored_us" class="small muted">
      Stored:
      <template v-for="(entry, k) in hop.stored_channels" :key="entry.channel"
        >{{ k > 0 ? ', ' : '' }}{{ entry.function }}
        <span class="value">{{
          hop.stored_us[entry.channel - 1] == null ? 'nothing' : `${shown(hop.stored_us[entry.channel - 1] ?? 0)} ${word}`
        }}</span></template
      >
    </p>

    <LossTest v-for="test in hop.tests" :key="test.cut" :hop="hop" :test="test" :rig="rig" :handle="handle" />
  </section>
</template>

<style scoped src="./choices.css"></style>
<style scoped>
.hop {
  border: 1px solid var(--line);
  border-left: 4px solid var(--petrol-2);
  background: var(--card);
  border-radius: var(--radius);
  padding: 0.9rem 1.1rem;
  margin-top: 1rem;
}
.hop.stop {
  border-left-color: var(--stop);
}
.hop.fix {
  border-left-color: var(--amber-line);
}
header {
  display: flex;
  gap: 0.8rem;
}
.says {
  font-size: 1.25rem;
  font-weight: 600;
  line-height: 1.3;
}
.stop .says {
  color: var(--stop);
}
.set {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  align-items: center;
  margin-top: 0.8rem;
  border-top: 1px solid var(--line);
  padding-top: 0.7rem;
}
.form {
  margin-top: 0.6rem;
}
.values label {
  gap: 0.5rem;
}
.how {
  margin: 0.4rem 0;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.7rem;
  align-items: end;
  margin-top: 0.5rem;
}
@media (max-width: 700px) {
  .set {
    flex-direction: column;
    align-items: stretch;
  }
  .row :deep(button) {
    min-height: 48px;
    flex: 1;
  }
}
</style>

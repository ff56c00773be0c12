<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import WordHint from '@/components/WordHint.vue'
import WordLine from '@/components/WordLine.vue'
import { computed, nextTick, ref } from 'vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import { useTravelDrafts } from '@/composables/useTravelDrafts'
import { useUnits } from '@/composables/useUnits'
import { figure } from '@/lib/numberText'
import FindingLine from '@/components/FindingLine.vue'
import type { Taken } from '@/composables/useSteady'
import type { Side } from '@/lib/paste'
import LiveReader from './LiveReader.vue'
import SchoolChoice from './SchoolChoice.vue'
import SwitchedServo from './SwitchedServo.vue'
import ThresholdsPanel from './ThresholdsPanel.vue'
import TravelRow from './TravelRow.vue'
import { TRAVEL_STATES } from './travelStates'
import MenuLine from '@/components/MenuLine.vue'

export interface TravelStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<TravelStepProps>()

const { word } = useUnits(() => props.rig.review.units)
const drafts = useTravelDrafts(() => props.rig, props.handle)
const { view, problems, failed } = drafts
const table = ref<HTMLElement | null>(null)

const rows = computed(() => view.value.rows)
/** Why the targets are where they are, if it is the same for all. */
const commonWhy = computed(() => {
  const whys = new Set(rows.value.map((row) => row.target_why))
  return whys.size === 1 ? ([...whys][0] ?? null) : null
})
const findings = computed(() => rows.value.flatMap((row) => row.findings))
const offered = computed(() => rows.value.filter((row) => row.solution && TRAVEL_STATES[row.state].isToSet))
const isBeforeFullStick = computed(() => rows.value.some((row) => row.state === 'beforehand'))
const model = computed(() => props.rig.review.travel.rows.find((row) => row.explains_model)?.explains_model ?? null)

/** A stick was held: its value stands in its field as if it had been typed, and the row is told once it is whole. */
function heldStick({ ask, side, us, noise_us }: Taken): void {
  const row = rows.value.find((one) => one.channel === ask.channel)
  if (!row) return
  drafts.held(row, side as Side, us, noise_us)
  if (side === ask.holds[ask.holds.length - 1]?.side) drafts.leave(row)
}

function next(): void {
  const all = [...(table.value?.querySelectorAll<HTMLInputElement>('input.pulse') ?? [])]
  const here = document.activeElement as HTMLInputElement
  void nextTick(() => {
    const to = all[all.indexOf(here) + 1] ?? table.value?.querySelector<HTMLElement>('.take button')
    // After the last one the row is left all the same, so that it is kept.
    if (to) to.focus()
    else here.blur()
  })
}

async function take(channels: number[]): Promise<void> {
  await drafts.settle()
  await props.handle.intend('take-settings', { channels })
}

async function reverse(channel: number): Promise<void> {
  await drafts.settle()
  await props.handle.intend('reverse-channel', { channel })
}
</script>

<template>
  <div>
    <h2>Travel and centre</h2>
    <WordLine :words="['travel', 'sub-trim', 'sub-trim model', 'noise']" />
    <MenuLine :words="rig.review.menus.travel" />
    <p v-if="rows.length === 0" class="muted">
      Travel is known once the chain joins and the sticks have channels. <RouterLink :to="`/rigs/${rig.slug}/path`">To the path</RouterLink>
    </p>
    <template v-else>
      <p class="muted">
        Propellers off. <b v-if="isBeforeFullStick">Enter the ends below before any full stick.</b> Hold each stick at its low end, let it rest, hold
        it at its high end, and type what you read. Enter goes on; a column can be pasted. Three readings give every setting.<template
          v-if="commonWhy"
        >
          Aimed at {{ commonWhy }}.</template
        >
      </p>
      <LiveReader v-if="!isBeforeFullStick" :slug="rig.slug" kind="stick" @taken="heldStick" />
      <p class="muted small legend">On the rulers: ▽ target, <b aria-hidden="true">|</b> read, ○ after the settings are entered.</p>
      <div ref="table">
        <div class="grid" role="table" aria-label="Travel">
          <div class="line head" role="row">
            <span role="columnheader">ch</span>
            <span role="columnheader">function</span>
            <span role="columnheader">read: low, middle, high ({{ word }})</span>
            <span role="columnheader">set: low / high</span>
            <span role="columnheader"><WordHint word="sub-trim" /></span>
            <span role="columnheader"><span class="sr-only">state</span></span>
          </div>
          <TravelRow
            v-for="row in rows"
            :key="row.channel"
            :row="row"
            :view="view"
            :units="rig.review.units"
            :drafts="drafts"
            :problem="problems[row.channel] ?? null"
            :tells-why="commonWhy === null"
            :set-weights="(told) => handle.intend('set-weights', { channel: row.channel, ...told })"
            @next="next"
            @reverse="reverse(row.channel)"
            @copy="handle.intend('copy-settings', { from: row.channel, to: $event })"
            @fell="drafts.fell(row)"
            @aim="handle.intend('set-target', { channel: row.channel, ...($event ?? {}) })"
          />
        </div>
        <div v-if="offered.length > 0" class="band take">
          <p>
            <b>{{ offered.length === 1 ? 'One channel' : `${offered.length} channels` }} to set.</b> Enter these ends and sub-trims in the handset,
            then read.
          </p>
          <ActButton @click="take(offered.map((row) => row.channel))">Entered as shown</ActButton>
        </div>
      </div>
      <section v-if="view.switched.length > 0" class="switched" aria-label="Servos on switches and knobs">
        <h3>On a switch or knob</h3>
        <SwitchedServo
          v-for="servo in view.switched"
          :key="servo.channel"
          :servo="servo"
          :slug="rig.slug"
          :units="rig.review.units"
          @reverse="reverse(servo.channel)"
        />
      </section>
      <p v-if="failed" class="band stop" role="alert">{{ failed }}</p>
      <p v-if="model" class="band">
        Two readings have told how this handset's sub-trim works.
        <ActButton size="small" @click="handle.intend('tell-subtrim-model', { model })">Put it on this rig's handset card</ActButton>
      </p>
      <FindingLine v-for="finding in findings" :key="finding.code + finding.message" :finding="finding" />
      <p class="muted small">
        {{ view.model_says }} 100 % is ±{{ figure(view.us_per_100) }} µs; ends go to {{ figure(view.max_pct) }} % in steps of
        {{ figure(view.step_pct, 2) }} %. Do not link the two ends before they start equal.
      </p>

      <ThresholdsPanel :menu="rig.review.menus.thresholds" v-if="view.thresholds" :thresholds="view.thresholds" :handle="handle" />

      <SchoolChoice v-if="view.reader" :view="view" :units="rig.review.units" :handle="handle" />
    </template>
  </div>
</template>

<style scoped src="./travelLine.css"></style>
<style scoped>
.grid {
  margin-top: 0.7rem;
}
.head {
  font-size: 0.82rem;
  color: var(--muted);
  padding: 0.2rem 0;
}
.switched {
  margin-top: 1rem;
}
.take {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  margin-top: 0.8rem;
}
@media (max-width: 1180px) {
  .head span:nth-child(4) {
    display: none;
  }
}
@media (max-width: 700px) {
  .head {
    display: none;
  }
  .take {
    flex-direction: column;
    align-items: stretch;
  }
}
</style>

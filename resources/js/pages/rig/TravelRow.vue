<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, ref } from 'vue'
import type { TravelRowView, TravelView, UnitMap } from '@/api/rigs'
import PulseField from '@/components/PulseField.vue'
import StateMark from '@/components/StateMark.vue'
import { useNarrow } from '@/composables/useNarrow'
import TravelRuler from '@/components/TravelRuler.vue'
import type { useTravelDrafts } from '@/composables/useTravelDrafts'
import { useUnits } from '@/composables/useUnits'
import { figure } from '@/lib/numberText'
import { cellsFrom, SIDES, type Side } from '@/lib/paste'
import TravelTarget from './TravelTarget.vue'
import { TRAVEL_STATES } from './travelStates'
import LabelledField from '@/components/form/LabelledField.vue'
import NumberField from '@/components/form/NumberField.vue'

/** One channel: what is read, where it should be, what to set. */
export interface TravelRowProps {
  row: TravelRowView
  view: TravelView
  units: UnitMap
  drafts: Pick<ReturnType<typeof useTravelDrafts>, 'valueOf' | 'type' | 'put' | 'enter' | 'leave'>
  problem: { message: string; path: string; is_reversed: boolean } | null
  /** Whether it says why its target is where it is: the rows differ in it. */
  tellsWhy: boolean
  setWeights: (told: { weight?: number | null; mix_weight?: number | null }) => Promise<boolean>
}
const props = defineProps<TravelRowProps>()
const isNarrow = useNarrow()
defineEmits<{ next: []; reverse: []; copy: [to: number[]]; fell: []; aim: [target: Record<Side, number> | null] }>()

const isWeighing = ref(false)

const SIDE_WORDS = { lo: 'low', mid: 'middle', hi: 'high' }
const STATES = TRAVEL_STATES
const { word, shown } = useUnits(() => props.units)
const setting = computed(() => (props.row.solution && STATES[props.row.state].isToSet ? props.row.solution.settings : props.row.now))
const isAiming = ref(false)

function leave(event: FocusEvent): void {
  const to = event.relatedTarget as Node | null
  if (!to || !(event.currentTarget as HTMLElement).contains(to)) props.drafts.leave(props.row)
}
</script>

<template>
  <div class="line" role="row" @focusin="drafts.enter(row)" @focusout="leave">
    <span class="value ch" role="cell">{{ row.channel }}</span>
    <span class="function" role="cell"
      ><b>{{ row.function }}</b
      ><small v-if="tellsWhy" class="muted">{{ row.target_why }}</small></span
    >
    <span class="reads" role="cell">
      <PulseField
        v-for="side in SIDES"
        :key="side"
        :value="drafts.valueOf(row, side)"
        :label="`${row.function}, ${SIDE_WORDS[side]} (${word})`"
        :units="units"
        :is-wrong="problem?.path.endsWith(side) ?? false"
        @change="drafts.type(row, side, $event)"
        @next="$emit('next')"
        @paste="drafts.put(row, cellsFrom($event, side))"
      />
    </span>
    <span class="ruler-cell" role="cell"
      ><TravelRuler
        :key="String(isNarrow)"
        :is-wide="!isNarrow"
        :target="row.target"
        :read="row.reading"
        :after="row.solution && !STATES[row.state].isSet ? row.solution.predicted : null"
        :safe="row.safe"
        :label="`${row.function}: target ${figure(row.target.lo)}, ${figure(row.target.mid)}, ${figure(row.target.hi)} µs${row.reading ? `; read ${figure(row.reading.lo)}, ${figure(row.reading.mid)}, ${figure(row.reading.hi)} µs` : ''}`"
    /></span>
    <span class="value ends" role="cell"
      ><span>{{ figure(setting.lo_pct) }} <small>%</small></span
      ><span>{{ figure(setting.hi_pct) }} <small>%</small></span></span
    >
    <span class="value" role="cell"><small class="only-phone muted">sub-trim </small>{{ row.centres ? figure(setting.subtrim, 2) : '–' }}</span>
    <span class="state" role="cell"
      ><StateMark :state="STATES[row.state].mark" /><small>{{ STATES[row.state].word }}</small></span
    >
    <span v-if="problem" class="wide problem" role="cell"
      ><span role="alert">{{ problem.message }}</span>
      <ActButton kind="link" v-if="problem.is_reversed" class="small" @click="$emit('fell')">It is reversed: take it as read</ActButton></span
    >
    <span v-else-if="row.explanation" class="wide band" role="cell">{{ row.explanation }}</span>
    <span v-else class="wide more" role="cell">
      <template v-if="row.state === 'beforehand' && row.solution"
        ><b>{{ STATES[row.state].word }}</b
        >: enter these ends; by the cards they give
        <b class="value">{{ shown(row.solution.predicted.lo) }} to {{ shown(row.solution.predicted.hi) }} {{ word }}</b></template
      >
      <template v-else-if="row.state !== 'open'"
        ><b>{{ STATES[row.state].word }}</b
        >: <template v-if="row.state === 'confirmed'">within {{ figure(row.residue_us) }} µs</template>
        <template v-else-if="row.state === 'set'">the settings were entered</template>
        <template v-else-if="row.solution"
          >{{ figure(row.residue_us) }} µs off now; will give
          <b class="value"
            >{{ shown(row.solution.predicted.lo) }} / {{ shown(row.solution.predicted.mid) }} / {{ shown(row.solution.predicted.hi) }} {{ word }}</b
          ></template
        ></template
      >
      <template v-if="row.now.reversed"> · reversed in the handset</template>
      <ActButton kind="link" class="small" :aria-label="`${row.function} moves the wrong way`" @click="$emit('reverse')">
        moves the wrong way
      </ActButton>
      <ActButton kind="link" v-if="row.copies_to.length > 0" class="small" @click="$emit('copy', row.copies_to)">
        same for the other sticks
      </ActButton>
      <ActButton kind="link" class="small" :aria-label="`aim elsewhere: ${row.function}`" :aria-expanded="isAiming" @click="isAiming = !isAiming">
        aim elsewhere
      </ActButton>
      <ActButton kind="link" class="small" :aria-label="`Weights of ${row.function}`" :aria-expanded="isWeighing" @click="isWeighing = !isWeighing">
        weights
      </ActButton>
    </span>
    <span v-if="isWeighing || row.weight !== 100 || row.mix_weight !== 100" class="wide weights" role="cell">
      <LabelledField label="Input weight, %"
        ><NumberField :value="row.weight" :save="(weight) => setWeights({ weight })" :lowest="-200" :highest="200" maxlength="6"
      /></LabelledField>
      <LabelledField label="Mix weight, %"
        ><NumberField :value="row.mix_weight" :save="(mix_weight) => setWeights({ mix_weight })" :lowest="-200" :highest="200" maxlength="6"
      /></LabelledField>
    </span>
    <TravelTarget
      v-if="isAiming"
      class="wide"
      :row="row"
      @aim="
        (target) => {
          isAiming = false
          $emit('aim', target)
        }
      "
    />
    <span v-if="row.hidden" class="wide muted small" role="cell">{{ row.hidden }}</span>
  </div>
</template>

<style scoped src="./travelLine.css"></style>
<style scoped>
.ch {
  font-size: 1.05rem;
}
.function {
  display: flex;
  flex-direction: column;
  line-height: 1.25;
  text-transform: none;
}
.function b::first-letter {
  text-transform: uppercase;
}
.function small {
  font-size: 0.78rem;
}
.reads {
  display: flex;
  flex-wrap: wrap;
  gap: 0.35rem;
}
.ends {
  display: flex;
  flex-direction: column;
  line-height: 1.35;
  font-size: 1.02rem;
}
.ends small {
  color: var(--muted);
}
.state small,
.only-phone {
  position: absolute;
  width: 1px;
  height: 1px;
  overflow: hidden;
  clip-path: inset(50%);
}
.state {
  position: relative;
  display: flex;
  gap: 0.35rem;
  align-items: center;
  line-height: 1.1;
}
.wide {
  grid-column: 2 / -1;
  font-size: 0.88rem;
}
.more {
  color: var(--muted);
}
.more b {
  color: var(--ink);
}
.more .link-act {
  margin-left: 0.9rem;
}
.problem {
  color: var(--stop);
}
.weights {
  display: flex;
  gap: 1rem;
}
.ruler-cell {
  grid-column: 2 / -1;
  grid-row: 2;
}
@media (max-width: 700px) {
  .reads {
    grid-column: 1 / -1;
    grid-row: 2;
    justify-content: space-between;
  }
  .reads :deep(.pulse) {
    width: 31%;
    min-height: 48px;
    font-size: 1.2rem;
  }
  .ruler-cell {
    grid-column: 1 / -1;
    grid-row: 3;
  }
  .ends {
    grid-row: 4;
    align-items: baseline;
    grid-column: 1 / 3;
    flex-direction: row;
    gap: 0.8rem;
  }
  .state small,
  .only-phone {
    position: static;
    width: auto;
    height: auto;
    clip-path: none;
  }
  .state {
    grid-row: 1;
    grid-column: 3 / -1;
  }
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import SuggestField from '@/components/form/SuggestField.vue'
import { asChoices } from '@/lib/choice'
import WordLine from '@/components/WordLine.vue'
import { computed, ref } from 'vue'
import type { RigData } from '@/api/rigs'
import { channelFrom, functionName, wrongFunctionName } from '@/lib/functionName'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from '@/components/FindingLine.vue'
import type { Taken } from '@/composables/useSteady'
import LiveReader from './LiveReader.vue'
import RatesPanel from './RatesPanel.vue'
import SwitchCard from './SwitchCard.vue'
import MenuLine from '@/components/MenuLine.vue'

export interface SwitchesStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<SwitchesStepProps>()

const view = computed(() => props.rig.review.switches)
const fresh = ref('')
const channel = ref('')
const problem = ref('')
const USUAL = asChoices(['arm', 'mode', 'gain', 'gear', 'flap', 'return', 'camera', 'buzzer', 'light'])
/** Positions that were held, by function, until all of one are read. */
const levels: Record<string, Record<string, number>> = {}

/** The last position of a switch: its levels are told as read. */
function heldSwitch({ ask, side, us }: Taken): void {
  const read = (levels[ask.function] = { ...levels[ask.function], [side]: us })
  const all = ask.holds.map((hold) => read[hold.side])
  if (side !== ask.holds[ask.holds.length - 1]?.side || all.includes(undefined)) return
  void props.handle.intend('set-switch', { function: ask.function, levels_us: all as [number, number] })
}

/** The fields are free for the next one at once; what was not taken comes back into them. */
async function assign(name: string): Promise<void> {
  const typed = channel.value.trim()
  const number = channelFrom(typed)
  problem.value = wrongFunctionName(name) || (typed !== '' && number === null ? 'A channel is a whole number from 1 to 32.' : '')
  if (problem.value !== '') return
  const isTyped = name === functionName(fresh.value)
  if (isTyped) fresh.value = channel.value = ''
  const isTaken = await props.handle.intend('assign-switch', { function: name, ...(number === null ? {} : { channel: number }) })
  if (!isTaken && isTyped && fresh.value === '') {
    fresh.value = name
    channel.value = typed
  }
}
</script>

<template>
  <div>
    <h2>Switches</h2>
    <WordLine :words="['level', 'window', 'throttle cut']" />
    <MenuLine :words="rig.review.menus.switches" />
    <p class="muted">
      Which switch, which channel, which function; and whether each position lands in its window<template v-if="view.controller">
        in {{ view.controller }}</template
      >.
    </p>
    <FindingLine v-for="finding in view.findings" :key="finding.code + finding.message" :finding="finding" />
    <p v-if="view.proposal" class="band proposal">
      <span
        ><b>The fewest moves that put it right:</b>
        <template v-for="(one, k) in view.proposal.moves" :key="one.function"
          >{{ k > 0 ? ', ' : ' ' }}{{ one.function }} from channel {{ one.from }} to {{ one.to }}</template
        >.</span
      >
      <ActButton @click="handle.intend('put-channels-right', {})">Move them</ActButton>
    </p>

    <LiveReader v-if="view.rows.some((row) => row.switch)" :slug="rig.slug" kind="switch" @taken="heldSwitch" />
    <SwitchCard v-for="row in view.rows" :key="row.position + row.function" :row="row" :rig="rig" :handle="handle" />

    <section class="add">
      <h3>{{ view.unassigned.length > 0 ? 'Still without a switch' : 'Another function' }}</h3>
      <div class="row">
        <ActButton v-for="name in [...view.unassigned, ...view.could_ride]" :key="name" @click="assign(name)">{{ name }}</ActButton>
        <form class="row" @submit.prevent="assign(functionName(fresh))">
          <SuggestField v-model="fresh" class="name" :offers="USUAL" aria-label="Another function" placeholder="another function" />
          <input
            v-model="channel"
            class="field value channel"
            aria-label="Its channel"
            :placeholder="view.next_free === null ? 'ch' : `ch ${view.next_free}`"
            inputmode="numeric"
            maxlength="2"
          />
          <ActButton html-type="submit">Add</ActButton>
        </form>
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </section>
    <p v-for="window in view.loose_windows" :key="window.position" class="muted small">
      The window "{{ window.name }}" on channel {{ window.channel }} ({{ window.lo }} to {{ window.hi }} µs) has no switch.
    </p>
    <RatesPanel :menu="rig.review.menus.rates" v-if="view.rates.length > 0" :rates="view.rates" :handle="handle" />
  </div>
</template>

<style scoped>
.proposal {
  display: flex;
  justify-content: space-between;
  gap: 1rem;
  align-items: center;
  margin-top: 0.6rem;
}
.add {
  margin-top: 1.2rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  align-items: center;
}
.name {
  width: 12rem;
}
.channel {
  width: 4.6rem;
}
.problem {
  color: var(--stop);
}
</style>

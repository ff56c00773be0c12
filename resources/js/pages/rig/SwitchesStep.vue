<script setup lang="ts">
import { computed, ref } from 'vue'
import type { RigData } from '@/api/rigs'
import { numberFrom } from '@/composables/numberText'
import type { RigHandle } from '@/composables/useRig'
import FindingLine from './FindingLine.vue'
import RatesPanel from './RatesPanel.vue'
import SwitchCard from './SwitchCard.vue'

export interface SwitchesStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<SwitchesStepProps>()

const view = computed(() => props.rig.review.switches)
const fresh = ref('')
const channel = ref('')
const problem = ref('')
const functions = computed(() => props.rig.review.craft.functions ?? [])
const free = computed(() => {
  const used = new Set([...functions.value.map((entry) => entry.channel), ...view.value.rows.map((row) => row.channel)])
  return [5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16].find((number) => !used.has(number)) ?? null
})

type SwitchEntry = { function: string; channel: number; [key: string]: unknown }
const entries = () => [...((props.rig.document.settings.switches as SwitchEntry[] | undefined) ?? [])]

function assign(name: string): void {
  const known = functions.value.find((entry) => entry.function === name)
  const number = known?.channel ?? numberFrom(channel.value, null) ?? free.value
  problem.value = !/^[a-z][a-z0-9_]{0,31}$/.test(name)
    ? 'A function has a name in small letters, such as gear.'
    : number === null || !Number.isInteger(number) || number < 1 || number > 32
      ? 'A channel is a whole number from 1 to 32.'
      : view.value.rows.some((row) => row.function === name)
        ? `${name} has a switch already.`
        : ''
  if (problem.value !== '' || number === null) return
  const set: Record<string, unknown> = { 'settings.switches': [...entries(), { function: name, channel: number }] }
  if (!known) set['craft.functions'] = [...functions.value, { function: name, channel: number }].sort((a, b) => a.channel - b.channel)
  void props.handle.change({ text: `${name} is to ride on channel ${number}`, set })
  fresh.value = ''
  channel.value = ''
}

function move(): void {
  const proposal = view.value.proposal
  if (!proposal) return
  const words = proposal.moves.map((one) => `${one.function} from channel ${one.from} to ${one.to}`).join(', ')
  void props.handle.change({ text: `Channels put right: ${words}`, set: proposal.set })
}
</script>

<template>
  <div>
    <h2>Switches</h2>
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
      <a-button @click="move">Move them</a-button>
    </p>

    <SwitchCard v-for="row in view.rows" :key="row.position + row.function" :row="row" :rig="rig" :handle="handle" />

    <section class="add">
      <h3>{{ view.unassigned.length > 0 ? 'Still without a switch' : 'Another function' }}</h3>
      <div class="row">
        <a-button v-for="name in view.unassigned" :key="name" @click="assign(name)">{{ name }}</a-button>
        <form class="row" @submit.prevent="assign(fresh.trim().toLowerCase().replace(/\s+/g, '_'))">
          <input v-model="fresh" class="field" list="switch-functions" aria-label="Another function" placeholder="another function" maxlength="32" />
          <datalist id="switch-functions">
            <option v-for="name in ['arm', 'mode', 'gain', 'gear', 'flap', 'return', 'camera', 'buzzer', 'light']" :key="name" :value="name" />
          </datalist>
          <input
            v-model="channel"
            class="field value channel"
            aria-label="Its channel"
            :placeholder="free === null ? 'ch' : `ch ${free}`"
            inputmode="numeric"
            maxlength="2"
          />
          <a-button html-type="submit">Add</a-button>
        </form>
      </div>
      <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    </section>
    <p v-for="window in view.loose_windows" :key="window.position" class="muted small">
      The window "{{ window.name }}" on channel {{ window.channel }} ({{ window.lo }} to {{ window.hi }} µs) has no switch.
    </p>
    <RatesPanel v-if="view.rates.length > 0" :rates="view.rates" :rig="rig" :handle="handle" />
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
.channel {
  width: 4.6rem;
}
.problem {
  color: var(--stop);
}
</style>

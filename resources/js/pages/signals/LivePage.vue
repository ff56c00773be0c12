<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { deskQuery } from '@/api/captures'
import LabelledField from '@/components/form/LabelledField.vue'
import SourcePicker from '@/components/SourcePicker.vue'
import { type Picked, type SourceKind, SOURCES } from '@/composables/live/picked'
import type { Row } from '@/composables/live/source'
import { useExtremes } from '@/composables/useExtremes'
import { useKeptRows } from '@/composables/useKeptRows'
import { useLive } from '@/composables/useLive'
import { figure } from '@/lib/numberText'
import AxesTable from './AxesTable.vue'
import ChannelMeters from './ChannelMeters.vue'

const KINDS: SourceKind[] = ['port', 'adapter', 'sound', 'controller', 'log']
const { data: desk } = useQuery(deskQuery)
const format = ref('')
/** What came in, so that it can be kept. */
const kept = useKeptRows()
const extremes = useExtremes()
const axes = ref<InstanceType<typeof AxesTable> | null>(null)

function took(row: Row): void {
  extremes.add(row)
  if (kind.value === 'controller') axes.value?.add(row)
  else kept.add(row)
}
const { seen, row, isOn, problem, silence, rate, listen, stop } = useLive(took)
const kind = ref<SourceKind>('port')
const state = computed(() => (isOn.value ? kind.value : 'off'))

function hear(picked: Picked): void {
  kind.value = picked.kind
  kept.forget()
  extremes.forget()
  void listen(picked.source)
}

/** Of a log there is nothing to be recognised any more: its values as they come. */
const channels = computed(() => (kind.value === 'log' ? extremes.of(row.value) : (seen.value?.channels ?? [])))
const sentence = computed(() => {
  if (row.value !== null && kind.value === 'log') return 'A capture of the desk, as if it came now.'
  if (kind.value === 'controller') return state.value === 'off' ? '' : 'Move each stick round its corners, let it go, and wait a second.'
  if (seen.value === null) return state.value === 'off' ? '' : 'Listening; nothing has come yet.'
  if (seen.value.format === null && kind.value === 'sound') return 'Listening to the sound input.'
  if (seen.value.format === null) return `${seen.value.bytes} bytes have come; none of the known formats is in them yet.`
  return `This is ${seen.value.name}.`
})
const up = computed(() => Object.entries(seen.value?.flags ?? {}).filter(([name, isUp]) => isUp && (name === 'failsafe' || name === 'frame_lost')))
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink to="/signals">Signal desk</RouterLink></p>
    <h1>Listen live</h1>
    <p v-if="isOn" class="row">From {{ SOURCES[kind].name }}. <ActButton @click="stop">Stop</ActButton></p>
    <template v-else>
      <SourcePicker :kinds="KINDS" :format="format" @choose="hear">Listen</SourcePicker>
      <LabelledField class="as" label="Read as, from a port or an adapter"
        ><PickField v-model="format" :options="choicesOf(desk?.formats ?? [], 'id', 'name', 'whatever fits')"
      /></LabelledField>
      <p class="muted small">
        Without gear: <span class="value">php artisan linguator:stand-in --format=s100i --seconds=600 --port=4420</span> sends to a port of this
        machine.
      </p>
    </template>
    <p v-if="problem || silence" class="band" role="alert">{{ problem || silence }}</p>
    <section v-if="sentence" aria-label="What comes in">
      <p class="sentence" role="status">{{ sentence }}</p>
      <p v-if="seen?.format" class="figures">
        <template v-if="kind === 'port'"
          ><span
            ><b class="value">{{ figure(rate, 0) }}</b> frames/s</span
          >
          <span
            ><b class="value">{{ seen.good }}</b> sound</span
          ></template
        >
        <span
          ><b class="value">{{ seen.bad }}</b> bad{{ kind === 'port' ? '' : ' in the last stretch' }}</span
        >
        <span v-if="seen.grain_us"
          >grain <b class="value">{{ figure(seen.grain_us) }}</b> µs</span
        >
        <span v-for="[name] in up" :key="name" class="flag">▲ {{ name === 'failsafe' ? 'failsafe' : 'frame lost' }}</span>
      </p>
      <AxesTable v-if="kind === 'controller'" ref="axes" />
      <ChannelMeters v-else :channels="channels" />
    </section>
    <p v-if="kept.count.value > 1" class="keep">
      <ActButton :loading="kept.isKeeping.value" @click="kept.keep(kind === 'sound' ? 'by-ear' : 'live')">Keep what came in as a capture</ActButton>
      <span class="muted small">{{ kept.count.value }} rows<template v-if="kept.isFull.value">, the last of them</template></span>
      <span role="status"><RouterLink v-if="kept.capture.value !== null" :to="`/signals/${kept.capture.value}`">Kept: open it</RouterLink></span>
    </p>
    <p v-if="kept.problem.value" class="band stop" role="alert">{{ kept.problem.value }}</p>
  </main>
</template>

<style scoped>
.keep {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 0.9rem;
  align-items: center;
  margin-top: 0.8rem;
}
.row {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  margin-top: 0.4rem;
}
.as {
  max-width: 22rem;
  margin: 0.9rem 0 0.5rem;
}
.sentence {
  font-size: 1.3rem;
  font-weight: 600;
  margin-top: 1rem;
}
.figures {
  display: flex;
  gap: 1.2rem;
}
.flag {
  color: var(--stop);
  font-weight: 600;
}
</style>

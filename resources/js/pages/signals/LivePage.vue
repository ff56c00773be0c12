<script setup lang="ts">
import NumberField from '@/components/form/NumberField.vue'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { deskQuery } from '@/api/captures'
import { choicesQuery, type LineChoice } from '@/api/choices'
import { lineInSource } from '@/composables/live/lineIn'
import { portSource } from '@/composables/live/port'
import { hasSerial, serialSource } from '@/composables/live/serial'
import type { LiveSource } from '@/composables/live/source'
import { useKeptRows } from '@/composables/useKeptRows'
import { useLive } from '@/composables/useLive'
import { figure } from '@/lib/numberText'
import ChannelMeters from './ChannelMeters.vue'

const USUAL_PORT = 4420
const { data: desk } = useQuery(deskQuery)
const choices = useQuery(choicesQuery)
const lines = computed(() => choices.data.value?.lines ?? [])

const port = ref(USUAL_PORT)
const format = ref('')
const line = ref<LineChoice | null>(null)
watch(lines, (now) => (line.value ??= now[0] ?? null), { immediate: true })
/** What came in, so that it can be kept. */
const kept = useKeptRows()
const { seen, isOn, problem, silence, rate, listen, stop } = useLive(kept.add)
type Kind = 'tcp' | 'serial' | 'sound'
const kind = ref<Kind>('tcp')
const state = computed(() => (isOn.value ? kind.value : 'off'))

function hear(which: Kind, source: LiveSource): void {
  kind.value = which
  kept.forget()
  void listen(source)
}

const sentence = computed(() => {
  if (seen.value === null) return state.value === 'off' ? '' : 'Listening; nothing has come yet.'
  if (seen.value.format === null && kind.value === 'sound') return 'Listening to the sound input.'
  if (seen.value.format === null) return `${seen.value.bytes} bytes have come; none of the known formats is in them yet.`
  return `This is ${seen.value.name}.`
})
const up = computed(() => Object.entries(seen.value?.flags ?? {}).filter(([name, isUp]) => isUp && (name === 'failsafe' || name === 'frame_lost')))

const keepPort = (value: number | null) => {
  if (value !== null) port.value = value
  return Promise.resolve(true)
}
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink to="/signals">Signal desk</RouterLink></p>
    <h1>Listen live</h1>
    <div class="sources">
      <form @submit.prevent="hear('tcp', portSource(port, format))">
        <h2>A port on this machine</h2>
        <p class="muted small">
          A serial-to-network adapter, or a stand-in:
          <span class="value">php artisan linguator:stand-in --format=s100i --seconds=600 --port=4420</span>
        </p>
        <div class="row">
          <label>Port <NumberField :value="port" :save="keepPort" :lowest="1" :highest="65535" is-whole aria-label="Port" maxlength="5" /></label>
          <a-button v-if="state !== 'tcp'" type="primary" html-type="submit">Listen</a-button>
          <a-button v-else @click="stop">Stop</a-button>
        </div>
      </form>
      <div>
        <h2>A USB serial adapter</h2>
        <p v-if="!hasSerial()" class="muted small">
          This browser does not hand serial adapters to pages; one that does (on a computer, not a phone) can listen here.
        </p>
        <template v-else>
          <p class="muted small">Turn inverted lines round with an inverter first: an adapter cannot.</p>
          <div class="row">
            <label
              >Line
              <select v-model="line" class="field">
                <option v-for="one in lines" :key="one.title" :value="one">{{ one.title }}</option>
              </select></label
            >
            <a-button v-if="state !== 'serial'" type="primary" :disabled="line === null" @click="line && hear('serial', serialSource(line, format))"
              >Choose the adapter</a-button
            >
            <a-button v-else @click="stop">Stop</a-button>
          </div>
        </template>
      </div>
      <div>
        <h2>The sound input</h2>
        <p class="muted small">
          A trainer socket on a lead into line-in, its level low. A pulse train only; each sample is a grain of the value, so read it for movement and
          order, not to the microsecond.
        </p>
        <div class="row">
          <a-button v-if="state !== 'sound'" type="primary" @click="hear('sound', lineInSource())">Hear the input</a-button>
          <a-button v-else @click="stop">Stop</a-button>
        </div>
      </div>
      <label class="as"
        >Read as
        <select v-model="format" class="field">
          <option value="">whatever fits</option>
          <option v-for="one in desk?.formats ?? []" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select></label
      >
    </div>
    <p v-if="problem || silence" class="band" role="alert">{{ problem || silence }}</p>
    <section v-if="sentence" aria-label="What comes in">
      <p class="sentence" role="status">{{ sentence }}</p>
      <p v-if="seen?.format" class="figures">
        <template v-if="kind === 'tcp'"
          ><span
            ><b class="value">{{ figure(rate, 0) }}</b> frames/s</span
          >
          <span
            ><b class="value">{{ seen.good }}</b> sound</span
          ></template
        >
        <span
          ><b class="value">{{ seen.bad }}</b> bad{{ kind === 'tcp' ? '' : ' in the last stretch' }}</span
        >
        <span v-if="seen.grain_us"
          >grain <b class="value">{{ figure(seen.grain_us) }}</b> µs</span
        >
        <span v-for="[name] in up" :key="name" class="flag">▲ {{ name === 'failsafe' ? 'failsafe' : 'frame lost' }}</span>
      </p>
      <ChannelMeters :channels="seen?.channels ?? []" />
    </section>
    <p v-if="kept.count.value > 1" class="keep">
      <a-button :loading="kept.isKeeping.value" @click="kept.keep()">Keep what came in as a capture</a-button>
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
.sources {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(330px, 1fr));
  gap: 1rem 2rem;
  margin: 0.9rem 0;
}
.row {
  display: flex;
  gap: 0.7rem;
  align-items: end;
  margin-top: 0.4rem;
}
.row label,
.as {
  display: flex;
  flex-direction: column;
  font-size: 0.9rem;
}
.row input {
  width: 7rem;
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
@media (max-width: 700px) {
  .sources {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

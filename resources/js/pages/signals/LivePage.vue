<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, onBeforeUnmount, ref } from 'vue'
import { deskQuery, type LiveSeen } from '@/api/captures'
import { ApiError, postJson, sentenceOf, streamFrom } from '@/api/http'
import TravelRuler from '@/components/TravelRuler.vue'
import { figure } from '@/lib/numberText'

const { data: desk } = useQuery(deskQuery)

/** Of a serial adapter the last bytes are sent for decoding, so often. */
const TELL_MS = 40
const WINDOW_BYTES = 2048
const LINES = [
  { baud: 100000, parity: 'even', stop: 2, title: '100 000 8E2' },
  { baud: 115200, parity: 'none', stop: 1, title: '115 200 8N1' },
  { baud: 420000, parity: 'none', stop: 1, title: '420 000 8N1' },
] as const

const port = ref(4420)
const format = ref('')
const line = ref<(typeof LINES)[number]>(LINES[0])
const seen = ref<LiveSeen | null>(null)
const rate = ref(0)
const state = ref<'off' | 'tcp' | 'serial'>('off')
const problem = ref('')
const hasSerial = 'serial' in navigator
let abort: AbortController | null = null
let serial: SerialLike | null = null

interface SerialLike {
  open: (options: Record<string, unknown>) => Promise<void>
  close: () => Promise<void>
  readable: ReadableStream<Uint8Array> | null
}

let lastCount = 0
let lastAt = 0
function show(now: LiveSeen): void {
  const at = performance.now()
  if (at - lastAt > 500) {
    rate.value = lastAt === 0 ? 0 : ((now.good - lastCount) * 1000) / (at - lastAt)
    lastCount = now.good
    lastAt = at
  }
  seen.value = now
  if (now.ended) {
    problem.value = now.ended === 'sender' ? 'The sender has closed the connection.' : 'Five minutes have passed; listen again if you need more.'
  }
}

async function listen(): Promise<void> {
  stop()
  problem.value = ''
  lastAt = 0
  lastCount = 0
  abort = new AbortController()
  state.value = 'tcp'
  try {
    const response = await streamFrom('/live/tcp', { port: port.value, format: format.value }, abort.signal)
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
    let rest = ''
    for (;;) {
      const part = await reader?.read()
      if (!part || part.done) break
      const lines = (rest + part.value).split('\n')
      rest = lines.pop() ?? ''
      const newest = lines[lines.length - 1]
      if (newest) show(JSON.parse(newest) as LiveSeen)
    }
  } catch (error) {
    if (!(error instanceof DOMException)) problem.value = error instanceof ApiError ? error.message : sentenceOf(error)
  } finally {
    if (state.value === 'tcp') state.value = 'off'
  }
}

async function listenToSerial(): Promise<void> {
  stop()
  problem.value = ''
  try {
    const serials = (navigator as unknown as { serial: { requestPort: () => Promise<SerialLike> } }).serial
    serial = await serials.requestPort()
    await serial.open({ baudRate: line.value.baud, dataBits: 8, parity: line.value.parity, stopBits: line.value.stop, bufferSize: 8192 })
    state.value = 'serial'
    await readSerial(serial)
  } catch (error) {
    problem.value = `The adapter cannot be read: ${sentenceOf(error)}`
    state.value = 'off'
  }
}

async function readSerial(from: SerialLike): Promise<void> {
  const reader = from.readable?.getReader()
  let held: number[] = []
  let isAsking = false
  const timer = window.setInterval(() => {
    if (isAsking || held.length === 0) return
    isAsking = true
    const hex = held.map((byte) => byte.toString(16).padStart(2, '0')).join('')
    postJson<LiveSeen>('/live/bytes', { hex, format: format.value === '' ? (seen.value?.card ?? '') : format.value })
      .then(show)
      .catch((error: unknown) => (problem.value = sentenceOf(error)))
      .finally(() => (isAsking = false))
  }, TELL_MS)
  try {
    while (state.value === 'serial') {
      const part = await reader?.read()
      if (!part || part.done) break
      held = [...held, ...part.value].slice(-WINDOW_BYTES)
    }
  } finally {
    window.clearInterval(timer)
    reader?.releaseLock()
  }
}

function stop(): void {
  abort?.abort()
  abort = null
  const open = serial
  serial = null
  state.value = 'off'
  if (open) void open.close().catch(() => undefined)
}
onBeforeUnmount(stop)

const sentence = computed(() => {
  if (seen.value === null) return state.value === 'off' ? '' : 'Listening; nothing has come yet.'
  if (seen.value.format === null) return `${seen.value.bytes} bytes have come; none of the known formats is in them yet.`
  return `This is ${seen.value.name}.`
})
const up = computed(() => Object.entries(seen.value?.flags ?? {}).filter(([name, isUp]) => isUp && (name === 'failsafe' || name === 'frame_lost')))
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink to="/signals">Signal desk</RouterLink></p>
    <h1>Listen live</h1>
    <div class="sources">
      <form @submit.prevent="listen">
        <h2>A port on this machine</h2>
        <p class="muted small">
          A serial-to-network adapter, or a stand-in:
          <span class="value">php artisan linguator:stand-in --format=s100i --seconds=600 --port=4420</span>
        </p>
        <div class="row">
          <label>Port <input v-model.number="port" class="field value" type="number" min="1" max="65535" /></label>
          <a-button v-if="state !== 'tcp'" type="primary" html-type="submit">Listen</a-button>
          <a-button v-else @click="stop">Stop</a-button>
        </div>
      </form>
      <div>
        <h2>A USB serial adapter</h2>
        <p v-if="!hasSerial" class="muted small">
          This browser does not hand serial adapters to pages; one that does (on a computer, not a phone) can listen here.
        </p>
        <template v-else>
          <p class="muted small">Turn inverted lines round with an inverter first: an adapter cannot.</p>
          <div class="row">
            <label
              >Line
              <select v-model="line" class="field">
                <option v-for="one in LINES" :key="one.title" :value="one">{{ one.title }}</option>
              </select></label
            >
            <a-button v-if="state !== 'serial'" type="primary" @click="listenToSerial">Choose the adapter</a-button>
            <a-button v-else @click="stop">Stop</a-button>
          </div>
        </template>
      </div>
      <label class="as"
        >Read as
        <select v-model="format" class="field">
          <option value="">whatever fits</option>
          <option v-for="one in desk?.formats ?? []" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select></label
      >
    </div>
    <p v-if="problem" class="band" role="alert">{{ problem }}</p>
    <section v-if="sentence" aria-label="What comes in">
      <p class="sentence" role="status">{{ sentence }}</p>
      <p v-if="seen?.format" class="figures">
        <template v-if="state !== 'serial'"
          ><span
            ><b class="value">{{ figure(rate, 0) }}</b> frames/s</span
          >
          <span
            ><b class="value">{{ seen.good }}</b> sound</span
          ></template
        >
        <span
          ><b class="value">{{ seen.bad }}</b> bad{{ state === 'serial' ? ' in the last stretch' : '' }}</span
        >
        <span v-for="[name] in up" :key="name" class="flag">▲ {{ name === 'failsafe' ? 'failsafe' : 'frame lost' }}</span>
      </p>
      <ul class="plain-list channels">
        <li v-for="channel in seen?.channels ?? []" :key="channel.channel">
          <span class="muted">{{ channel.channel }}</span>
          <span
            ><b class="value big">{{ figure(channel.us, 0) }}</b> <span class="muted small">µs</span></span
          >
          <TravelRuler
            :read="{ lo: channel.low_us, mid: channel.us, hi: channel.high_us }"
            :target="{ lo: 1000, mid: 1500, hi: 2000 }"
            :label="`Channel ${channel.channel} at ${figure(channel.us, 0)} µs, so far from ${figure(channel.low_us, 0)} to ${figure(channel.high_us, 0)} µs`"
          />
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
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
.channels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(360px, 1fr));
  gap: 0 2rem;
  margin-top: 0.6rem;
}
.channels li {
  display: grid;
  grid-template-columns: 1.6rem 6rem 1fr;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.big {
  font-size: 1.5rem;
}
@media (max-width: 700px) {
  .channels,
  .sources {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

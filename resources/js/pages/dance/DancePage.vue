<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { getJson, postJson, sentenceOf } from '@/api/http'
import { deskQuery } from '@/api/captures'
import { choicesQuery } from '@/api/choices'
import type { DanceSetUp } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import { gamepadSource } from '@/composables/live/gamepad'
import { logSource } from '@/composables/live/log'
import { lineInSource } from '@/composables/live/lineIn'
import { portSource } from '@/composables/live/port'
import { hasSerial, serialSource } from '@/composables/live/serial'
import type { Row } from '@/composables/live/source'
import { type Prompt, useDance } from '@/composables/useDance'
import { useRig } from '@/composables/useRig'
import { useSay } from '@/composables/useSay'
import DanceFound from './DanceFound.vue'
import DanceHands from './DanceHands.vue'
import DanceLines from './DanceLines.vue'

/** The stand-in dances so many times as fast as a person. */
const STAND_IN_SPEED = 3
const SEEDS = 1000
const NOBODY = "The stand-in danced, nobody's hands: this is what would be written, and nothing is."
const AT_THE_HANDSET = 'A game controller shows axes of the handset, not channels as they arrive: nothing of it is written.'

const route = useRoute()
const router = useRouter()
const slug = computed(() => String(route.params.slug))
/** The sticks only, once more: whether what was entered came out. */
const isShort = computed(() => route.query.short === '1')
const setUp = useQuery({
  queryKey: computed(() => ['dance', slug.value, isShort.value] as const),
  queryFn: ({ signal }) => getJson<DanceSetUp>(`/rigs/${slug.value}/dance${isShort.value ? '?short=1' : ''}`, signal),
  staleTime: 0,
})
const moves = computed(() => setUp.data.value?.moves ?? [])
const handle = useRig(slug)
const dance = useDance(
  () => slug.value,
  () => moves.value,
  () => isShort.value,
)
const { state, rows, shown, problem, silence, isRehearsal, whyNot, at, isSeen } = dance
const port = ref('4420')
const choices = useQuery(choicesQuery)
const lines = computed(() => choices.data.value?.lines ?? [])
const line = ref('')
const chosenLine = computed(() => lines.value.find((one) => one.title === line.value) ?? lines.value[0] ?? null)
/** Values whose grain is a sound input's: good to see what moves, not to set ends by. */
const BY_EAR = 'A sound input reads to its grain of about twenty µs only: nothing of it is written. Take the ends from a port or an adapter.'
const beginning = ref('')
const asked = computed(() => moves.value[at.value] ?? null)
const { tone, speak, wantsVoice, hasVoice } = useSay()
// Both hands are at the handset: what comes next is heard, and that the last was seen.
watch([state, asked], ([is, move], [was]) => {
  if (is !== 'on' || move === null) return
  if (was === 'on' && !isRehearsal.value) tone()
  speak(move.says)
})
const fault = ref('')
/** It was written: what comes next stands there instead of what was found. */
const isWritten = ref(false)
const captures = useQuery(deskQuery)
const capture = ref(typeof route.query.capture === 'string' ? route.query.capture : '')

async function rehearse(): Promise<void> {
  beginning.value = ''
  try {
    const made = await postJson<{ log: Row[]; prompts: Prompt[] }>(`/rigs/${slug.value}/dance/stand-in`, {
      seed: Math.floor(Math.random() * SEEDS),
      short: isShort.value,
      ...(fault.value === '' ? {} : { faults: [fault.value] }),
    })
    await dance.start(logSource(made.log, STAND_IN_SPEED), made.prompts, NOBODY)
  } catch (error) {
    beginning.value = sentenceOf(error)
  }
}

/** A capture that is there already. */
async function readCapture(): Promise<void> {
  beginning.value = ''
  try {
    // How the desk reads it, where it comes from there.
    const { line, as } = capture.value === route.query.capture ? route.query : {}
    const options = Object.fromEntries(Object.entries({ line, as }).filter(([, told]) => typeof told === 'string'))
    const { log } = await postJson<{ log: Row[] }>(`/rigs/${slug.value}/dance/capture`, { capture: Number(capture.value), options })
    await dance.readWhole(log)
  } catch (error) {
    beginning.value = sentenceOf(error)
  }
}

async function take(keys: string[], by: string): Promise<void> {
  isWritten.value = await handle.takeDance({ log: rows.value, prompts: dance.prompts.value, short: isShort.value, keys, by })
}

async function once(short: boolean): Promise<void> {
  isWritten.value = false
  state.value = 'off'
  await router.replace({ query: short ? { short: '1' } : {} })
}

useEventListener('keydown', (event) => {
  if (state.value !== 'on' || event.target instanceof HTMLInputElement || event.ctrlKey || event.metaKey || event.altKey) return
  const act = { a: dance.again, s: dance.next, Escape: () => void dance.finish() }[event.key]
  if (!act) return
  event.preventDefault()
  act()
})
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink :to="`/rigs/${slug}`">Back to the rig</RouterLink></p>
    <h1>
      One dance, whole set-up<template v-if="setUp.data.value">: {{ setUp.data.value.name }}</template>
    </h1>
    <p v-if="setUp.error.value" class="band stop" role="alert">{{ sentenceOf(setUp.error.value) }}</p>
    <template v-if="state === 'off' && setUp.data.value">
      <p v-if="isShort" class="muted">
        Propellers off. The sticks only: the order in which they arrive, and whether what was entered in the handset came out.
        <button type="button" class="link-button" @click="once(false)">The whole dance</button>
      </p>
      <p v-else class="muted">
        Propellers off. Twenty seconds instead of Order, Travel and Switches by hand: move one control after the other as it is asked, each to its
        end, and hold it for a moment. Trims at zero, rates off.
      </p>
      <p v-if="setUp.data.value.leaves_throttle" class="band">Its throttle springs to the middle: a dance leaves it out. Read it in Travel.</p>
      <ol>
        <li v-for="(move, k) in moves" :key="k">{{ move.says }}</li>
      </ol>
      <h2>Where the values come from</h2>
      <div class="sources">
        <div>
          <h3>A port of this machine</h3>
          <p class="muted small">What the receiver sends, over a serial-to-network adapter. Order, travel and levels as they arrive.</p>
          <LabelledField label="Port"><input v-model="port" class="field port" inputmode="numeric" maxlength="5" /></LabelledField>
          <a-button type="primary" @click="dance.start(portSource(Number(port)), null, '')">Dance on this port</a-button>
        </div>
        <div v-if="hasSerial()">
          <h3>A USB serial adapter</h3>
          <p class="muted small">What the receiver sends, handed to this page by the browser. Inverted lines through an inverter.</p>
          <LabelledField label="Line"
            ><select v-model="line" class="field">
              <option v-for="one in lines" :key="one.title" :value="one === lines[0] ? '' : one.title">{{ one.title }}</option>
            </select></LabelledField
          >
          <a-button :disabled="chosenLine === null" @click="chosenLine && dance.start(serialSource(chosenLine), null, '')"
            >Choose the adapter</a-button
          >
        </div>
        <div>
          <h3>The sound input</h3>
          <p class="muted small">
            A trainer socket into line-in: its pulse train, to a grain of about twenty µs. To see what moves; nothing is written.
          </p>
          <a-button @click="dance.start(lineInSource(), null, BY_EAR)">Dance by ear</a-button>
        </div>
        <div>
          <h3>A game controller</h3>
          <p class="muted small">
            A handset on a USB lead: its own outputs, before any radio. To see whether every stick reaches its ends; nothing is written.
          </p>
          <a-button @click="dance.start(gamepadSource(), null, AT_THE_HANDSET)">Dance with it</a-button>
        </div>
        <div>
          <h3>Without gear</h3>
          <p class="muted small">The rig's dry bench dances by itself, to see how it goes. Nothing is written.</p>
          <p v-if="setUp.data.value.stand_in_refusal" class="muted small">{{ setUp.data.value.stand_in_refusal }}</p>
          <template v-else>
            <LabelledField label="With a fault in it"
              ><select v-model="fault" class="field">
                <option value="">none</option>
                <option v-for="one in setUp.data.value.faults" :key="one.cause" :value="one.cause">{{ one.says }}</option>
              </select></LabelledField
            >
            <a-button @click="rehearse">Let the stand-in dance</a-button>
          </template>
        </div>
        <div v-if="(captures.data.value?.captures ?? []).length > 0">
          <h3>A capture of the desk</h3>
          <p class="muted small">Taken while somebody moved the controls in this order, hands off first.</p>
          <LabelledField label="Capture"
            ><select v-model="capture" class="field">
              <option value="">choose one</option>
              <option v-for="one in captures.data.value?.captures ?? []" :key="one.id" :value="String(one.id)">{{ one.name }}</option>
            </select></LabelledField
          >
          <a-button :disabled="capture === ''" @click="readCapture">Read it as a dance</a-button>
        </div>
      </div>
      <p v-if="beginning || problem" class="band stop" role="alert">{{ beginning || problem }}</p>
    </template>

    <template v-if="state === 'on'">
      <div class="asked">
        <div>
          <p class="muted small">{{ at + 1 }} of {{ moves.length }}</p>
          <p class="move" role="status">{{ asked?.says }}</p>
          <p class="acts">
            <a-button :disabled="isRehearsal" @click="dance.again()">Again (A)</a-button>
            <a-button :disabled="isRehearsal" @click="dance.next()">Skip (S)</a-button>
            <a-button @click="dance.finish()">Stop (Esc)</a-button>
            <label v-if="hasVoice" class="small"><input v-model="wantsVoice" type="checkbox" /> say it aloud</label>
          </p>
          <p v-if="silence" class="band" role="alert">{{ silence }}</p>
          <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
        </div>
        <DanceHands :gimbals="setUp.data.value?.gimbals ?? []" :move="asked" />
      </div>
      <ol class="ticks plain-list">
        <li v-for="(move, k) in moves" :key="k" :class="{ seen: isSeen(k) && k <= at, now: k === at }">
          <span aria-hidden="true">{{ isSeen(k) && k <= at ? '✓' : k === at ? '▸' : '·' }}</span> {{ move.letter ?? move.id ?? 'rest'
          }}<span class="sr-only">{{ isSeen(k) && k <= at ? ', seen' : '' }}</span>
        </li>
      </ol>
    </template>

    <DanceLines v-if="state !== 'off'" :rows="rows" :shown="shown" />
    <section v-if="state === 'done' && isWritten" class="written" aria-labelledby="written-title">
      <h2 id="written-title" tabindex="-1">Written</h2>
      <p>
        Now enter in the handset what <RouterLink :to="`/rigs/${slug}/travel`">Travel has computed</RouterLink> and tick it there. Then dance the
        sticks once more: that confirms it.
      </p>
      <p>
        <a-button type="primary" @click="once(true)">Dance the sticks once more</a-button>
      </p>
    </section>
    <template v-else-if="state === 'done' && shown">
      <DanceFound :shown="shown" :moves="moves" :why-not="whyNot" :is-sending="handle.isSending.value" @take="take" @again="state = 'off'" />
      <p><a-button @click="state = 'off'">Another dance</a-button></p>
    </template>
    <p v-else-if="state === 'done'" class="band stop" role="alert">{{ problem }} <a-button @click="state = 'off'">Back</a-button></p>
  </main>
</template>

<style scoped>
.sources {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 1.4rem;
}
.sources h3 {
  margin-top: 0;
}
h2 {
  margin-top: 1.4rem;
}
ol:not(.plain-list) {
  padding-left: 1.4rem;
  margin-top: 0.6rem;
}
.sources :deep(.ant-btn) {
  margin-top: 0.5rem;
}
.port {
  width: 6rem;
}
.asked {
  display: grid;
  grid-template-columns: 1fr 300px;
  gap: 1.5rem;
  align-items: center;
}
.move {
  font-size: 1.9rem;
  font-weight: 600;
  line-height: 1.2;
  margin: 0.2rem 0 0.8rem;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem;
}
.ticks {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.1rem;
  margin: 0.8rem 0;
}
.ticks li {
  color: var(--muted);
}
.ticks .seen {
  color: var(--petrol);
  font-weight: 600;
}
.ticks .now {
  color: var(--ink);
}
@media (max-width: 700px) {
  .asked {
    grid-template-columns: 1fr;
  }
}
</style>

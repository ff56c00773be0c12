<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import { useEventListener } from '@vueuse/core'
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { getJson, postJson, sentenceOf } from '@/api/http'
import type { DanceSetUp } from '@/api/rigs'
import LabelledField from '@/components/form/LabelledField.vue'
import SourcePicker from '@/components/SourcePicker.vue'
import { logSource } from '@/composables/live/log'
import { type Picked, type SourceKind, WHY_NOT } from '@/composables/live/picked'
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
const KINDS: SourceKind[] = ['port', 'adapter', 'sound', 'controller', 'stand-in', 'log']

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

const wantsCapture = typeof route.query.capture === 'string' ? route.query.capture : ''
/** The stand-in's dance comes with its prompts, so it is not played by the picker. */
const noRows = () => Promise.resolve([])

async function rehearse(): Promise<void> {
  beginning.value = ''
  try {
    const made = await postJson<{ log: Row[]; prompts: Prompt[] }>(`/rigs/${slug.value}/dance/stand-in`, {
      seed: Math.floor(Math.random() * SEEDS),
      short: isShort.value,
      ...(fault.value === '' ? {} : { faults: [fault.value] }),
    })
    await dance.start(logSource(made.log, STAND_IN_SPEED), made.prompts, WHY_NOT['stand-in'])
  } catch (error) {
    beginning.value = sentenceOf(error)
  }
}

/** A capture that is there already. */
async function readCapture(id: string): Promise<void> {
  beginning.value = ''
  try {
    // How the desk reads it, where it comes from there.
    const { line, as } = id === route.query.capture ? route.query : {}
    const options = Object.fromEntries(Object.entries({ line, as }).filter(([, told]) => typeof told === 'string'))
    const { log, is_sound } = await postJson<{ log: Row[]; is_sound: boolean }>(`/captures/${id}/rows`, { options })
    await dance.readWhole(log, is_sound ? WHY_NOT.sound : '')
  } catch (error) {
    beginning.value = sentenceOf(error)
  }
}

function begin({ kind, source, capture }: Picked): void {
  if (kind === 'stand-in') void rehearse()
  else if (capture !== undefined) void readCapture(capture)
  else void dance.start(source, null, WHY_NOT[kind])
}

async function take(keys: string[], by: string): Promise<void> {
  isWritten.value = await handle.takeDance({ log: rows.value, prompts: dance.prompts.value, short: isShort.value, keys, by })
}

async function once(short: boolean): Promise<void> {
  isWritten.value = false
  state.value = 'off'
  await router.replace({ query: short ? { short: '1' } : {} })
}

/** What the stick that is held says, as long as it is held. */
const SIGNS = { skip: 'Let go: this one is skipped.', again: 'Let go: it is asked once more.', stop: 'Enough: this is the end.' }
const signHeld = computed(() => (shown.value?.sign ? SIGNS[shown.value.sign.says] : ''))
watch(signHeld, (is) => {
  if (is !== '') tone()
})

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
        <ActButton kind="link" @click="once(false)">The whole dance</ActButton>
      </p>
      <p v-else class="muted">
        Propellers off. Twenty seconds instead of Order, Travel and Switches by hand: move one control after the other as it is asked, each to its
        end, and hold it for a moment. Trims at zero, rates off.
      </p>
      <p v-if="setUp.data.value.leaves_throttle" class="band">Its throttle springs to the middle: a dance leaves it out. Read it in Travel.</p>
      <div class="begin">
        <div>
          <SourcePicker :kinds="KINDS" :stand-in="noRows" :refusal="setUp.data.value.stand_in_refusal" :wants-capture="wantsCapture" @choose="begin">
            Begin
            <template #stand-in>
              <LabelledField v-if="!setUp.data.value.stand_in_refusal" label="With a fault in it"
                ><PickField v-model="fault" :options="choicesOf(setUp.data.value.faults, 'cause', 'says', 'none')"
              /></LabelledField>
            </template>
          </SourcePicker>
          <p v-if="beginning || problem" class="band stop" role="alert">{{ beginning || problem }}</p>
        </div>
        <section aria-labelledby="moves-title">
          <h2 id="moves-title">What will be asked</h2>
          <ol>
            <li v-for="(move, k) in moves" :key="k">{{ move.says }}</li>
          </ol>
        </section>
      </div>
    </template>

    <template v-if="state === 'on'">
      <div class="asked">
        <div>
          <p class="muted small">{{ at + 1 }} of {{ moves.length }}</p>
          <p class="move" role="status">{{ asked?.says }}</p>
          <p class="acts">
            <ActButton :disabled="isRehearsal" @click="dance.again()">Again (A)</ActButton>
            <ActButton :disabled="isRehearsal" @click="dance.next()">Skip (S)</ActButton>
            <ActButton @click="dance.finish()">Stop (Esc)</ActButton>
            <label v-if="hasVoice" class="small"><input v-model="wantsVoice" type="checkbox" /> say it aloud</label>
          </p>
          <p v-if="signHeld" class="band" role="status">{{ signHeld }}</p>
          <p v-else-if="shown?.signs_with" class="muted small">{{ shown.signs_with }}</p>
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
        <ActButton kind="primary" @click="once(true)">Dance the sticks once more</ActButton>
      </p>
    </section>
    <template v-else-if="state === 'done' && shown">
      <DanceFound :shown="shown" :moves="moves" :why-not="whyNot" :is-sending="handle.isSending.value" @take="take" @again="state = 'off'" />
      <p><ActButton @click="state = 'off'">Another dance</ActButton></p>
    </template>
    <p v-else-if="state === 'done'" class="band stop" role="alert">{{ problem }} <ActButton @click="state = 'off'">Back</ActButton></p>
  </main>
</template>

<style scoped>
h2 {
  margin-top: 1.4rem;
}
ol:not(.plain-list) {
  padding-left: 1.4rem;
  margin-top: 0.6rem;
}
.begin {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) minmax(0, 1fr);
  gap: 1rem 2.5rem;
  margin-top: 0.8rem;
}
.begin h2 {
  margin-top: 0;
}
.asked {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
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
  .begin,
  .asked {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import FileField from '@/components/form/FileField.vue'
import PickField from '@/components/form/PickField.vue'
import { choicesOf } from '@/lib/choice'
import FaultLink from '@/components/FaultLink.vue'
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useThrottleFn } from '@vueuse/core'
import { computed, onMounted, ref, toRaw, watch } from 'vue'
import { useRoute } from 'vue-router'
import { fileFrom, postJson, sentenceOf } from '@/api/http'
import type { OrderCheckResult, RigData, Told } from '@/api/rigs'
import { type Picked, type SourceKind, WHY_NOT } from '@/composables/live/picked'
import type { Row } from '@/composables/live/source'
import { useKeptRows } from '@/composables/useKeptRows'
import { useLive } from '@/composables/useLive'
import type { RigHandle } from '@/composables/useRig'
import SourcePicker from '@/components/SourcePicker.vue'
import FindingLine from '@/components/FindingLine.vue'
import { day as date } from '@/lib/dates'
import { lettersOf, NAME_OF, type StickLetter, STICKS } from '@/lib/letters'
import ProofForm from './ProofForm.vue'
import LabelledField from '@/components/form/LabelledField.vue'

export interface MovementCheckProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<MovementCheckProps>()

const MOVED = [...choicesOf(STICKS, 'letter', 'name', 'what moved?'), { value: 'none', label: 'nothing' }]
const WAIT_MS = 250
const mode = ref<'sight' | 'live' | 'log'>('sight')
const moved = ref<Record<StickLetter, string>>({ A: '', E: '', T: '', R: '' })
const log = ref('')
/** What came live, apart from a log of one's own: whether it may be kept goes with where it came from. */
const liveLog = ref('')
const sequence = ref('TREA')
const captureProblem = ref('')

const proof = computed(() => props.rig.review.order.proof)
const question = computed<Told<'keep-order-check'> | null>(() => {
  if (mode.value !== 'sight') {
    const text = mode.value === 'live' ? liveLog.value : log.value
    return text.trim() === '' ? null : { log: text, sequence: lettersOf(sequence.value) }
  }
  if (Object.values(moved.value).includes('')) return null
  return { moved: Object.fromEntries(Object.entries(moved.value).map(([stick, what]) => [stick, what === 'none' ? null : what])) }
})

/** What is asked waits until the hand rests; an answer belongs to its question and its rig as it stood. */
const asked = refDebounced(question, WAIT_MS)
const judged = useQuery({
  queryKey: computed(() => ['order-check', props.rig.slug, props.rig.revision, asked.value] as const),
  queryFn: () => postJson<OrderCheckResult>(`/rigs/${props.rig.slug}/order-check`, asked.value),
  enabled: computed(() => asked.value !== null),
  gcTime: 0,
})
const result = computed(() => (question.value === null || asked.value === null ? null : (judged.data.value ?? null)))
/** Nothing newer is on its way: what stands there is the answer to what would be kept. */
const isSettled = computed(() => toRaw(asked.value) === question.value)
const problem = computed(() =>
  captureProblem.value !== '' ? captureProblem.value : question.value !== null && judged.error.value ? sentenceOf(judged.error.value) : '',
)

/** Values as they arrive now: what came until this moment is judged again and again, until it is enough. */
const LOOK_MS = 600
const KINDS: SourceKind[] = ['port', 'adapter', 'stand-in']
const standIn = async () => (await postJson<{ log: Row[] }>(`/rigs/${props.rig.slug}/dance/stand-in`, { seed: 1, short: true })).log
const whyNot = ref('')
const heard = useKeptRows()
const live = useLive(heard.add)
const tell = useThrottleFn(() => (liveLog.value = heard.csv()), LOOK_MS, true)
watch(heard.count, (count) => {
  if (count > 1) void tell()
})

function listen({ kind, source }: Picked): void {
  whyNot.value = WHY_NOT[kind]
  liveLog.value = ''
  heard.forget()
  void live.listen(source)
}

/** What came until now is judged as a whole; nothing comes after it. */
function enough(): void {
  live.stop()
  if (heard.count.value > 1) liveLog.value = heard.csv()
}

watch(mode, () => {
  live.stop()
})

async function keep(by: string): Promise<boolean> {
  if (question.value === null || !(await props.handle.prove('keep-order-check', { ...question.value, by }))) return false
  moved.value = { A: '', E: '', T: '', R: '' }
  log.value = liveLog.value = ''
  return true
}

/** A capture of the signal desk that is to be judged comes with the address. */
const route = useRoute()
onMounted(async () => {
  const { capture, line, as } = route.query
  if (typeof capture !== 'string') return
  mode.value = 'log'
  try {
    const options = { ...(typeof line === 'string' ? { line } : {}), ...(typeof as === 'string' ? { as } : {}) }
    log.value = await (await fileFrom(`/captures/${capture}/export`, { as: 'csv', options })).text()
  } catch (error) {
    captureProblem.value = sentenceOf(error)
  }
})

async function read(file: File): Promise<void> {
  log.value = await file.text()
}
</script>

<template>
  <section aria-labelledby="check-title">
    <h3 id="check-title">Prove it: move one stick at a time</h3>
    <p v-if="proof.state === 'holds'" class="band calm">Proven on {{ date(proof.at) }}: {{ proof.observed }}.</p>
    <p v-else-if="proof.state === 'stale'" class="band">
      Stale: {{ proof.reasons.join(', ') }} since it was proven on {{ date(proof.at) }}. Move the sticks again.
    </p>
    <p v-else-if="proof.state === 'failed'" class="band">The check of {{ date(proof.at) }} failed: {{ proof.observed }}. <FaultLink /></p>
    <p class="muted small">Propellers off. Move each stick to both ends and back, up, right or forward first, and say what moved.</p>
    <div class="modes" role="radiogroup" aria-label="How you saw it">
      <label><input v-model="mode" type="radio" value="sight" /> I watched what moved</label>
      <label><input v-model="mode" type="radio" value="live" /> the bench watches now</label>
      <label><input v-model="mode" type="radio" value="log" /> I have a channel log</label>
    </div>
    <div v-if="mode === 'sight'" class="sticks">
      <label v-for="stick in STICKS" :key="stick.letter"
        ><span
          ><b class="value">{{ stick.letter }}</b> {{ stick.name }} stick <span class="muted small">{{ stick.move }}</span></span
        >
        <PickField v-model="moved[stick.letter]" :options="MOVED"
      /></label>
    </div>
    <div v-else-if="mode === 'live'" class="log">
      <LabelledField class="sequence" label="Sticks moved, in this sequence"
        ><input v-model="sequence" class="field value" maxlength="7" size="7"
      /></LabelledField>
      <SourcePicker v-if="!live.isOn.value" :kinds="KINDS" :stand-in="standIn" @choose="listen">Begin</SourcePicker>
      <p v-else class="row" role="status">
        Listening: hands off for a second, then move the sticks in this sequence. <ActButton @click="enough">That is all</ActButton>
      </p>
      <p v-if="live.problem.value || live.silence.value" class="band" role="alert">{{ live.problem.value || live.silence.value }}</p>
    </div>
    <div v-else class="log">
      <LabelledField label="Rows of a time (ms, unless the heading says otherwise) and channel values in µs">
        <textarea
          v-model="log"
          class="field value"
          rows="5"
          spellcheck="false"
          placeholder="t_ms,ch1,ch2,ch3,ch4&#10;0,1500,1500,1000,1500"
        ></textarea>
      </LabelledField>
      <div class="row">
        <LabelledField label="Sticks moved, in this sequence"><input v-model="sequence" class="field value" maxlength="7" size="7" /></LabelledField>
        <FileField says="or choose a file" name="channel values" accept=".csv,.json,.txt" @take="read" />
      </div>
    </div>
    <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
    <div v-if="result" class="result" aria-live="polite">
      <p class="band" :class="{ calm: result.passes }">
        <b>{{ result.sentence }}</b> {{ result.explanation }}
      </p>
      <table v-if="result.movement" class="value small">
        <thead>
          <tr>
            <th scope="col">channel</th>
            <th scope="col">stick</th>
            <th scope="col">lowest</th>
            <th scope="col">rest</th>
            <th scope="col">highest</th>
            <th scope="col">direction</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="channel in result.movement.channels" :key="channel.channel">
            <td>{{ channel.channel }}</td>
            <td>{{ channel.letter ? NAME_OF[channel.letter as StickLetter] : channel.moved ? 'moved' : 'still' }}</td>
            <td>{{ channel.min }} µs</td>
            <td>{{ channel.rest }} µs</td>
            <td>{{ channel.max }} µs</td>
            <td>{{ channel.reversed === null ? '' : channel.reversed ? 'reversed' : 'normal' }}</td>
          </tr>
        </tbody>
      </table>
      <FindingLine v-for="finding in result.movement?.findings ?? []" :key="finding.code + finding.message" :finding="finding" />
      <p v-if="mode === 'live' && whyNot" class="band calm">{{ whyNot }}</p>
      <ProofForm
        v-else-if="!live.isOn.value && isSettled"
        title="Order check"
        :place="`${rig.slug}/order`"
        seen="button"
        :passes="result.passes ? 'Keep as proof' : 'Keep as a failed check'"
        :save="(_passed, _observed, by) => keep(by)"
      />
    </div>
  </section>
</template>

<style scoped>
section {
  margin-top: 1.4rem;
}
.modes {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.5rem;
  margin: 0.6rem 0;
}
.modes label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
  min-height: 34px;
}
.sticks {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 0.5rem 1.6rem;
}
.sticks label {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 0.8rem;
}
.sequence {
  max-width: 14rem;
  margin-bottom: 0.5rem;
}
.row {
  display: flex;
  gap: 1.4rem;
  margin-top: 0.4rem;
  flex-wrap: wrap;
}
.result,
.band {
  margin-top: 0.7rem;
}
@media (max-width: 900px) {
  .sticks {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

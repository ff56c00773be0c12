<script setup lang="ts">
import { computed, nextTick, reactive, ref, watch } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { RigData, TravelRowView, TravelView } from '@/api/rigs'
import PulseField from '@/components/PulseField.vue'
import StateMark from '@/components/StateMark.vue'
import TravelRuler from '@/components/TravelRuler.vue'
import { figure } from '@/composables/numberText'
import type { RigHandle } from '@/composables/useRig'
import { useUnits } from '@/composables/useUnits'
import FindingLine from './FindingLine.vue'
import ThresholdsPanel from './ThresholdsPanel.vue'

export interface TravelStepProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<TravelStepProps>()

type Side = 'lo' | 'mid' | 'hi'
type Draft = Partial<Record<Side, number | null>>
const SIDES: Side[] = ['lo', 'mid', 'hi']
const SIDE_WORDS = { lo: 'low', mid: 'middle', hi: 'high' }
const STATES = {
  open: ['open', 'not read'],
  solved: ['attention', 'to be set'],
  set: ['attention', 'read again'],
  residue: ['attention', 'still off'],
  confirmed: ['done', 'confirmed'],
} as const
const WAIT_MS = 40

const { word, shown } = useUnits(() => props.rig.review.units)
const place = computed(() => `linguator.travel.${props.rig.slug}`)
const drafts = reactive<Record<number, Draft>>({})
const preview = ref<TravelView | null>(null)
const problems = ref<Record<string, { message: string; path: string }>>({})
const failed = ref('')
const table = ref<HTMLElement | null>(null)
let timer = 0
let asked = 0
let newest: Promise<void> = Promise.resolve()
/** Channels whose row the hand has left: each is kept by the first answer that knows its last numbers and finds them sound. */
const left = new Set<number>()

const view = computed(() => preview.value ?? props.rig.review.travel)
const rows = computed(() => view.value.rows)
/** Why the targets are where they are, if it is the same for all. */
const commonWhy = computed(() => {
  const whys = new Set(rows.value.map((row) => row.target_why))
  return whys.size === 1 ? ([...whys][0] ?? null) : null
})
const findings = computed(() => rows.value.flatMap((row) => row.findings))
const toTake = computed(() => props.rig.review.travel.rows.filter((row) => row.solution && ['solved', 'residue'].includes(row.state)))
const offered = computed(() => rows.value.filter((row) => row.solution && ['solved', 'residue'].includes(row.state)))
const model = computed(() => props.rig.review.travel.rows.find((row) => row.explains_model)?.explains_model ?? null)

watch(place, restore, { immediate: true })

function restore(): void {
  for (const channel of Object.keys(drafts)) Reflect.deleteProperty(drafts, channel)
  Object.assign(drafts, JSON.parse(localStorage.getItem(place.value) ?? '{}'))
  left.clear()
  for (const channel of Object.keys(drafts)) left.add(Number(channel))
  void judge()
}

function valueOf(row: TravelRowView, side: Side): number | null {
  const draft = drafts[row.channel]
  return draft && side in draft ? (draft[side] ?? null) : (row.reading?.[side] ?? null)
}

function type(row: TravelRowView, side: Side, us: number | null): void {
  if (us === valueOf(row, side)) return
  drafts[row.channel] = { ...drafts[row.channel], [side]: us }
  localStorage.setItem(place.value, JSON.stringify(drafts))
  window.clearTimeout(timer)
  timer = window.setTimeout(() => void judge(), WAIT_MS)
}

/** A row as it stands: what was read before, with what is being typed over it. */
function whole(row: TravelRowView): Record<Side, number> | null {
  const values = SIDES.map((side) => valueOf(row, side))
  return values.includes(null) ? null : ({ lo: values[0], mid: values[1], hi: values[2] } as Record<Side, number>)
}

function judge(): Promise<void> {
  newest = ask()
  return newest
}

/** Until everything typed so far has been judged, and kept where it is sound. */
async function settle(): Promise<void> {
  for (let seen = judge(); ; seen = newest) {
    await seen
    if (seen === newest) return
  }
}

async function ask(): Promise<void> {
  const mine = ++asked
  const drafted = Object.fromEntries(
    props.rig.review.travel.rows.filter((row) => drafts[row.channel] && whole(row)).map((row) => [row.channel, whole(row)]),
  )
  if (Object.keys(drafted).length === 0) {
    preview.value = null
    problems.value = {}
    return
  }
  try {
    const answer = await postJson<{ travel: TravelView; problems: typeof problems.value }>(`/rigs/${props.rig.slug}/travel`, { drafts: drafted })
    // Typing is quicker than answers under load: only the newest one counts.
    if (mine !== asked) return
    preview.value = answer.travel
    problems.value = answer.problems
    failed.value = ''
  } catch (error) {
    if (mine === asked) failed.value = sentenceOf(error)
    return
  }
  for (const row of [...props.rig.review.travel.rows]) if (left.has(row.channel)) await keep(row)
}

/** Keeps a row that is whole and sound. */
async function keep(row: TravelRowView): Promise<void> {
  const values = whole(row)
  if (!drafts[row.channel] || !values || problems.value[row.channel]) return
  left.delete(row.channel)
  if (await props.handle.post('travel/reading', { channel: row.channel, ...values })) {
    // What was typed while the answer was on its way stays, and is kept in its turn.
    const now = whole(row)
    if (now === null || SIDES.every((side) => now[side] === values[side])) Reflect.deleteProperty(drafts, row.channel)
    localStorage.setItem(place.value, JSON.stringify(drafts))
    await judge()
  }
}

function leaveRow(row: TravelRowView, event: FocusEvent): void {
  const next = event.relatedTarget as Node | null
  const line = (event.currentTarget as HTMLElement) ?? null
  if (next && line.contains(next)) return
  left.add(row.channel)
  window.setTimeout(() => void judge(), WAIT_MS)
}

function fields(): HTMLInputElement[] {
  return [...(table.value?.querySelectorAll<HTMLInputElement>('input.pulse') ?? [])]
}

function next(): void {
  const all = fields()
  const here = document.activeElement as HTMLInputElement
  void nextTick(() => {
    const to = all[all.indexOf(here) + 1] ?? table.value?.querySelector<HTMLElement>('.take button')
    // After the last one the row is left all the same, so that it is kept.
    if (to) to.focus()
    else here.blur()
  })
}

/** Three numbers a line fill rows from here on; one number a line fills this column. */
function paste(from: TravelRowView, side: Side, text: string): void {
  const lines = text
    .trim()
    .split(/\r?\n/)
    .map((line) =>
      line
        .split(/[\t; ]+/)
        .map((cell) => Number(cell.replace(',', '.')))
        .filter((value) => Number.isFinite(value)),
    )
  const start = rows.value.findIndex((row) => row.channel === from.channel)
  lines.forEach((values, k) => {
    const row = rows.value[start + k]
    if (!row) return
    const first = values.length >= 3 ? 0 : SIDES.indexOf(side)
    values.slice(0, 3).forEach((value, v) => {
      const target = SIDES[first + v]
      if (target) drafts[row.channel] = { ...drafts[row.channel], [target]: value }
    })
    left.add(row.channel)
  })
  localStorage.setItem(place.value, JSON.stringify(drafts))
  void judge()
}

async function take(channels: number[], reverse: number[] = []): Promise<void> {
  for (const row of rows.value) left.add(row.channel)
  await settle()
  await props.handle.post('travel/take', { channels, reverse })
}

function copy(row: TravelRowView): void {
  const to = rows.value.filter((other) => other.channel !== row.channel && other.centres && other.state === 'open').map((other) => other.channel)
  void props.handle.post('travel/copy', { from: row.channel, to })
}

const canCopy = (row: TravelRowView) =>
  ['set', 'confirmed'].includes(row.state) && rows.value.some((other) => other.channel !== row.channel && other.centres && other.state === 'open')

function choose(setting: 'school' | 'centring', value: string): void {
  const words = {
    match: 'The handset is brought to what the reader expects',
    leave: "The handset stays; the reader's range is set",
    subtrim: 'Centres are mended by sub-trim',
    controller: 'Centres are mended in the controller',
  }
  void props.handle.change({ text: words[value as keyof typeof words], set: { [`settings.${setting}`]: value } })
}

const settingOf = (row: TravelRowView) => (row.solution && ['solved', 'residue'].includes(row.state) ? row.solution.settings : row.now)
</script>

<template>
  <div>
    <h2>Travel and centre</h2>
    <p v-if="rows.length === 0" class="muted">
      Travel is known once the chain joins and the sticks have channels. <RouterLink :to="`/rigs/${rig.slug}/path`">To the path</RouterLink>
    </p>
    <template v-else>
      <p class="muted">
        Propellers off. Hold each stick at its low end, let it rest, hold it at its high end, and type what you read. Enter goes on; a column can be
        pasted. Three readings give every setting.<template v-if="commonWhy"> Aimed at {{ commonWhy }}.</template>
      </p>
      <div ref="table">
        <div class="grid" role="table" aria-label="Travel">
          <div class="line head" role="row">
            <span role="columnheader">ch</span>
            <span role="columnheader">function</span>
            <span role="columnheader">read: low, middle, high ({{ word }})</span>
            <span role="columnheader">target ▽ &nbsp;read <b aria-hidden="true">|</b> &nbsp;after ○</span>
            <span role="columnheader">set: low / high</span>
            <span role="columnheader">sub-trim</span>
            <span role="columnheader"><span class="sr-only">state</span></span>
          </div>
          <div v-for="row in rows" :key="row.channel" class="line" role="row" @focusin="left.delete(row.channel)" @focusout="leaveRow(row, $event)">
            <span class="value ch" role="cell">{{ row.channel }}</span>
            <span class="function" role="cell"
              ><b>{{ row.function }}</b
              ><small v-if="commonWhy === null" class="muted">{{ row.target_why }}</small></span
            >
            <span class="reads" role="cell">
              <PulseField
                v-for="side in SIDES"
                :key="side"
                :value="valueOf(row, side)"
                :label="`${row.function}, ${SIDE_WORDS[side]} (${word})`"
                :units="rig.review.units"
                :is-wrong="problems[row.channel]?.path.endsWith(side) ?? false"
                @change="type(row, side, $event)"
                @next="next"
                @paste="paste(row, side, $event)"
              />
            </span>
            <span class="ruler-cell" role="cell"
              ><TravelRuler
                :target="row.target"
                :read="row.reading"
                :after="row.solution && row.state !== 'confirmed' && row.state !== 'set' ? row.solution.predicted : null"
                :safe="row.safe"
                :label="`${row.function}: target ${figure(row.target.lo)}, ${figure(row.target.mid)}, ${figure(row.target.hi)} µs${row.reading ? `; read ${figure(row.reading.lo)}, ${figure(row.reading.mid)}, ${figure(row.reading.hi)} µs` : ''}`"
            /></span>
            <span class="value ends" role="cell"
              ><span>{{ figure(settingOf(row).lo_pct) }} <small>%</small></span
              ><span>{{ figure(settingOf(row).hi_pct) }} <small>%</small></span></span
            >
            <span class="value" role="cell"
              ><small class="only-phone muted">sub-trim </small>{{ row.centres ? figure(settingOf(row).subtrim, 2) : '–' }}</span
            >
            <span class="state" role="cell"
              ><StateMark :state="STATES[row.state][0]" /><small>{{ STATES[row.state][1] }}</small></span
            >
            <span v-if="problems[row.channel]" class="wide problem" role="cell"
              ><span role="alert">{{ problems[row.channel]?.message }}</span></span
            >
            <span v-else-if="row.explanation" class="wide band" role="cell">{{ row.explanation }}</span>
            <span v-else-if="row.state !== 'open'" class="wide more" role="cell">
              <b>{{ STATES[row.state][1] }}</b>: <template v-if="row.state === 'confirmed'">within {{ figure(row.residue_us) }} µs</template>
              <template v-else-if="row.state === 'set'">the settings were entered</template>
              <template v-else-if="row.solution"
                >{{ figure(row.residue_us) }} µs off now; will give
                <b class="value"
                  >{{ shown(row.solution.predicted.lo) }} / {{ shown(row.solution.predicted.mid) }} / {{ shown(row.solution.predicted.hi) }}
                  {{ word }}</b
                ></template
              >
              <template v-if="row.now.reversed"> · reversed in the handset</template>
              <button type="button" class="link-button small" :aria-label="`Reverse ${row.function}`" @click="take([row.channel], [row.channel])">
                moves the wrong way
              </button>
              <button v-if="canCopy(row)" type="button" class="link-button small" @click="copy(row)">same for the other sticks</button>
            </span>
            <span v-if="row.hidden" class="wide muted small" role="cell">{{ row.hidden }}</span>
          </div>
        </div>
        <div v-if="offered.length > 0" class="band take">
          <p>
            <b>{{ offered.length === 1 ? 'One channel' : `${offered.length} channels` }} to set.</b> Enter these ends and sub-trims in the handset,
            then read again.
          </p>
          <a-button type="primary" :disabled="toTake.length === 0 && offered.length === 0" @click="take(offered.map((row) => row.channel))"
            >Entered as shown</a-button
          >
        </div>
      </div>
      <p v-if="failed" class="band stop" role="alert">{{ failed }}</p>
      <p v-if="model" class="band">
        Two readings have told how this handset's sub-trim works.
        <a-button size="small" @click="handle.post('travel/model', { model })">Put it on this rig's handset card</a-button>
      </p>
      <FindingLine v-for="finding in findings" :key="finding.code + finding.message" :finding="finding" />
      <p class="muted small">
        {{ view.model_says }} 100 % is ±{{ figure(view.us_per_100) }} µs; ends go to {{ figure(view.max_pct) }} % in steps of
        {{ figure(view.step_pct, 2) }} %. Do not link the two ends before they start equal.
      </p>

      <ThresholdsPanel v-if="view.thresholds" :thresholds="view.thresholds" :rig="rig" :handle="handle" />

      <section v-if="view.reader" class="schools">
        <h3>Schools differ</h3>
        <label
          ><input type="radio" name="school" :checked="view.school === 'match'" @change="choose('school', 'match')" /> Bring the handset to
          1000–1500–2000 µs <span class="muted">(usual: every controller then works as its manual says)</span></label
        >
        <label
          ><input type="radio" name="school" :checked="view.school === 'leave'" @change="choose('school', 'leave')" /> Leave the handset, set the
          controller's range
          <span class="muted"
            >(one handset for many craft; no resolution lost)<template v-if="view.controller_range"
              >: {{ shown(view.controller_range.lo) }} to {{ shown(view.controller_range.hi) }} {{ word }}</template
            ></span
          ></label
        >
        <label
          ><input type="radio" name="centring" :checked="view.centring === 'subtrim'" @change="choose('centring', 'subtrim')" /> Centre by sub-trim
          <span class="muted">(usual: the middle is then right for everything that reads it)</span></label
        >
        <label
          ><input type="radio" name="centring" :checked="view.centring === 'controller'" @change="choose('centring', 'controller')" /> Centre in the
          controller <span class="muted">(nothing to bump in the handset, one more thing to remember in the craft)</span></label
        >
      </section>
    </template>
  </div>
</template>

<style scoped>
.grid {
  margin-top: 0.7rem;
}
.line {
  display: grid;
  grid-template-columns: 1.2rem 5.6rem 15.6rem minmax(120px, 1fr) 5rem 3.2rem 1.5rem;
  gap: 0.2rem 0.7rem;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 0.45rem 0;
}
.head {
  font-size: 0.82rem;
  color: var(--muted);
  padding: 0.2rem 0;
}
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
.more .link-button {
  margin-left: 0.9rem;
}
.problem {
  color: var(--stop);
}
.take {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
  margin-top: 0.8rem;
}
.schools {
  margin-top: 1.3rem;
}
.schools label {
  display: block;
  padding: 0.25rem 0;
}
@media (max-width: 1180px) {
  .line {
    grid-template-columns: 1.2rem minmax(5rem, 1fr) 15.6rem 5rem 3.2rem 1.5rem;
  }
  .ruler-cell {
    grid-column: 2 / -1;
    grid-row: 2;
  }
  .head span:nth-child(4) {
    display: none;
  }
}
@media (max-width: 700px) {
  .head {
    display: none;
  }
  .line {
    grid-template-columns: 1.4rem 1fr auto auto;
    gap: 0.4rem 0.6rem;
    padding: 0.8rem 0;
  }
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
  .take {
    flex-direction: column;
    align-items: stretch;
  }
}
</style>

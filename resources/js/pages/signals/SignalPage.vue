<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import ProgressLine from '@/components/ProgressLine.vue'
import PickField from '@/components/form/PickField.vue'
import { asChoices, choicesOf } from '@/lib/choice'
import NumberField from '@/components/form/NumberField.vue'
import { moment as date } from '@/lib/dates'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { type CaptureOptions, deskQuery, readingQuery } from '@/api/captures'
import { sizeOf } from '@/lib/numberText'
import { namesQuery } from '@/api/shelf'
import { deleteJson, getJson, postJson, sentenceOf } from '@/api/http'
import { useKeys } from '@/composables/useKeys'
import { useNotice } from '@/composables/useNotice'
import FindingLine from '@/components/FindingLine.vue'
import CaptureExport from './CaptureExport.vue'
import CaptureIntake from './CaptureIntake.vue'
import CaptureLenses from './CaptureLenses.vue'
import CaptureUse from './CaptureUse.vue'
import ChannelTable from './ChannelTable.vue'
import FlagTimes from './FlagTimes.vue'
import FrameTiming from './FrameTiming.vue'
import LineFactsList from './LineFactsList.vue'

const POLL_MS = 250

const route = useRoute()
const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const { data: desk, error: deskError } = useQuery(deskQuery)

const id = computed(() => (typeof route.params.id === 'string' && route.params.id !== '' ? Number(route.params.id) : null))
const text = (key: string) => (typeof route.query[key] === 'string' && route.query[key] !== '' ? { [key]: route.query[key] } : {})
const options = computed<CaptureOptions>(() => ({ ...text('kind'), ...text('as'), ...text('line'), ...rate.value }))
/** Most frames a second that the reader takes, if somebody has told. */
const rate = computed(() => (Number(route.query.max_rate) > 0 ? { max_rate: Number(route.query.max_rate) } : {}))
const token = `${Math.random().toString(36).slice(2)}${Date.now()}`

const reading = useQuery(computed(() => ({ ...readingQuery(id.value ?? 0, options.value, token), enabled: id.value !== null })))
const answer = computed(() => reading.data.value?.answer ?? null)
/** While a large capture is being read: how far. */
const asking = useQuery({
  queryKey: ['progress', token],
  queryFn: () => getJson<{ progress: { bytes: number; of: number } | null }>(`/captures/progress?token=${token}`),
  enabled: reading.isFetching,
  refetchInterval: POLL_MS,
  gcTime: 0,
})
const progress = computed(() => (reading.isFetching.value ? (asking.data.value?.progress ?? null) : null))
const channel = ref(1)

/** Draws the channel that moves most, until another one is chosen. */
watch(answer, () => {
  channel.value = reading.data.value?.desk.shown_channel ?? 1
})

const { data: names } = useQuery(namesQuery)
const aliases = computed(() => names.value?.entries.find((one) => one.kind === 'format' && one.target === answer.value?.format)?.aliases ?? [])
const others = computed(() => (desk.value?.captures ?? []).filter((one) => one.id !== id.value))
const worth = computed(() =>
  answer.value === null || reading.data.value?.desk.card_draft ? '' : `${Math.round(answer.value.confidence * 100)} % sure`,
)
const drawn = computed(() => answer.value !== null && (answer.value.frames.good > 0 || answer.value.wires.length > 0))

const readings = computed(() => [
  { value: '', label: 'whatever fits' },
  { value: 'ppm', label: 'pulse train' },
  { value: 'pwm', label: 'single pulse' },
  ...choicesOf(desk.value?.formats ?? [], 'id', 'name'),
])

function told(key: 'as' | 'line' | 'max_rate', value: string): void {
  void router.replace({ query: { ...route.query, [key]: value === '' ? undefined : value } })
}

async function remove(): Promise<void> {
  if (id.value === null) return
  try {
    const gone = id.value
    await deleteJson(`/captures/${gone}`)
    void client.invalidateQueries({ queryKey: deskQuery.queryKey, exact: true })
    notice.say('The capture is off the desk.', {
      label: 'Put it back',
      run: () =>
        void postJson(`/captures/${gone}/restore`, {}).then(async () => {
          await client.invalidateQueries({ queryKey: deskQuery.queryKey, exact: true })
          await router.push(`/signals/${gone}`)
        }),
    })
    await router.push('/signals')
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}

useKeys((key) => {
  if (key !== 'n') return false
  void router.push('/signals')
  return true
})

const keepRate = (value: number | null) => {
  told('max_rate', value === null ? '' : String(value))
  return Promise.resolve(true)
}
</script>

<template>
  <main id="main" class="page wide">
    <div class="page-top">
      <div>
        <h1>Signal desk</h1>
        <p class="muted">What is really on the wire: its format, its values, its timing, and why they do not understand each other.</p>
      </div>
      <nav class="doors" aria-label="Signal desk">
        <RouterLink to="/signals/live">Listen live</RouterLink>
        <RouterLink to="/signals/compare">Compare two</RouterLink>
        <RouterLink to="/signals/formats">Formats</RouterLink>
      </nav>
    </div>
    <p v-if="deskError" class="band stop" role="alert">{{ sentenceOf(deskError) }}</p>

    <template v-if="id === null">
      <CaptureIntake v-if="desk" :desk="desk" />
    </template>
    <article v-else aria-labelledby="answer-title">
      <p class="crumb">
        <RouterLink to="/signals">Bring in another one</RouterLink>
        <span v-if="reading.data.value" class="muted"
          >{{ reading.data.value.capture.name }}, {{ sizeOf(reading.data.value.capture.size) }}, {{ date(reading.data.value.capture.at) }}</span
        >
        <ActButton kind="link" @click="remove">Take it off the desk</ActButton>
      </p>
      <div v-if="reading.isPending.value || (reading.isFetching.value && !answer)" role="status" class="reading">
        <p>Reading the capture.</p>
        <p v-if="progress">
          <ProgressLine :share="progress.bytes / progress.of" name="Read so far" /> {{ sizeOf(progress.bytes) }} of
          {{ sizeOf(progress.of) }}
          <ActButton kind="link" @click="postJson('/captures/stop', { token })">stop</ActButton>
        </p>
      </div>
      <p v-else-if="reading.error.value" class="band stop" role="alert">{{ sentenceOf(reading.error.value) }}</p>
      <template v-else-if="reading.data.value && answer">
        <h2 id="answer-title" class="sentence">{{ reading.data.value.desk.sentence }}</h2>
        <p v-if="aliases.length > 0" class="muted">Your manuals call it {{ aliases.join(', ') }}.</p>
        <p class="sure">
          <b class="value">{{ worth }}</b>
          <span v-if="answer.runner_up" class="muted"
            >{{ worth === '' ? 'nearest is' : '; next would be' }} {{ answer.runner_up.format }},
            <span class="value">{{ Math.round(answer.runner_up.confidence * 100) }} %</span></span
          >
          <label v-if="answer.wires.length > 1"
            ><span class="line-whole">wire</span>
            <PickField
              :model-value="options.line ?? answer.wire ?? ''"
              :options="asChoices(answer.wires)"
              @update:model-value="(wire) => told('line', wire)"
          /></label>
          <label v-if="answer.period_ms"
            >reader takes up to
            <NumberField
              class="rate"
              :value="options.max_rate ?? null"
              :save="keepRate"
              :lowest="1"
              may-be-empty
              placeholder="?"
              aria-label="Most frames a second that the reader takes"
              maxlength="7"
            />
            Hz</label
          >
          <label
            >read as <PickField :model-value="options.as ?? ''" :options="readings" @update:model-value="(format) => told('as', format)"
          /></label>
        </p>
        <FindingLine v-for="finding in answer.findings" :key="finding.code + finding.message" :finding="finding" />
        <p v-if="answer.findings.length === 0" class="band calm">Nothing is wrong in what was captured.</p>
        <p v-if="reading.data.value.desk.card_draft" class="next">
          <RouterLink :to="{ path: '/signals/formats', query: { from: id } }">Write a format card from what was measured</RouterLink>
        </p>
        <LineFactsList :answer="answer" :grain="reading.data.value?.desk.grain_us ?? null" />
        <CaptureLenses v-if="drawn" :reading="reading.data.value" :options="options" :channel="channel" />
        <ChannelTable
          v-if="answer.channels.length > 0"
          :answer="answer"
          :still-channels="reading.data.value.desk.still"
          :chosen="channel"
          @choose="channel = $event"
        />
        <FlagTimes :answer="answer" />
        <FrameTiming :reading="reading.data.value" />
        <template v-if="answer.channels.length > 0">
          <CaptureUse :capture="reading.data.value.capture" :options="options" />
          <CaptureExport :capture="reading.data.value.capture" :options="options" :formats="desk?.formats ?? []" />
        </template>
      </template>
    </article>

    <section v-if="others.length > 0" class="recent" aria-labelledby="recent-title">
      <h2 id="recent-title">On the desk</h2>
      <ul class="plain-list">
        <li v-for="one in others" :key="one.id">
          <RouterLink :to="`/signals/${one.id}`">{{ one.name }}</RouterLink>
          <span class="muted small">{{ sizeOf(one.size) }}, {{ date(one.at) }}</span>
          <RouterLink v-if="id !== null" :to="{ path: '/signals/compare', query: { a: id, b: one.id } }" class="small">compare with it</RouterLink>
        </li>
      </ul>
    </section>
  </main>
</template>

<style scoped>
.doors {
  display: flex;
  gap: 1.2rem;
}
.crumb {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.2rem;
  align-items: baseline;
}
.sentence {
  font-size: 1.45rem;
  line-height: 1.3;
  margin: 0.5rem 0 0.2rem;
  max-width: 54rem;
}
.sure {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1rem;
  align-items: center;
  margin-bottom: 0.5rem;
}
.sure label {
  display: flex;
  gap: 0.4rem;
  align-items: center;
}
.sure label:first-of-type {
  margin-left: auto;
}
:deep(.rate) {
  width: 5.2rem;
}
.next {
  margin-top: 0.5rem;
}
article > section,
.recent {
  margin-top: 1.6rem;
}
.recent ul {
  margin-top: 0.3rem;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(420px, 100%), 1fr));
  gap: 0 2rem;
}
.recent li {
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1rem;
  align-items: baseline;
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line);
}
.reading {
  padding: 2rem 0;
}
@media (max-width: 700px) {
  .sure label:first-of-type {
    margin-left: 0;
  }
  .recent ul {
    grid-template-columns: minmax(0, 1fr);
  }
  .recent li {
    padding: 0.6rem 0;
  }
}
</style>

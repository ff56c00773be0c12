<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import FileField from '@/components/form/FileField.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { deskQuery, readingQuery } from '@/api/captures'
import { deleteJson, getJson, postJson, sentenceOf } from '@/api/http'
import { useNotice } from '@/composables/useNotice'

interface FormatListed {
  id: string
  name: string
  text: string
}

const notice = useNotice()
const route = useRoute()
const router = useRouter()
const client = useQueryClient()
const KEY = ['formats'] as const
const { data, error } = useQuery({ queryKey: KEY, queryFn: () => getJson<{ shipped: FormatListed[]; own: FormatListed[] }>('/formats') })

const text = useLocalStorage('linguator.format-draft', '')
const replaces = ref(false)
const problem = ref('')
const from = computed(() => Number(route.query.from ?? 0))
const reading = useQuery(computed(() => ({ ...readingQuery(from.value, {}, ''), enabled: from.value > 0 })))

const measured = computed(() => reading.data.value?.desk.card_draft ?? null)

watch(
  measured,
  (now) => {
    if (now !== null && text.value.trim() === '') text.value = now
  },
  { immediate: true },
)

async function save(): Promise<void> {
  problem.value = ''
  try {
    const made = await postJson<{ id: string; name: string }>('/formats/import', { text: text.value, replace: replaces.value })
    notice.say(`${made.name} is known from now on: decoded, encoded, found and simulated like the others.`)
    text.value = ''
    replaces.value = false
    await Promise.all([client.invalidateQueries({ queryKey: KEY }), client.invalidateQueries({ queryKey: deskQuery.queryKey })])
    // It was written for this capture: there it shows whether it fits.
    if (from.value > 0) await router.push(`/signals/${from.value}`)
  } catch (failed) {
    problem.value = sentenceOf(failed)
  }
}

async function remove(id: string): Promise<void> {
  try {
    const gone = await deleteJson<{ deleted: string }>(`/formats/${id}`)
    await Promise.all([client.invalidateQueries({ queryKey: KEY }), client.invalidateQueries({ queryKey: deskQuery.queryKey })])
    notice.say(`${id} is gone.`, {
      label: 'Bring it back',
      run: () => void postJson('/formats/import', { text: gone.deleted }).then(() => client.invalidateQueries({ queryKey: KEY })),
    })
  } catch (failed) {
    notice.warn(sentenceOf(failed))
  }
}

function begin(format: FormatListed): void {
  text.value = format.text
    .replace(/^(kind_of:.*\n)/m, '')
    .replace(/^id: .*$/m, 'id: my-format')
    .replace(/^name: .*$/m, 'name: My format')
  replaces.value = false
}

function edit(format: FormatListed): void {
  text.value = format.text
  replaces.value = true
}

async function read(file: File): Promise<void> {
  text.value = await file.text()
}
</script>

<template>
  <main id="main" class="page">
    <p><RouterLink to="/signals">Signal desk</RouterLink></p>
    <h1>Serial formats</h1>
    <p class="muted">A format is a card: its line, its frame part by part, its scale. Cards of your own are used exactly like the shipped ones.</p>
    <p v-if="error" class="band stop" role="alert">{{ sentenceOf(error) }}</p>
    <div class="columns">
      <section aria-labelledby="own-title">
        <h2 id="own-title">Your own</h2>
        <p v-if="data?.own.length === 0" class="muted">None yet. Begin from a shipped card, or from what a capture showed.</p>
        <ul class="plain-list">
          <li v-for="format in data?.own ?? []" :key="format.id">
            <span
              ><b>{{ format.name }}</b> <span class="value muted">{{ format.id }}</span></span
            >
            <span class="acts">
              <ActButton kind="link" @click="edit(format)">Change</ActButton>
              <a :href="`/api/v1/formats/${format.id}.yaml`" download>YAML</a>
              <a :href="`/api/v1/formats/${format.id}.json`" download>JSON</a>
              <ActButton kind="link" @click="remove(format.id)">Take away</ActButton>
            </span>
          </li>
        </ul>
        <h2>Shipped</h2>
        <ul class="plain-list">
          <li v-for="format in data?.shipped ?? []" :key="format.id">
            <span
              >{{ format.name }} <span class="value muted">{{ format.id }}</span></span
            >
            <ActButton kind="link" @click="begin(format)">Begin from it</ActButton>
          </li>
        </ul>
      </section>
      <form aria-labelledby="card-title" @submit.prevent="save">
        <h2 id="card-title">A card</h2>
        <p v-if="measured && measured !== text">
          <ActButton kind="link" @click="text = measured"> Begin from what was measured in {{ reading.data.value?.capture.name }} </ActButton>
        </p>
        <label class="sr-only" for="card-text">Format card, YAML or JSON</label>
        <textarea
          id="card-text"
          v-model="text"
          class="field value"
          rows="17"
          spellcheck="false"
          placeholder="id: my-format&#10;name: …&#10;line: {baud: 115200, parity: none, stop_bits: 1, inverted: false}"
        ></textarea>
        <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
        <div class="row">
          <ActButton kind="primary" html-type="submit" :disabled="text.trim() === ''">Keep it</ActButton>
          <label><input v-model="replaces" type="checkbox" /> replace the one of the same id</label>
          <FileField says="choose a file" name="a format card" accept=".yaml,.yml,.json" @take="read" />
        </div>
        <details>
          <summary>What a card may say</summary>
          <p class="small">
            <code>parts</code>, in the order on the wire: <code>const</code> (bytes in hex), <code>length</code> (<code>to_end</code>,
            <code>to_check</code>), <code>count: channels</code>, <code>channels</code> (packed with bits and first <code>lsb</code> or
            <code>msb</code>; words with order <code>little</code> or <code>big</code> and a mask; tagged with bits and <code>in_frame</code>),
            <code>flags</code> (bit of <code>failsafe</code>, <code>frame_lost</code>, <code>digital_1</code>, <code>digital_2</code>),
            <code>value</code> (<code>rssi</code>, <code>lost</code>, <code>system</code>), <code>check</code> (<code>crc8</code>,
            <code>crc16</code> with poly and init; <code>sum8</code>, <code>sum16</code>, <code>complement8</code>, <code>complement16</code>,
            <code>carry8</code>) <code>from</code> the first byte covered.
          </p>
          <p class="small">
            <code>scale</code>: the count at 1500 µs, µs of one count, the largest count. <code>silence_ms</code> instead of a constant start;
            <code>stuffing</code> with <code>escape</code> and <code>xor</code> between a constant start and end.
          </p>
        </details>
      </form>
    </div>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.2fr);
  gap: 2rem;
  margin-top: 1rem;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  justify-content: space-between;
  gap: 0.2rem 1rem;
  padding: 0.4rem 0;
  border-bottom: 1px solid var(--line);
}
.acts {
  display: flex;
  gap: 0.9rem;
}
section h2:not(:first-child) {
  margin-top: 1.4rem;
}
textarea {
  width: 100%;
  font-size: 0.86rem;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1.2rem;
  align-items: center;
  margin-top: 0.5rem;
}
details {
  margin-top: 0.8rem;
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import DayField from '@/components/form/DayField.vue'
import PickField from '@/components/form/PickField.vue'
import { asChoices, choicesOf } from '@/lib/choice'
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import { getJson, sentenceOf } from '@/api/http'
import { type Logbook, rigsQuery } from '@/api/rigs'
import AttachedFiles from '@/components/AttachedFiles.vue'
import { byDay, clock, heading } from '@/lib/dates'
import LabelledField from '@/components/form/LabelledField.vue'

const KEYS = ['rig', 'kind', 'from', 'to', 'q'] as const
type Key = (typeof KEYS)[number]
const WAIT_MS = 200

const route = useRoute()
const router = useRouter()
const text = (key: Key) => (typeof route.query[key] === 'string' ? (route.query[key] as string) : '')
const query = computed(() => new URLSearchParams(KEYS.filter((key) => text(key) !== '').map((key) => [key, text(key)])).toString())
const page = ref(1)
watch(query, () => (page.value = 1))

const rigs = useQuery(rigsQuery)
const log = useQuery({
  queryKey: computed(() => ['logbook', query.value, page.value] as const),
  queryFn: ({ signal }) => getJson<Logbook>(`/logbook?${query.value}${query.value ? '&' : ''}page=${page.value}`, signal),
  placeholderData: keepPreviousData,
})
const days = computed(() => byDay(log.data.value?.entries ?? [], (entry) => entry.at))
const filesOf = (slug: string, position: number) =>
  (log.data.value?.attachments ?? []).filter((file) => file.rig === slug && file.position === position)
// Choosing a rig while words are still waiting must not lose the words.
let waiting: Partial<Record<Key, string | undefined>> = {}

function set(key: Key, value: string): void {
  waiting[key] = value || undefined
  if (key === 'q') void applySoon()
  else apply()
}
function apply(): void {
  // Taken along with something else, or left behind with the page.
  if (Object.keys(waiting).length === 0) return
  const query = { ...route.query, ...waiting }
  waiting = {}
  void router.replace({ query })
}
const applySoon = useDebounceFn(apply, WAIT_MS)
onBeforeRouteLeave(() => {
  waiting = {}
})
const valueOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <main id="main" class="page">
    <div class="page-top">
      <div>
        <h1>Logbook</h1>
        <p class="muted">What was done, measured and tested, on every rig. Each line opens the rig as it then was.</p>
      </div>
      <p class="exports">
        Export: <a :href="`/api/v1/logbook.csv?${query}`" download>CSV</a> <a :href="`/api/v1/logbook.json?${query}`" download>JSON</a>
      </p>
    </div>
    <form class="filters" role="search" aria-label="Filter the logbook" @submit.prevent>
      <LabelledField label="Rig"
        ><PickField
          :model-value="text('rig')"
          :options="choicesOf(rigs.data.value?.rigs ?? [], 'slug', 'name', 'every rig')"
          @update:model-value="(slug) => set('rig', slug)"
      /></LabelledField>
      <LabelledField label="Kind"
        ><PickField
          :model-value="text('kind')"
          :options="[{ value: '', label: 'everything' }, ...asChoices(log.data.value?.kinds ?? [])]"
          @update:model-value="(kind) => set('kind', kind)"
      /></LabelledField>
      <LabelledField label="From"><DayField :model-value="text('from')" @update:model-value="(day) => set('from', day)" /></LabelledField>
      <LabelledField label="To"><DayField :model-value="text('to')" @update:model-value="(day) => set('to', day)" /></LabelledField>
      <LabelledField class="words" label="Search text"
        ><input class="field" type="search" :value="text('q')" maxlength="100" @input="set('q', valueOf($event))"
      /></LabelledField>
    </form>
    <p v-if="log.error.value" class="band stop" role="alert">{{ sentenceOf(log.error.value) }}</p>
    <p v-else-if="log.data.value && days.length === 0" class="muted">Nothing of that kind was written down.</p>
    <section v-for="[day, entries] in days" :key="day">
      <h2>{{ heading(day) }}</h2>
      <ul class="plain-list">
        <li v-for="entry in entries" :key="`${entry.rig.slug}/${entry.position}`">
          <span class="value muted">{{ clock(entry.at) }}</span>
          <RouterLink :to="`/rigs/${entry.rig.slug}`" class="rig">{{ entry.rig.name }}</RouterLink>
          <span class="muted small kind">{{ entry.kind }}</span>
          <span
            ><RouterLink :to="`/rigs/${entry.rig.slug}/at/${entry.position}`" class="entry">{{ entry.text || entry.kind }}</RouterLink>
            <AttachedFiles :files="filesOf(entry.rig.slug, entry.position)"
          /></span>
        </li>
      </ul>
    </section>
    <div v-if="log.data.value && (page > 1 || log.data.value.more)" class="pages">
      <ActButton :disabled="page === 1" @click="page--">Later</ActButton> <span class="muted">page {{ page }}</span>
      <ActButton :disabled="!log.data.value.more" @click="page++">Earlier</ActButton>
    </div>
  </main>
</template>

<style scoped>
.exports a {
  margin-left: 0.6rem;
}
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  margin: 1rem 0 0.4rem;
}
.words {
  flex: 1 1 12rem;
}
section h2 {
  margin-top: 1.3rem;
  border-bottom: 1px solid var(--line);
  color: var(--petrol);
  font-size: 1.02rem;
}
li {
  display: grid;
  grid-template-columns: 5rem 9rem 7rem minmax(0, 1fr);
  gap: 0.5rem;
  padding: 0.35rem 0;
  align-items: baseline;
}
.rig {
  font-weight: 600;
  text-decoration: none;
}
.entry {
  color: var(--ink);
  text-decoration: none;
}
.entry:hover {
  text-decoration: underline;
}
.pages {
  display: flex;
  gap: 1rem;
  align-items: center;
  margin-top: 1.2rem;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 5rem minmax(0, 1fr);
  }
  li > span:last-child {
    grid-column: 1 / -1;
  }
  .kind {
    display: none;
  }
  .filters > label {
    flex: 1 1 40%;
  }
}
</style>

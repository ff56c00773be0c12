<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { postJson, sentenceOf } from '@/api/http'
import { type CardDocument, cardQuery, type ImportReport, KINDS, NEW_CARD as NEW, shelfQuery } from '@/api/shelf'
import FileTake from '@/components/FileTake.vue'
import { useKeys } from '@/composables/useKeys'
import { useNotice } from '@/composables/useNotice'
import CardEditor from './CardEditor.vue'
import NamesPanel from './NamesPanel.vue'

const route = useRoute()
const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const shelf = useQuery(shelfQuery)
const chosen = computed(() => String(route.params.card ?? ''))
const names = computed(() => (typeof route.query.names === 'string' ? route.query.names : null))
const card = useQuery(computed(() => ({ ...cardQuery(chosen.value), enabled: chosen.value !== '' && chosen.value !== NEW, staleTime: 0 })))
const duplicate = ref<CardDocument | null>(null)
const replaces = ref(false)
const filter = ref('')

const drawers = computed(() => {
  const words = filter.value
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '')
  const cards = (shelf.data.value?.cards ?? []).filter((entry) => {
    const text = [entry.name, entry.line, entry.id, ...entry.aliases].join(' ').toLowerCase()
    return words.every((word) => text.includes(word))
  })
  return KINDS.map((kind) => ({ ...kind, cards: cards.filter((entry) => entry.kind === kind.kind) })).filter((drawer) => drawer.cards.length > 0)
})

watch(chosen, (now) => {
  if (now !== NEW) duplicate.value = null
})

function add(): void {
  duplicate.value = null
  void router.push(`/shelf/${NEW}`)
}

function again(from: CardDocument): void {
  duplicate.value = from
  void router.push(`/shelf/${NEW}`)
}

async function take(text: string): Promise<void> {
  const report = await postJson<ImportReport>('/shelf/import', { text, replace: replaces.value })
  await client.invalidateQueries({ queryKey: shelfQuery.queryKey })
  const parts = [
    `${report.added.length} added`,
    report.replaced.length > 0 ? `${report.replaced.length} replaced` : '',
    report.same.length > 0 ? `${report.same.length} were the same` : '',
    report.kept.length > 0 ? `${report.kept.length} left alone because they differ: ${report.kept.join(', ')}` : '',
  ]
  notice.say(`Cards: ${parts.filter(Boolean).join('; ')}.`)
}

useKeys((key, event) => {
  if (key !== 'n' || event.ctrlKey || event.metaKey) return false
  add()
  return true
})
</script>

<template>
  <main id="main" class="page">
    <div class="page-top">
      <div>
        <h1>Shelf</h1>
        <p class="muted">Everything you own that sends, reads or moves, as a card each.</p>
      </div>
      <div class="actions">
        <a href="/api/v1/shelf.yaml" download>Export all</a>
        <FileTake label="Import cards" what="gear cards (YAML or JSON)" :take="take">
          <label class="replace"><input v-model="replaces" type="checkbox" /> Replace cards that are here and differ</label>
        </FileTake>
        <ActButton kind="primary" @click="add">New card</ActButton>
      </div>
    </div>
    <div class="columns" :class="{ chosen: chosen !== '' || names !== null }">
      <nav class="drawers" aria-label="Cards">
        <input v-model="filter" class="field filter" type="search" placeholder="Filter: name, alias, what is printed" aria-label="Filter cards" />
        <p v-if="shelf.error.value" class="band stop" role="alert">{{ sentenceOf(shelf.error.value) }}</p>
        <p v-else-if="drawers.length === 0" class="muted">
          {{
            shelf.isPending.value
              ? 'Reading the shelf.'
              : filter === ''
                ? 'The shelf is empty. Enter your first piece of gear.'
                : 'No card says that.'
          }}
        </p>
        <section v-for="drawer in drawers" :key="drawer.kind">
          <h2 class="drawer-title">{{ drawer.many }}</h2>
          <ul class="plain-list">
            <li v-for="entry in drawer.cards" :key="entry.id">
              <RouterLink :to="`/shelf/${entry.id}`" :class="{ here: entry.id === chosen }" :aria-current="entry.id === chosen ? 'true' : undefined">
                <b>{{ entry.name }}</b><span class="muted small"
                  >{{ entry.line }}<template v-if="entry.aliases.length > 0"> · {{ entry.aliases.join(', ') }}</template></span
                >
              </RouterLink>
            </li>
          </ul>
        </section>
        <p class="names"><RouterLink to="/shelf?names=all">What your manuals call formats, protocols and plugs</RouterLink></p>
      </nav>
      <section class="work" aria-label="Card">
        <RouterLink v-if="chosen !== '' || names !== null" to="/shelf" class="back">All cards</RouterLink>
        <NamesPanel v-if="names !== null" :focus="names" />
        <CardEditor v-else-if="chosen === NEW" :key="duplicate?.id ?? NEW" :data="null" :start="duplicate" @close="router.push('/shelf')" />
        <p v-else-if="card.error.value" class="band stop" role="alert">
          There is no card "{{ chosen }}" on the shelf. {{ sentenceOf(card.error.value) }}
        </p>
        <CardEditor v-else-if="chosen !== '' && card.data.value" :key="chosen" :data="card.data.value" :start="null" @duplicate="again" />
        <div v-else-if="chosen === ''" class="hint">
          <h2>Choose a card, or enter a new one</h2>
          <p>
            A new receiver takes less than a minute: what is printed on it, what comes out, what its light does. Whatever you do not know may stay
            open.
          </p>
          <p class="muted small">
            Keys: <kbd class="value">n</kbd> new card, <kbd class="value">/</kbd> find by alias or by line numbers such as 100000 8E2.
          </p>
        </div>
      </section>
    </div>
  </main>
</template>

<style scoped>
.actions {
  display: flex;
  gap: 0.8rem;
  align-items: center;
}
.columns {
  display: grid;
  grid-template-columns: 300px minmax(0, 1fr);
  gap: 2rem;
}
.filter {
  width: 100%;
}
.drawers .drawer-title {
  margin: 0.9rem 0 0.2rem;
}
.drawers a {
  display: flex;
  flex-direction: column;
  color: var(--ink);
  text-decoration: none;
  line-height: 1.3;
  padding: 0.35rem 0.6rem;
  border-radius: var(--radius);
  border-bottom: 1px solid var(--line);
}
.drawers a.here {
  background: var(--card);
  box-shadow: inset 3px 0 0 var(--petrol);
}
.names {
  margin-top: 1.2rem;
}
.names a {
  text-decoration: underline;
  color: var(--petrol);
  border: 0;
  padding: 0.35rem 0;
}
.replace {
  flex-direction: row;
  display: flex;
  gap: 0.5rem;
  margin-top: 0.6rem;
}
.hint {
  max-width: 34rem;
  padding-top: 2.6rem;
}
.hint p {
  margin-top: 0.5rem;
}
.back {
  display: none;
}
@media (max-width: 800px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .columns.chosen .drawers {
    display: none;
  }
  .hint {
    display: none;
  }
  .back {
    display: inline-block;
    margin-bottom: 0.6rem;
  }
}
</style>

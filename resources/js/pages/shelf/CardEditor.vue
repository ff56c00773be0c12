<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { hashKey, useQueryClient } from '@tanstack/vue-query'
import { StorageSerializers, useDebounceFn, useSessionStorage } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { deleteJson, getJson, isConflict, postJson, putJson, sentenceOf } from '@/api/http'
import type { Starter } from '@/api/rigs'
import { type CardData, type CardDocument, type GearKind, KINDS, shelfQuery } from '@/api/shelf'
import TextField from '@/components/form/TextField.vue'
import WordLine from '@/components/WordLine.vue'
import { useNotice } from '@/composables/useNotice'
import CardLabel from './CardLabel.vue'
import FieldRow from './FieldRow.vue'
import StarterList from './StarterList.vue'
import { type Entry, getAt, idFrom } from './cardPaths'
import { CHAPTERS } from './fields'
import LabelledField from '@/components/form/LabelledField.vue'

export interface CardEditorProps {
  /** Null: a card that is not on the shelf yet. */
  data: CardData | null
  /** What a new card starts as (a duplicate), if anything. */
  start: CardDocument | null
}
const props = defineProps<CardEditorProps>()
const emit = defineEmits<{ duplicate: [card: CardDocument]; close: [] }>()

const DRAFT = 'linguator.card-draft'
const WAIT_MS = 500
const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const isNew = computed(() => props.data === null)
/**
 * What was changed of this card and has not arrived on the shelf yet, with the revision that it was made from and all that was sent
 * of it without an answer so far: a reload may cut the answer off.
 */
const unsaved = useSessionStorage<{ revision: number; card: CardDocument; sent?: string[] } | null>(
  `linguator.card/${props.data?.card.id ?? ''}`,
  null,
  { serializer: StorageSerializers.object },
)
const card = ref<CardDocument>(opened())
const revision = ref(unsaved.value?.revision ?? props.data?.revision ?? 0)
const problem = ref('')
const saved = ref('')
const asText = ref<string | null>(null)
const nameField = ref<HTMLInputElement | null>(null)
/** One after the other: each save goes by the revision that the one before it left. */
let line: Promise<void> = Promise.resolve()
let isGone = false
const soon = useDebounceFn(() => (isGone ? undefined : save()), WAIT_MS)

function opened(): CardDocument {
  if (props.data !== null) return unsaved.value?.card ?? props.data.card
  if (props.start !== null) return props.start
  const draft = localStorage.getItem(DRAFT)
  return draft === null ? { id: '', kind: 'receiver', name: '' } : (JSON.parse(draft) as CardDocument)
}

onMounted(() => {
  if (isNew.value) nameField.value?.focus()
  else if (unsaved.value !== null) void soon()
})

watch(card, (now) => {
  saved.value = ''
  if (isNew.value) localStorage.setItem(DRAFT, JSON.stringify(now))
  else {
    unsaved.value = { ...unsaved.value, revision: revision.value, card: now }
    void soon()
  }
})

function change(entry: Entry): void {
  card.value = entry as CardDocument
}

/** Offered where nothing but a name and a kind was there at first; it goes by a choice only, so that nothing jumps under the hand. */
const isOffered = ref(props.data === null && Object.keys(card.value).every((key) => ['id', 'kind', 'name'].includes(key)))

function begin(starter: Starter): void {
  isOffered.value = false
  const { id, name, alias } = card.value as CardDocument & { alias?: string[] }
  card.value = { ...(starter.card as Entry), id, name, ...(alias === undefined ? {} : { alias }) } as CardDocument
  nameField.value?.focus()
}

function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value
  card.value = { ...card.value, name, id: isNew.value ? idFrom(name) : card.value.id }
}

function rekind(kind: GearKind): void {
  card.value = { id: card.value.id, kind, name: card.value.name }
}

function save(): Promise<void> {
  line = line.then(send)
  return line
}

async function send(): Promise<void> {
  problem.value = ''
  const body = asText.value === null ? { card: card.value } : { text: asText.value }
  try {
    if (isNew.value) {
      const made = await postJson<CardData>('/shelf', body)
      localStorage.removeItem(DRAFT)
      await client.invalidateQueries({ queryKey: shelfQuery.queryKey })
      notice.say(`${made.card.name} is on the shelf.`)
      await router.push(`/shelf/${made.card.id}`)
      return
    }
    const sent = card.value
    if (unsaved.value !== null) unsaved.value = { ...unsaved.value, sent: [...(unsaved.value.sent ?? []), hashKey([sent])] }
    const made = await putJson<CardData>(`/shelf/${card.value.id}`, { revision: revision.value, ...body })
    revision.value = made.revision
    unsaved.value = card.value === sent ? null : { revision: made.revision, card: card.value }
    if (asText.value !== null) card.value = made.card
    saved.value = 'Saved'
    void client.invalidateQueries({ queryKey: shelfQuery.queryKey, exact: true })
  } catch (error) {
    if (isConflict(error) && (await wasSent())) return send()
    problem.value = sentenceOf(error)
    if (isConflict(error)) {
      notice.warn(`${error.message} Your version is still here; nothing was overwritten.`, { label: 'Keep mine', run: () => void keepMine() })
    }
  }
}

/** Whether what is on the shelf now is what this page itself sent; if so, it goes on from there. */
async function wasSent(): Promise<boolean> {
  const there = await thereNow().catch(() => null)
  const isOwn = there !== null && (unsaved.value?.sent?.includes(hashKey([there.card])) ?? false)
  if (isOwn) revision.value = there.revision
  return isOwn
}

const thereNow = () => getJson<CardData>(`/shelf/${card.value.id}`)

async function keepMine(): Promise<void> {
  revision.value = (await thereNow()).revision
  await save()
}

async function toText(): Promise<void> {
  if (asText.value !== null) {
    asText.value = null
    return
  }
  if (isNew.value) {
    asText.value = JSON.stringify(card.value, null, 2)
    return
  }
  const response = await fetch(`/api/v1/shelf/${card.value.id}.yaml`)
  asText.value = await response.text()
}

async function remove(): Promise<void> {
  const { deleted, rigs } = await deleteJson<{ deleted: CardDocument; rigs: { name: string }[] }>(`/shelf/${card.value.id}`)
  isGone = true
  unsaved.value = null
  await client.invalidateQueries({ queryKey: shelfQuery.queryKey })
  const still = rigs.length === 0 ? '' : ` ${rigs.map((rig) => rig.name).join(', ')} keep${rigs.length === 1 ? 's' : ''} a copy of it.`
  notice.say(`${deleted.name} is off the shelf.${still}`, { label: 'Put it back', run: () => void putBack(deleted) })
  await router.push('/shelf')
}

async function putBack(deleted: CardDocument): Promise<void> {
  await postJson('/shelf', { card: deleted })
  await client.invalidateQueries({ queryKey: shelfQuery.queryKey })
  await router.push(`/shelf/${deleted.id}`)
}

function tellAliases(text: string): Promise<boolean> {
  const names = text
    .split(',')
    .map((name) => name.trim())
    .filter((name) => name !== '')
  const rest: Entry = { ...card.value }
  delete rest.alias
  change(names.length === 0 ? rest : { ...rest, alias: names })
  return Promise.resolve(true)
}

const aliasText = computed(() => ((getAt(card.value, 'alias') as string[] | undefined) ?? []).join(', '))
</script>

<template>
  <div class="editor">
    <form @submit.prevent="save">
      <header>
        <h2>{{ isNew ? 'A new card' : card.name }}</h2>
        <span class="muted small" aria-live="polite">{{ saved }}</span>
      </header>
      <div class="grid">
        <LabelledField class="name" label="What is printed on it?"
          ><input ref="nameField" class="field" :value="card.name" maxlength="200" autocomplete="off" @input="rename"
        /></LabelledField>
        <LabelledField v-if="isNew" label="It is a"
          ><PickField :model-value="card.kind" :options="KINDS.map((kind) => ({ value: kind.kind, label: kind.one }))" @update:model-value="rekind"
        /></LabelledField>
        <LabelledField class="name" label="What else do manuals call it?"
          ><TextField :value="aliasText" :save="tellAliases" placeholder="several, with commas between them"
        /></LabelledField>
      </div>
      <StarterList v-if="isOffered && asText === null" @begin="begin" />
      <template v-if="asText === null">
        <section v-for="chapter in CHAPTERS[card.kind]" :key="chapter.title">
          <h3>{{ chapter.title }}</h3>
          <WordLine v-if="chapter.words" :words="chapter.words" />
          <div class="grid">
            <FieldRow
              v-for="field in chapter.fields.filter((one) => one.when === undefined || one.when(card))"
              :key="field.key"
              :field="field"
              :entry="card"
              @change="change"
            />
          </div>
        </section>
      </template>
      <LabelledField v-else class="whole" label="The whole card">
        <textarea v-model="asText" class="field value" rows="22" spellcheck="false"></textarea>
      </LabelledField>
      <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
      <footer>
        <ActButton kind="primary" v-if="isNew || asText !== null" html-type="submit">{{ isNew ? 'Put it on the shelf' : 'Save the card' }}</ActButton>
        <ActButton @click="toText">{{ asText === null ? 'As text' : 'As questions' }}</ActButton>
        <template v-if="!isNew">
          <ActButton @click="emit('duplicate', { ...card, id: `${card.id}-2`.slice(0, 64), name: `${card.name} 2` })">Duplicate</ActButton>
          <a :href="`/api/v1/shelf/${card.id}.yaml`" download>Export YAML</a>
          <a :href="`/api/v1/shelf/${card.id}.json`" download>JSON</a>
          <ActButton kind="link" @click="remove">Take off the shelf</ActButton>
        </template>
        <ActButton v-else @click="emit('close')">Cancel</ActButton>
      </footer>
      <p v-if="data && data.rigs.length > 0" class="muted small">
        In use:
        <template v-for="(rig, k) in data.rigs" :key="rig.slug"
          >{{ k > 0 ? ', ' : '' }}<RouterLink :to="`/rigs/${rig.slug}`">{{ rig.name }}</RouterLink></template
        >. Each keeps its own copy; an edit here is offered there.
      </p>
    </form>
    <CardLabel :card="card" class="label" />
  </div>
</template>

<style scoped src="./fieldGrid.css"></style>
<style scoped>
.editor {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 250px;
  gap: 1.6rem;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
.grid {
  margin-top: 0.4rem;
}
.name {
  grid-column: span 2;
}
section {
  margin-top: 1.1rem;
}
section h3 {
  border-bottom: 1px solid var(--line);
}
footer {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: center;
  margin: 1.2rem 0 0.6rem;
}
.band {
  margin-top: 0.8rem;
}
.label {
  position: sticky;
  top: 1rem;
  align-self: start;
}
.whole {
  margin-top: 1rem;
}
@media (max-width: 1100px) {
  .editor {
    grid-template-columns: minmax(0, 1fr);
  }
  .label {
    position: static;
    order: 2;
  }
}
@media (max-width: 700px) {
  .name {
    grid-column: 1 / -1;
  }
}
</style>

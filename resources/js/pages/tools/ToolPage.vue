<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import PickField from '@/components/form/PickField.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { refDebounced, useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRoute, useRouter } from 'vue-router'
import WordLine from '@/components/WordLine.vue'
import { choicesQuery } from '@/api/choices'
import { ApiError, getJson, postJson, sentenceOf } from '@/api/http'
import { deskQuery } from '@/api/captures'
import { type RigData, rigQuery, rigsQuery } from '@/api/rigs'
import { useNotice } from '@/composables/useNotice'
import { draftsPlace } from '@/composables/useTravelDrafts'
import NowherePage from '../NowherePage.vue'
import type { Answers, ToolField } from './tool'
import { TOOLS } from './tools'

const WAIT_MS = 80
const route = useRoute()
const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const tool = computed(() => TOOLS.find((one) => one.key === route.params.tool))
const answers = ref<Answers>({})
const isChoosing = ref(false)
const choices = useQuery(choicesQuery)
const desk = useQuery({ ...deskQuery, enabled: computed(() => tool.value?.fields.some((field) => field.takesOwnFormats) ?? false) })
const rigs = useQuery({ ...rigsQuery, enabled: isChoosing })

/** What is asked waits until the hand rests; while it is worked out, the answer before it stays. */
const asked = refDebounced(
  computed(() => ({ key: tool.value?.key, answers: answers.value })),
  WAIT_MS,
)
const found = useQuery({
  queryKey: computed(() => ['tool', asked.value.key, asked.value.answers] as const),
  queryFn: () => postJson<Record<string, unknown>>(`/${asked.value.key ?? ''}`, tool.value?.question(asked.value.answers)),
  enabled: computed(() => tool.value !== undefined && asked.value.key === tool.value.key && Object.keys(asked.value.answers).length > 0),
  gcTime: 0,
})
/** The newest answer there was, with the tool that gave it and the numbers it answers: what is being typed is not drawn before it is read. */
const newest = ref<{ tool: string; answer: Record<string, unknown>; answers: Answers } | null>(null)
const shown = computed(() => (newest.value !== null && newest.value.tool === tool.value?.key ? newest.value : null))
const answer = computed(() => shown.value?.answer ?? null)
const problem = computed(() => {
  const error = found.error.value
  if (error instanceof ApiError && error.code === 'missing_key' && atField.value)
    return `Nothing stands here; expected ${atField.value.type === 'number' ? 'a number' : 'a value'}.`
  return error === null ? '' : error instanceof ApiError ? error.message : sentenceOf(error)
})
/** The field that is wrong, if it is one of these. */
const atField = computed(() => tool.value?.fields.find((field) => isWrong(field.key)))
const wrong = computed(() => (found.error.value instanceof ApiError ? found.error.value.path : ''))

watch(found.data, (data) => {
  if (data && asked.value.key) newest.value = { tool: asked.value.key, answer: data, answers: asked.value.answers }
})
watch(tool, open, { immediate: true })

function open(): void {
  if (!tool.value) return
  document.title = `${tool.value.title} · Linguator`
  answers.value = Object.fromEntries(
    tool.value.fields.map((field) => {
      const given = route.query[field.key]
      return [field.key, typeof given === 'string' ? given : field.start]
    }),
  )
}

/** The numbers stand in the address, so that they survive a reload and can be handed on. */
let isToKeep = false
const keepInAddress = useDebounceFn(() => {
  if (!isToKeep) return
  isToKeep = false
  const query = Object.fromEntries(Object.entries(answers.value).filter(([, text]) => text !== ''))
  void router.replace({ query })
}, WAIT_MS)

// On the way to another page nothing is written into its address.
onBeforeRouteLeave(() => {
  isToKeep = false
})
onBeforeRouteUpdate((to, from) => {
  if (to.params.tool !== from.params.tool) isToKeep = false
})

function type(key: string, value: string): void {
  answers.value = { ...answers.value, [key]: value }
  isToKeep = true
  void keepInAddress()
}

function optionsOf(field: ToolField): [string, string][] {
  const listed = field.from ? (choices.data.value?.[field.from] ?? []).map((one): [string, string] => [one.key, one.title]) : (field.options ?? [])
  const own = field.takesOwnFormats ? (desk.data.value?.formats ?? []).filter((one) => one.own) : []
  return [...listed, ...own.map((one): [string, string] => [one.id, one.name])]
}

const isWrong = (key: string) => wrong.value !== '' && (wrong.value === key || wrong.value.split('.').includes(key))

async function use(slug: string): Promise<void> {
  if (tool.value?.draft) localStorage.setItem(draftsPlace(slug), JSON.stringify(tool.value.draft(answers.value)))
  const meant = answer.value ? tool.value?.meant?.(answers.value, answer.value) : undefined
  try {
    if (meant) {
      const rig = await getJson<RigData>(`/rigs/${slug}`)
      const changed = await postJson<RigData>(`/rigs/${slug}/intents`, { revision: rig.revision, ...meant })
      client.setQueryData(rigQuery(slug).queryKey, changed)
      notice.say(`${changed.history[0]?.entry.text ?? ''}: in ${rig.document.name}.`)
    }
    await router.push(`/rigs/${slug}/${tool.value?.step ?? ''}`)
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}

async function share(): Promise<void> {
  await navigator.clipboard.writeText(window.location.href)
  notice.say('The address, with these numbers in it, is on the clipboard.')
}
</script>

<template>
  <NowherePage v-if="!tool" />
  <main v-else id="main" class="page tool">
    <nav class="others" aria-label="Quick tools">
      <RouterLink
        v-for="one in TOOLS"
        :key="one.key"
        :to="`/tools/${one.key}`"
        :class="{ here: one.key === tool.key }"
        :aria-current="one.key === tool.key ? 'page' : undefined"
        >{{ one.title }}</RouterLink
      >
    </nav>
    <div class="main">
      <h1>{{ tool.title }}</h1>
      <p class="muted">{{ tool.line }}</p>
      <WordLine :words="tool.words" />
      <form class="fields" @submit.prevent>
        <label v-for="field in tool.fields" :key="`${tool.key}/${field.key}`" :class="[field.type, { wide: field.isWide }]"
          ><span
            >{{ field.label }}<small v-if="field.columns" class="muted"> · one a line: {{ field.columns }}</small></span
          >
          <PickField
            v-if="field.type === 'choice'"
            :model-value="answers[field.key] ?? ''"
            :options="optionsOf(field).map(([value, label]) => ({ value, label }))"
            :aria-label="field.label"
            @update:model-value="(value) => type(field.key, value)"
          />
          <textarea
            v-else-if="field.type === 'lines'"
            class="field value"
            rows="4"
            spellcheck="false"
            :value="answers[field.key]"
            :aria-invalid="isWrong(field.key)"
            @input="type(field.key, ($event.target as HTMLTextAreaElement).value)"
          ></textarea>
          <span v-else class="with-unit"
            ><input
              class="field value"
              :class="{ wrong: isWrong(field.key) }"
              :value="answers[field.key]"
              :aria-invalid="isWrong(field.key)"
              :placeholder="field.isOptional ? 'not given' : ''"
              :inputmode="field.type === 'number' ? 'decimal' : 'text'"
              :maxlength="field.isWide ? 240 : 60"
              autocomplete="off"
              @input="type(field.key, ($event.target as HTMLInputElement).value)"
            />
            <small v-if="field.unit" class="unit">{{ field.unit }}</small></span
          >
          <small v-if="problem && field === atField" class="field-problem" role="alert"
            >{{ problem }}<template v-if="answer"> Below stands the answer to the numbers before.</template></small
          >
        </label>
      </form>
      <p v-if="problem && !atField" class="band stop" role="alert">
        {{ problem }} <span class="value small">{{ wrong }}</span>
      </p>
      <section v-if="answer && shown" class="answer" :class="{ old: problem }" aria-live="polite" aria-label="Answer">
        <component :is="tool.answer" :key="tool.key" :answer="answer" :answers="shown.answers" />
      </section>
      <div class="actions">
        <ActButton v-if="tool.step" :aria-expanded="isChoosing" @click="isChoosing = !isChoosing">Use in a rig</ActButton>
        <ActButton @click="share">Copy the address</ActButton>
      </div>
      <ul v-if="isChoosing" class="plain-list rigs">
        <li v-for="rig in rigs.data.value?.rigs ?? []" :key="rig.slug">
          <ActButton kind="link" @click="use(rig.slug)">{{ rig.name }}</ActButton>
          <span class="muted small">{{ rig.craft.note ?? rig.craft.kind }}</span>
        </li>
      </ul>
    </div>
  </main>
</template>

<style scoped>
.tool {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr);
  gap: 2rem;
}
.others {
  display: flex;
  flex-direction: column;
  padding-top: 0.4rem;
}
.others a {
  padding: 0.4rem 0.7rem;
  text-decoration: none;
  color: var(--ink);
  border-radius: var(--radius);
}
.others a.here {
  background: var(--card);
  font-weight: 600;
  box-shadow: inset 3px 0 0 var(--petrol);
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 0.7rem 1rem;
  margin: 1rem 0;
  align-items: end;
}
.fields label {
  display: flex;
  flex-direction: column;
  font-size: 0.9rem;
}
.wide {
  grid-column: span 2;
}
.lines {
  grid-column: 1 / -1;
}
.with-unit {
  display: flex;
  align-items: center;
  gap: 0.4rem;
}
.unit {
  white-space: nowrap;
}
.with-unit .field {
  width: 100%;
  min-width: 0;
}
.wrong {
  border-color: var(--stop);
}
.answer {
  margin-top: 1rem;
  border-top: 2px solid var(--petrol);
  padding-top: 0.9rem;
}
.answer :deep(.big) {
  font-size: 1.3rem;
  margin-bottom: 0.4rem;
}
.answer :deep(.big b) {
  font-size: 1.5rem;
}
.answer :deep(.bad) {
  color: var(--amber-text);
}
.old {
  opacity: 0.55;
}
.actions {
  display: flex;
  gap: 0.8rem;
  margin-top: 1.4rem;
}
.rigs li {
  padding: 0.35rem 0;
}
@media (max-width: 800px) {
  .tool {
    grid-template-columns: minmax(0, 1fr);
    gap: 0.6rem;
  }
  .others {
    flex-direction: row;
    overflow-x: auto;
  }
  .others a {
    white-space: nowrap;
    padding: 0.6rem 0.7rem;
  }
}
</style>

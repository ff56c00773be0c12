<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { ApiError, getJson, patchJson, postJson, sentenceOf } from '@/api/http'
import { deskQuery } from '@/api/captures'
import { type RigData, rigQuery, rigsQuery } from '@/api/rigs'
import { useNotice } from '@/composables/useNotice'
import NowherePage from '../NowherePage.vue'
import ToolAnswer from './ToolAnswer.vue'
import { type Answers, TOOLS } from './tools'

const WAIT_MS = 80
const route = useRoute()
const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const tool = computed(() => TOOLS.find((one) => one.key === route.params.tool))
const answers = ref<Answers>({})
const answer = ref<Record<string, unknown> | null>(null)
const problem = ref('')
const wrong = ref('')
const isChoosing = ref(false)
const desk = useQuery({ ...deskQuery, enabled: computed(() => tool.value?.fields.some((field) => field.takesOwnFormats) ?? false) })
const ownFormats = computed<[string, string][]>(() => (desk.data.value?.formats ?? []).filter((one) => one.own).map((one) => [one.id, one.name]))
const rigs = useQuery({ ...rigsQuery, enabled: isChoosing })
let timer = 0
let asked = 0

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
  answer.value = null
  void ask()
}

function type(key: string, value: string): void {
  answers.value = { ...answers.value, [key]: value }
  window.clearTimeout(timer)
  timer = window.setTimeout(() => {
    const query = Object.fromEntries(
      (tool.value?.fields ?? []).map((field) => [field.key, answers.value[field.key] ?? '']).filter(([, text]) => text !== ''),
    )
    void router.replace({ query })
    void ask()
  }, WAIT_MS)
}

async function ask(): Promise<void> {
  if (!tool.value) return
  const mine = ++asked
  try {
    const found = await postJson<Record<string, unknown>>(`/${tool.value.key}`, tool.value.question(answers.value))
    if (mine !== asked) return
    answer.value = found
    problem.value = wrong.value = ''
  } catch (error) {
    if (mine !== asked) return
    problem.value = error instanceof ApiError ? error.message : sentenceOf(error)
    wrong.value = error instanceof ApiError ? error.path : ''
  }
}

const isWrong = (key: string) => wrong.value !== '' && (wrong.value === key || wrong.value.split('.').includes(key))

async function use(slug: string): Promise<void> {
  if (tool.value?.draft) localStorage.setItem(`linguator.travel.${slug}`, JSON.stringify(tool.value.draft(answers.value)))
  const change = answer.value ? tool.value?.change?.(answers.value, answer.value) : null
  try {
    if (change) {
      const rig = await getJson<RigData>(`/rigs/${slug}`)
      const changed = await patchJson<RigData>(`/rigs/${slug}`, { revision: rig.revision, ...change })
      client.setQueryData(rigQuery(slug).queryKey, changed)
      notice.say(`${change.text}: in ${rig.document.name}.`)
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
      <form class="fields" @submit.prevent>
        <label v-for="field in tool.fields" :key="`${tool.key}/${field.key}`" :class="[field.type, { wide: field.isWide }]"
          ><span
            >{{ field.label }}<small v-if="field.columns" class="muted"> · one a line: {{ field.columns }}</small></span
          >
          <select
            v-if="field.type === 'choice'"
            class="field"
            :value="answers[field.key]"
            @change="type(field.key, ($event.target as HTMLSelectElement).value)"
          >
            <option v-for="[value, label] in [...(field.options ?? []), ...(field.takesOwnFormats ? ownFormats : [])]" :key="value" :value="value">
              {{ label }}
            </option>
          </select>
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
            <small v-if="field.unit">{{ field.unit }}</small></span
          >
        </label>
      </form>
      <p v-if="problem" class="band stop" role="alert">
        {{ problem }} <span class="value small">{{ wrong }}</span>
      </p>
      <section v-if="answer" class="answer" :class="{ old: problem }" aria-live="polite" aria-label="Answer">
        <ToolAnswer :tool="tool.key" :answer="answer" :answers="answers" />
      </section>
      <div class="actions">
        <a-button v-if="tool.step" :aria-expanded="isChoosing" @click="isChoosing = !isChoosing">Use in a rig</a-button>
        <a-button @click="share">Copy the address</a-button>
      </div>
      <ul v-if="isChoosing" class="plain-list rigs">
        <li v-for="rig in rigs.data.value?.rigs ?? []" :key="rig.slug">
          <button type="button" class="link-button" @click="use(rig.slug)">{{ rig.name }}</button>
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

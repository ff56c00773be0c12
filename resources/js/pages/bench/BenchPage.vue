<script setup lang="ts">
import { day as date } from '@/lib/dates'
import VerdictLine from '@/components/VerdictLine.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import FileTake from '@/components/FileTake.vue'
import MiniChain from '@/components/MiniChain.vue'
import StateMark, { STATE_WORDS } from '@/components/StateMark.vue'
import { useKeys } from '@/composables/useKeys'
import { useNotice } from '@/composables/useNotice'
import { TOOLS } from '../tools/tools'
import KeepingPanel from './KeepingPanel.vue'
import LabelledField from '@/components/form/LabelledField.vue'

const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const { data, error, isPending } = useQuery(rigsQuery)

/** What is typed of a new rig survives a reload. */
const name = useSessionStorage('linguator.new-rig.name', '')
const kind = useSessionStorage('linguator.new-rig.kind', 'plane')
const isAdding = ref(name.value !== '')
const nameField = ref<HTMLInputElement | null>(null)
const problem = ref('')
const KINDS = [
  { value: 'multirotor', label: 'Multirotor' },
  { value: 'plane', label: 'Plane' },
  { value: 'glider', label: 'Glider' },
  { value: 'boat', label: 'Boat' },
  { value: 'car', label: 'Car' },
  { value: 'other', label: 'Something else' },
]

async function open(): Promise<void> {
  isAdding.value = true
  await nextTick()
  nameField.value?.focus()
}

async function add(): Promise<void> {
  problem.value = name.value.trim() === '' ? 'Give the rig the name of its craft.' : ''
  if (problem.value !== '') return
  try {
    const made = await postJson<RigData>('/rigs', { name: name.value.trim(), craft_kind: kind.value })
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
    name.value = ''
    await router.push(`/rigs/${made.slug}/path`)
  } catch (failed) {
    problem.value = sentenceOf(failed)
  }
}

async function take(text: string): Promise<void> {
  const made = await postJson<RigData>('/rigs/import', { text })
  void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
  notice.say(`${made.document.name} is on the bench, with its history.`)
  await router.push(`/rigs/${made.slug}`)
}

useKeys((key, event) => {
  if (key !== 'n' || event.ctrlKey || event.metaKey) return false
  void open()
  return true
})
</script>

<template>
  <main id="main" class="page">
    <div class="page-top">
      <div>
        <h1>Bench</h1>
        <p class="muted">Every rig, and what it needs next. What needs you stands first.</p>
      </div>
      <div class="actions">
        <FileTake label="Import a rig" what="a rig document (YAML or JSON)" :take="take" />
        <a-button type="primary" @click="open">New rig</a-button>
      </div>
    </div>

    <form v-if="isAdding" class="new" @submit.prevent="add" @keydown.esc="isAdding = false">
      <LabelledField label="Name of the craft"
        ><input
          ref="nameField"
          v-model="name"
          class="field"
          maxlength="200"
          autocomplete="off"
          :aria-invalid="problem !== ''"
          aria-describedby="new-problem"
      /></LabelledField>
      <LabelledField label="It is a"
        ><select v-model="kind" class="field">
          <option v-for="option in KINDS" :key="option.value" :value="option.value">{{ option.label }}</option>
        </select></LabelledField
      >
      <a-button type="primary" html-type="submit">Start its rig</a-button>
      <a-button @click="isAdding = false">Cancel</a-button>
      <p id="new-problem" class="problem" role="alert">{{ problem }}</p>
    </form>

    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="muted">Reading the bench.</p>
    <div v-else-if="data?.rigs.length === 0" class="empty">
      <h2>Nothing on the bench yet</h2>
      <p>Start with the gear you own on the <RouterLink to="/shelf">Shelf</RouterLink>, then make a rig and let Linguator join it.</p>
    </div>
    <ul v-else class="rigs plain-list" aria-label="Rigs">
      <li v-for="rig in data?.rigs" :key="rig.slug" :class="rig.next.severity">
        <div class="mark">
          <StateMark :state="rig.next.severity" /><span class="sr-only">{{ STATE_WORDS[rig.next.severity] }}</span>
        </div>
        <div class="what">
          <RouterLink :to="`/rigs/${rig.slug}`" class="name">{{ rig.name }}</RouterLink>
          <span class="muted">{{ rig.craft.note ?? rig.craft.kind }}</span>
        </div>
        <div class="middle">
          <p class="sentence"><VerdictLine :next="rig.next" /></p>
          <p class="muted small"><MiniChain :boxes="rig.boxes" :couplings="rig.couplings" /></p>
        </div>
        <div class="next">
          <RouterLink
            :to="rig.next.severity === 'done' ? `/rigs/${rig.slug}/sheet` : `/rigs/${rig.slug}/${rig.next.step}`"
            class="go"
            :aria-label="`${rig.next.action}: ${rig.name}`"
            >{{ rig.next.action }}</RouterLink
          >
          <span class="muted small">changed {{ date(rig.changed_at) }}</span>
        </div>
      </li>
    </ul>
    <section class="tools" aria-labelledby="tools-title">
      <h2 id="tools-title">Quick tools</h2>
      <ul class="plain-list">
        <li v-for="tool in TOOLS" :key="tool.key">
          <RouterLink :to="`/tools/${tool.key}`">{{ tool.title }}</RouterLink> <span class="muted small">{{ tool.line }}</span>
        </li>
      </ul>
    </section>
    <KeepingPanel />
    <p class="foot muted small">
      Propellers off, wheels and hull clear while you work here. Local rules for radio power and flying places come first; full-size or licensed work
      is not for this tool.
    </p>
  </main>
</template>

<style scoped>
.tools {
  margin-top: 1.8rem;
}
.tools ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(330px, 100%), 1fr));
  gap: 0.15rem 1.6rem;
  margin-top: 0.4rem;
}
.tools li {
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--line);
}
.actions {
  display: flex;
  gap: 0.6rem;
  align-items: center;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: end;
  background: var(--wash);
  padding: 0.9rem 1rem;
  border-radius: var(--radius);
  margin-bottom: 1rem;
}
.problem {
  color: var(--stop);
  flex-basis: 100%;
}
.problem:empty {
  display: none;
}
.rigs {
  border-top: 1px solid var(--line);
}
.rigs > li {
  display: grid;
  grid-template-columns: 26px minmax(170px, 0.9fr) minmax(300px, 2fr) auto;
  gap: 0 1rem;
  align-items: center;
  padding: 0.85rem 0.6rem;
  border-bottom: 1px solid var(--line);
}
.rigs > li.stop {
  background: var(--stop-fill);
}
.mark {
  align-self: start;
  padding-top: 0.3rem;
}
.what {
  display: flex;
  flex-direction: column;
  align-self: start;
  line-height: 1.35;
}
.name {
  font-size: 1.2rem;
  font-weight: 600;
  color: var(--ink);
  text-decoration: none;
}
.name:hover {
  text-decoration: underline;
}
.sentence {
  font-weight: 500;
}
.attention .sentence {
  color: var(--amber-text);
}
.stop .sentence {
  color: var(--stop);
  font-weight: 600;
}
.next {
  display: flex;
  flex-direction: column;
  align-items: stretch;
  text-align: center;
  gap: 0.15rem;
  min-width: 150px;
}
.go {
  border: 1.5px solid var(--petrol);
  border-radius: var(--radius);
  padding: 0.35rem 0.9rem;
  font-weight: 600;
  text-decoration: none;
  background: var(--card);
}
.attention .go,
.stop .go {
  background: var(--accent);
  color: var(--accent-ink);
}
.empty {
  padding: 2rem 0;
}
.foot {
  margin-top: 2rem;
  max-width: 46rem;
}
@media (max-width: 700px) {
  .rigs > li {
    grid-template-columns: 26px 1fr;
  }
  .middle,
  .next {
    grid-column: 2;
    margin-top: 0.35rem;
  }
  .go {
    padding: 0.6rem;
  }
}
</style>

<script setup lang="ts">
import PickField from '@/components/form/PickField.vue'
import ActButton from '@/components/ActButton.vue'
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import FileTake from '@/components/FileTake.vue'
import { useKeys } from '@/composables/useKeys'
import { useNotice } from '@/composables/useNotice'
import { TOOLS } from '../tools/tools'
import DemoLine from './DemoLine.vue'
import KeepingPanel from './KeepingPanel.vue'
import RigList from './RigList.vue'
import { CRAFT_KINDS } from './start'
import LabelledField from '@/components/form/LabelledField.vue'

/** Only where a club is served: with its code to be scanned. */
const ClubPanel = defineAsyncComponent(() => import('./ClubPanel.vue'))
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

/** A way that the search offers to something to do here. */
const route = useRoute()
watch(
  () => route.query.do,
  (deed) => {
    if (deed === 'new') void open()
  },
  { immediate: true },
)
watch(
  [() => route.hash, data],
  async () => {
    await nextTick()
    if (route.hash !== '') document.getElementById(route.hash.slice(1))?.scrollIntoView()
  },
  { immediate: true },
)

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
        <ActButton @click="open">New rig</ActButton>
        <ActButton kind="primary" @click="router.push('/start')">Start with my gear</ActButton>
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
      <LabelledField label="It is a"><PickField v-model="kind" :options="CRAFT_KINDS" /></LabelledField>
      <ActButton kind="primary" html-type="submit">Start its rig</ActButton>
      <ActButton @click="isAdding = false">Cancel</ActButton>
      <p id="new-problem" class="problem" role="alert">{{ problem }}</p>
    </form>

    <p v-if="error" class="problem" role="alert">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="muted">Reading the bench.</p>
    <div v-else-if="data?.rigs.length === 0" class="empty">
      <h2>Nothing on the bench yet</h2>
      <div class="ways">
        <RouterLink to="/start" class="way first">
          <b>Start with my gear</b>
          <span>What you hold, what is on the craft, what it drives: one page, joined in two minutes.</span>
        </RouterLink>
        <DemoLine is-empty />
      </div>
    </div>
    <RigList v-else :rigs="data?.rigs ?? []" />
    <DemoLine v-if="(data?.rigs.length ?? 0) > 0" />
    <!-- What comes below the rigs waits for them, so that it does not jump. -->
    <template v-if="!isPending">
      <section class="tools" aria-labelledby="tools-title">
        <h2 id="tools-title">Quick tools</h2>
        <ul class="plain-list">
          <li v-for="tool in TOOLS" :key="tool.key">
            <RouterLink :to="`/tools/${tool.key}`">{{ tool.title }}</RouterLink> <span class="muted small">{{ tool.line }}</span>
          </li>
        </ul>
      </section>
      <ClubPanel />
      <KeepingPanel />
      <p class="foot muted small">
        Propellers off, wheels and hull clear while you work here. Local rules for radio power and flying places come first; full-size or licensed
        work is not for this tool.
      </p>
    </template>
  </main>
</template>

<style scoped src="./way.css"></style>
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
  flex-wrap: wrap;
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
.empty {
  padding: 2rem 0;
}
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
  gap: 1rem;
  margin-top: 0.9rem;
  max-width: 56rem;
}
.foot {
  margin-top: 2rem;
  max-width: 46rem;
}
</style>

<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { deleteJson, postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import SheetBody from '@/components/SheetBody.vue'
import { focusOn } from '@/composables/useKeptFocus'
import { useKeys } from '@/composables/useKeys'
import { useNotice } from '@/composables/useNotice'
import { useRig } from '@/composables/useRig'
import LeftoverList from './LeftoverList.vue'
import RigHead from './RigHead.vue'
import StepBar from './StepBar.vue'
import { fetchAllSteps, fetchStep, HistoryPanel, stepScreen } from './screens'

/** A page is read for a while before another step is opened. */
const QUIET_MS = 1500

const route = useRoute()
const router = useRouter()
const notice = useNotice()
const client = useQueryClient()
const slug = computed(() => String(route.params.slug))
const handle = useRig(slug)
const { rig, query } = handle
const selected = ref<number | null>(null)
const step = computed(() => {
  const asked = String(route.params.step ?? '')
  return asked === '' ? (rig.value?.review.next.step ?? 'path') : asked
})

/** Of a step; what is no step shows the history. */
const screen = computed(() => stepScreen(step.value))
fetchStep(String(route.params.step))
onMounted(() => window.setTimeout(() => void fetchAllSteps(), QUIET_MS))

watch(
  () => rig.value?.document.name,
  (name) => {
    if (name !== undefined) document.title = `${name} · Linguator`
  },
  { immediate: true },
)

let isFirst = true
/** The step that stands there by now: what comes below it waits, so that it does not jump. */
const shownStep = ref('')

/** The focus goes with the step, so that its heading is read out: whoever opened it by a key goes on there. */
function arrived(): void {
  shownStep.value = step.value
  const wasFirst = isFirst
  isFirst = false
  if (!wasFirst) focusOn(document.querySelector('.work h2'))
}

/** What of this step is open or was left; check-out has them all. */
const leftovers = computed(() => (rig.value?.review.readiness.leftovers ?? []).filter((one) => one.step === step.value))

function go(to: string): void {
  void router.push(`/rigs/${slug.value}/${to}`)
}

async function remove(): Promise<void> {
  const name = rig.value?.document.name ?? ''
  try {
    const { deleted, left } = await deleteJson<{ deleted: string; left: string }>(`/rigs/${slug.value}`, { revision: rig.value?.revision })
    await router.push('/')
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
    notice.say(`${name} is off the bench.`, { label: 'Bring it back', run: () => void bringBack(deleted, left) })
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}

async function bringBack(text: string, left: string): Promise<void> {
  try {
    const made = await postJson<RigData>('/rigs/import', { text, left })
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
    void router.push(`/rigs/${made.slug}`)
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}

useKeys((key, event) => {
  const steps = rig.value?.review.steps ?? []
  const numbered = steps[Number(key) - 1]
  if ((event.ctrlKey || event.metaKey) && key === 'z') void handle.undo()
  else if (event.ctrlKey || event.metaKey) return false
  else if (/^[1-9]$/.test(key) && numbered) go(numbered.key)
  else if (key === 'h') go('history')
  else if (key === 't') go('timing')
  else if (key === 'p') go('sheet')
  else if (key === 'Escape' && selected.value !== null) selected.value = null
  else return false
  return true
})
</script>

<template>
  <main id="main">
    <div v-if="query.error.value" class="page">
      <h1>This rig is not here</h1>
      <p>{{ sentenceOf(query.error.value) }} <RouterLink to="/">Back to the bench</RouterLink></p>
    </div>
    <template v-else-if="rig">
      <RigHead v-model:selected="selected" :rig="rig" :handle="handle" />
      <div class="columns">
        <StepBar :rig="rig" :step="step" :is-asked="route.params.step !== ''" />
        <section class="work" aria-label="Work">
          <component :is="screen" v-if="screen" :rig="rig" :handle="handle" @vue:mounted="arrived" />
          <HistoryPanel v-else :rig="rig" :handle="handle" @remove="remove" @vue:mounted="arrived" />
          <section v-if="leftovers.length > 0 && shownStep === step" class="leftovers" aria-labelledby="leftovers-title">
            <h3 id="leftovers-title">Not done on this step, or left as it is</h3>
            <LeftoverList :rig="rig" :handle="handle" :leftovers="leftovers" />
          </section>
        </section>
        <aside class="sheet" aria-labelledby="sheet-title">
          <div class="sheet-head">
            <h2 id="sheet-title">Set-up sheet</h2>
            <RouterLink :to="`/rigs/${slug}/sheet`">Print</RouterLink>
            <RouterLink :to="`/rigs/${slug}/label`">Label</RouterLink>
          </div>
          <SheetBody :sections="rig.review.sheet" />
        </aside>
      </div>
    </template>
    <p v-else class="page muted">Reading the rig.</p>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 340px;
  min-height: 60vh;
}
.work {
  padding: 1.1rem 1.4rem 4rem;
}
.leftovers {
  margin-top: 1.6rem;
}
.sheet {
  background: var(--card);
  border-left: 1px solid var(--line);
  padding: 1.1rem 1.25rem 4rem;
}
.sheet-head {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: 150px minmax(0, 1fr);
  }
  .sheet {
    grid-column: 1 / -1;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
@media (max-width: 700px) {
  .columns {
    display: block;
  }
  .work,
  .sheet {
    padding: 1rem 0.9rem 2rem;
  }
}
</style>

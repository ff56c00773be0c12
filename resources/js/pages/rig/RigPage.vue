<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { deleteJson, postJson, sentenceOf } from '@/api/http'
import { type RigData, rigsQuery } from '@/api/rigs'
import ChainStrip from '@/components/ChainStrip.vue'
import SheetBody from '@/components/SheetBody.vue'
import StateMark, { STATE_WORDS } from '@/components/StateMark.vue'
import { useKeys } from '@/composables/useKeys'
import { useNotice } from '@/composables/useNotice'
import { useRig } from '@/composables/useRig'
import CouplingPanel from './CouplingPanel.vue'
import FailsafeStep from './FailsafeStep.vue'
import HandsetPanel from './HandsetPanel.vue'
import HistoryPanel from './HistoryPanel.vue'
import BindStep from './BindStep.vue'
import CheckOutStep from './CheckOutStep.vue'
import OrderStep from './OrderStep.vue'
import PathStep from './PathStep.vue'
import SwitchesStep from './SwitchesStep.vue'
import TimingPanel from './TimingPanel.vue'
import TravelStep from './TravelStep.vue'
import WiringStep from './WiringStep.vue'

/** What stands beside the steps: not in the order of the job. */
const BESIDE = [
  ['handset', 'Handset'],
  ['timing', 'Timing'],
  ['history', 'History'],
] as const

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

watch(
  () => rig.value?.document.name,
  (name) => {
    if (name !== undefined) document.title = `${name} · Linguator`
  },
  { immediate: true },
)

const stepBar = ref<HTMLElement | null>(null)
const PHONE = '(max-width: 700px)'

/** On a phone the chain fills the screen: a step that is asked for is brought into sight. */
watch(
  [step, stepBar],
  async () => {
    await nextTick()
    if (!stepBar.value || route.params.step === '' || !window.matchMedia(PHONE).matches) return
    stepBar.value.scrollIntoView()
    const link = stepBar.value.querySelector<HTMLElement>('.here')
    if (link) stepBar.value.querySelector('ol')?.scrollTo({ left: link.offsetLeft - 40 })
  },
  { flush: 'post' },
)

function go(to: string): void {
  void router.push(`/rigs/${slug.value}/${to}`)
}

function toggle(position: number): void {
  selected.value = selected.value === position ? null : position
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
      <div class="top">
        <div class="title">
          <h1>{{ rig.document.name }}</h1>
          <span class="muted">{{ rig.review.craft.note ?? rig.review.craft.kind }}</span>
          <p class="state" :class="rig.review.next.severity" aria-live="polite">
            <StateMark :state="rig.review.next.severity" /> {{ rig.review.next.sentence }}
          </p>
        </div>
        <ChainStrip
          v-if="rig.review.boxes.length > 0"
          :boxes="rig.review.boxes"
          :couplings="rig.review.couplings"
          :selected="selected"
          @select="toggle"
        />
        <CouplingPanel
          v-if="selected !== null && rig.review.couplings[selected]"
          :rig="rig"
          :position="selected"
          :handle="handle"
          @close="selected = null"
        />
        <p v-if="rig.shares_memory_with.length > 0" class="newer small">
          Shares its handset memory and receiver number with
          <template v-for="(other, k) in rig.shares_memory_with" :key="other.slug"
            >{{ k > 0 ? ', ' : '' }}<RouterLink :to="`/rigs/${other.slug}`">{{ other.name }}</RouterLink></template
          >: order, ends and switches changed here are changed there too, and their checks go stale with them.
        </p>
        <p v-if="rig.newer_cards.length > 0" class="newer small">
          Edited on the shelf since this rig took its copy: {{ rig.newer_cards.map((card) => card.name).join(', ') }}.
          <button type="button" class="link-button" @click="handle.intend('take-cards', { cards: rig.newer_cards.map((card) => card.id) })">
            Take the edits over
          </button>
        </p>
      </div>
      <div class="columns">
        <nav ref="stepBar" class="steps" aria-label="Steps">
          <ol class="plain-list">
            <li v-for="(entry, k) in rig.review.steps" :key="entry.key">
              <RouterLink
                :to="`/rigs/${slug}/${entry.key}`"
                :class="{ here: step === entry.key }"
                :aria-current="step === entry.key ? 'step' : undefined"
              >
                <span class="digit value">{{ k + 1 }}</span>{{ entry.title }}<StateMark :state="entry.state" /><span class="sr-only">{{
                  STATE_WORDS[entry.state]
                }}</span>
              </RouterLink>
            </li>
            <li v-for="[key, title] in BESIDE" :key="key" class="other">
              <RouterLink :to="`/rigs/${slug}/${key}`" :class="{ here: step === key }" :aria-current="step === key ? 'step' : undefined">{{
                title
              }}</RouterLink>
            </li>
          </ol>
        </nav>
        <section class="work" aria-label="Work">
          <PathStep v-if="step === 'path'" :rig="rig" :handle="handle" />
          <WiringStep v-else-if="step === 'wiring'" :rig="rig" :handle="handle" />
          <BindStep v-else-if="step === 'bind'" :rig="rig" :handle="handle" />
          <OrderStep v-else-if="step === 'order'" :rig="rig" :handle="handle" />
          <TravelStep v-else-if="step === 'travel'" :rig="rig" :handle="handle" />
          <SwitchesStep v-else-if="step === 'switches'" :rig="rig" :handle="handle" />
          <FailsafeStep v-else-if="step === 'failsafe'" :rig="rig" :handle="handle" />
          <CheckOutStep v-else-if="step === 'check-out'" :rig="rig" :handle="handle" />
          <HandsetPanel v-else-if="step === 'handset'" :rig="rig" :handle="handle" />
          <TimingPanel v-else-if="step === 'timing'" :rig="rig" />
          <HistoryPanel v-else :rig="rig" :handle="handle" @remove="remove" />
        </section>
        <aside class="sheet" aria-labelledby="sheet-title">
          <div class="sheet-head">
            <h2 id="sheet-title">Set-up sheet</h2>
            <RouterLink :to="`/rigs/${slug}/sheet`">Print</RouterLink>
          </div>
          <SheetBody :sections="rig.review.sheet" />
        </aside>
      </div>
    </template>
    <p v-else class="page muted">Reading the rig.</p>
  </main>
</template>

<style scoped>
.top {
  padding: 0.9rem 1.25rem 0.8rem;
  border-bottom: 1px solid var(--line);
}
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.2rem 0.9rem;
  margin-bottom: 0.7rem;
}
.state {
  margin-left: auto;
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.25rem 0.8rem;
  border-radius: var(--radius);
  background: var(--wash);
  font-weight: 500;
}
.state.attention {
  background: var(--amber-fill);
  color: var(--amber-text);
}
.state.stop {
  background: var(--stop-fill);
  color: var(--stop);
}
.newer {
  margin-top: 0.6rem;
}
.columns {
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) 340px;
  min-height: 60vh;
}
.steps {
  border-right: 1px solid var(--line);
  padding: 1rem 0 1rem 0.6rem;
}
.steps a {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  padding: 0.45rem 0.7rem;
  color: var(--ink);
  text-decoration: none;
  border-radius: var(--radius) 0 0 var(--radius);
}
.steps a :deep(.state-mark) {
  margin-left: auto;
}
.steps a.here {
  background: var(--card);
  font-weight: 600;
  box-shadow: inset 3px 0 0 var(--petrol);
}
.digit {
  color: var(--muted);
  font-size: 0.8rem;
}
.other:nth-last-child(3) {
  margin-top: 0.8rem;
}
.work {
  padding: 1.1rem 1.4rem 4rem;
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
    grid-template-columns: 130px minmax(0, 1fr);
  }
  .sheet {
    grid-column: 1 / -1;
    border-left: 0;
    border-top: 1px solid var(--line);
  }
}
@media (max-width: 700px) {
  .top {
    padding: 0.8rem 0.9rem;
  }
  .state {
    margin-left: 0;
    width: 100%;
  }
  .columns {
    display: block;
  }
  .steps {
    position: sticky;
    top: 0;
    z-index: 5;
    border-right: 0;
    border-bottom: 1px solid var(--line);
    background: var(--paper);
    padding: 0.3rem 0.5rem;
  }
  .steps ol {
    position: relative;
    display: flex;
    overflow-x: auto;
  }
  .steps a {
    padding: 0.65rem 0.6rem;
    border-radius: var(--radius);
    white-space: nowrap;
  }
  .steps a.here {
    box-shadow: inset 0 -3px 0 var(--petrol);
  }
  .digit {
    display: none;
  }
  .other:nth-last-child(3) {
    margin: 0;
  }
  .work,
  .sheet {
    padding: 1rem 0.9rem 2rem;
  }
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import YearLine from '@/components/YearLine.vue'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { HistoryItem, RigData } from '@/api/rigs'
import { byDay, clock, heading } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'
import ComparePanel from './ComparePanel.vue'
import DuplicateForm from './DuplicateForm.vue'
import HistoryLine from './HistoryLine.vue'
import LikePanel from './LikePanel.vue'

export interface HistoryPanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<HistoryPanelProps>()
defineEmits<{ remove: [] }>()

const wantsRemoval = ref(false)
const wantsLike = ref(false)
const days = computed(() => byDay(props.rig.history, (item) => item.entry.at))
const note = useSessionStorage(`linguator.note/${props.rig.slug}`, '')
const then = ref<number | null>(null)

/** Entries one after the other that belong together, as one; the others by themselves. */
function runsOf(items: HistoryItem[]): { says: string | null; items: HistoryItem[] }[] {
  const runs: { newest: number | null; says: string | null; items: HistoryItem[] }[] = []
  for (const item of items) {
    const last = runs[runs.length - 1]
    if (last && last.newest === (item.run?.newest ?? null)) last.items.push(item)
    else runs.push({ newest: item.run?.newest ?? null, says: item.run?.says ?? null, items: [item] })
  }
  return runs
}

/** What stands in the field, told once: what is typed meanwhile stays. */
async function told(tell: (text: string) => Promise<boolean>): Promise<void> {
  const text = note.value
  if ((await tell(text.trim())) && note.value === text) note.value = ''
}

async function write(): Promise<void> {
  if (note.value.trim() !== '') await told((text) => props.handle.intend('write-note', { text }))
}

const fly = () => told((text) => props.handle.intend('tell-flight', text === '' ? {} : { text }))
</script>

<template>
  <div>
    <div class="head">
      <h2>History</h2>
      <ActButton :disabled="rig.undo === null" @click="handle.undo()">Take the last change back</ActButton>
    </div>
    <p class="muted">Everything that was changed, read and tested. Taking something back adds a line; nothing is ever removed.</p>
    <form class="note" @submit.prevent="write">
      <input v-model="note" class="field" aria-label="A note" placeholder="a note: what was seen, done or thought of" maxlength="2000" />
      <ActButton html-type="submit" :disabled="note.trim() === ''">Write it down</ActButton>
      <ActButton @click="fly">It flew or ran</ActButton>
    </form>
    <YearLine v-if="rig.history.length > 0" :entries="rig.history.map((item) => item.entry)" />
    <ComparePanel v-if="then !== null" :rig="rig" :handle="handle" :then="then" @close="then = null" />
    <p v-if="days.length === 0" class="muted">Nothing yet.</p>
    <section v-for="[day, items] in days" :key="day">
      <h3>{{ heading(day) }}</h3>
      <ul class="plain-list">
        <template v-for="run in runsOf(items)" :key="run.items[0]?.position">
          <li v-if="run.says !== null" class="run">
            <details>
              <summary>
                <span class="value muted time">{{ clock(run.items[0]?.entry.at ?? '') }}</span> <span class="kind muted small">changes</span>
                {{ run.says }}
              </summary>
              <ul class="plain-list">
                <HistoryLine v-for="item in run.items" :key="item.position" :rig="rig" :item="item" :handle="handle" @then="then = $event" />
              </ul>
            </details>
          </li>
          <template v-else>
            <HistoryLine v-for="item in run.items" :key="item.position" :rig="rig" :item="item" :handle="handle" @then="then = $event" />
          </template>
        </template>
      </ul>
    </section>
    <p v-if="rig.history_total > rig.history.length" class="muted">
      {{ rig.history_total - rig.history.length }} older entries stand in <RouterLink :to="`/logbook?rig=${rig.slug}`">the logbook</RouterLink>.
    </p>
    <section class="files">
      <h3>Export</h3>
      <p>
        The whole rig with its history: <a :href="`/api/v1/rigs/${rig.slug}.json`" download>JSON</a> or
        <a :href="`/api/v1/rigs/${rig.slug}.yaml`" download>YAML</a>. Importing it brings back exactly this.
      </p>
      <DuplicateForm :rig="rig" />
      <p v-if="!wantsLike">
        <ActButton kind="link" @click="wantsLike = true">Like another rig, but …: take parts of it over</ActButton>
      </p>
      <LikePanel v-else :rig="rig" :handle="handle" />
      <p v-if="!wantsRemoval"><ActButton kind="link" @click="wantsRemoval = true">Take this rig off the bench</ActButton></p>
      <p v-else class="band">
        Its history goes with it. Export it first if you may want it again.
        <ActButton kind="danger" @click="$emit('remove')">Take it off the bench</ActButton>
        <ActButton @click="wantsRemoval = false">Keep it</ActButton>
      </p>
    </section>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 1rem;
}
h3 {
  margin-top: 1.1rem;
  border-bottom: 1px solid var(--line);
}
.note {
  display: flex;
  gap: 0.6rem;
  margin-top: 0.6rem;
  flex-wrap: wrap;
}
.note .field {
  flex: 1 1 16rem;
}
summary {
  padding: 0.25rem 0;
  cursor: pointer;
}
.time {
  display: inline-block;
  min-width: 5rem;
}
.kind {
  display: inline-block;
  min-width: 6rem;
}
.run ul {
  border-left: 3px solid var(--line);
  padding-left: 0.8rem;
}
.files p {
  margin-top: 0.4rem;
}
@media (max-width: 700px) {
  .kind {
    display: none;
  }
}
</style>

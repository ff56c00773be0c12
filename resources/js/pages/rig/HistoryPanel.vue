<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import { type RigData, rigQuery } from '@/api/rigs'
import AttachedFiles from '@/components/AttachedFiles.vue'
import { byDay, clock, heading } from '@/lib/dates'
import { useNotice } from '@/composables/useNotice'
import type { RigHandle } from '@/composables/useRig'
import ComparePanel from './ComparePanel.vue'
import DuplicateForm from './DuplicateForm.vue'
import LikePanel from './LikePanel.vue'

export interface HistoryPanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<HistoryPanelProps>()
defineEmits<{ remove: [] }>()

const client = useQueryClient()
const notice = useNotice()
const wantsRemoval = ref(false)
const wantsLike = ref(false)
const days = computed(() => byDay(props.rig.history, (item) => item.entry.at))
const note = useSessionStorage(`linguator.note/${props.rig.slug}`, '')
const then = ref<number | null>(null)

const filesOf = (position: number) => props.rig.attachments.filter((file) => file.position === position)

async function attach(position: number, event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  field.value = ''
  if (!file) return
  const form = new FormData()
  form.append('file', file)
  try {
    await postJson(`/rigs/${props.rig.slug}/entries/${position}/attachments`, form)
    await client.invalidateQueries({ queryKey: rigQuery(props.rig.slug).queryKey })
    notice.say(`${file.name} is kept with this entry.`)
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}

async function write(): Promise<void> {
  const text = note.value
  if (text.trim() !== '' && (await props.handle.intend('write-note', { text: text.trim() })) && note.value === text) note.value = ''
}
</script>

<template>
  <div>
    <div class="head">
      <h2>History</h2>
      <a-button :disabled="rig.undo === null" @click="handle.undo()">Take the last change back</a-button>
    </div>
    <p class="muted">Everything that was changed, read and tested. Taking something back adds a line; nothing is ever removed.</p>
    <form class="note" @submit.prevent="write">
      <input v-model="note" class="field" aria-label="A note" placeholder="a note: what was seen, done or thought of" maxlength="2000" />
      <a-button html-type="submit" :disabled="note.trim() === ''">Write it down</a-button>
    </form>
    <ComparePanel v-if="then !== null" :rig="rig" :handle="handle" :then="then" @close="then = null" />
    <p v-if="days.length === 0" class="muted">Nothing yet.</p>
    <section v-for="[day, items] in days" :key="day">
      <h3>{{ heading(day) }}</h3>
      <ul class="plain-list">
        <li v-for="item in items" :key="item.position">
          <span class="value muted time">{{ clock(item.entry.at) }}</span>
          <span class="kind muted small">{{ item.entry.kind === 'undo' ? 'back' : item.entry.kind }}</span>
          <span class="text">{{ item.entry.text }} <AttachedFiles :files="filesOf(item.position)" /></span>
          <span class="acts">
            <button
              v-if="item.standing"
              type="button"
              class="link-button small"
              :aria-label="`Take back: ${item.entry.text}`"
              @click="handle.undo(item.position)"
            >
              Take back
            </button>
            <RouterLink class="small" :to="`/rigs/${rig.slug}/at/${item.position}`" :aria-label="`As it was after: ${item.entry.text}`"
              >as it was</RouterLink
            >
            <button type="button" class="link-button small" :aria-label="`What changed since: ${item.entry.text}`" @click="then = item.position">
              since then
            </button>
            <label class="attach small"
              >attach<input
                type="file"
                class="sr-only"
                accept="image/png,image/jpeg,image/webp,text/plain,.txt"
                :aria-label="`Attach a file to: ${item.entry.text}`"
                @change="attach(item.position, $event)"
            /></label>
          </span>
        </li>
      </ul>
    </section>
    <p v-if="rig.history_total > rig.history.length" class="muted">
      {{ rig.history_total - rig.history.length }} older entries stand in <RouterLink :to="`/logbook?rig=${rig.slug}`">the logbook</RouterLink>.
    </p>
    <section class="files">
      <h3>Keep it elsewhere</h3>
      <p>
        The whole rig with its history: <a :href="`/api/v1/rigs/${rig.slug}.json`" download>JSON</a> or
        <a :href="`/api/v1/rigs/${rig.slug}.yaml`" download>YAML</a>. Importing it brings back exactly this.
      </p>
      <DuplicateForm :rig="rig" />
      <p v-if="!wantsLike">
        <button type="button" class="link-button" @click="wantsLike = true">Like another rig, but …: take parts of it over</button>
      </p>
      <LikePanel v-else :rig="rig" :handle="handle" />
      <p v-if="!wantsRemoval"><button type="button" class="link-button" @click="wantsRemoval = true">Take this rig off the bench</button></p>
      <p v-else class="band">
        Its history goes with it. Export it first if you may want it again.
        <a-button danger @click="$emit('remove')">Take it off the bench</a-button> <a-button @click="wantsRemoval = false">Keep it</a-button>
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
li {
  display: grid;
  grid-template-columns: 3.2rem 6.4rem 1fr auto;
  position: relative;
  gap: 0.5rem;
  padding: 0.25rem 0;
  align-items: baseline;
}
.note {
  display: flex;
  gap: 0.6rem;
  margin-top: 0.6rem;
}
.note .field {
  flex: 1;
}
.acts {
  display: flex;
  gap: 0.9rem;
  align-items: baseline;
}
.attach {
  position: relative;
  color: var(--petrol);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.attach:focus-within {
  outline: 2px solid var(--focus);
  outline-offset: 2px;
}
.files p {
  margin-top: 0.4rem;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 3.2rem 1fr;
  }
  .kind {
    display: none;
  }
  .acts {
    grid-column: 2;
    flex-wrap: wrap;
    gap: 0.2rem 1.1rem;
  }
  .acts > * {
    min-height: 36px;
  }
}
</style>

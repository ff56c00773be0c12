<script setup lang="ts">
import PickField from '@/components/form/PickField.vue'
import { useQueryClient } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import { type RigSummary, rigsQuery } from '@/api/rigs'
import { useNotice } from '@/composables/useNotice'
import RigRow from './RigRow.vue'

/** The rigs of the bench: those that need somebody first; with many, filtered and sorted; those archived apart. */
export interface RigListProps {
  rigs: RigSummary[]
}
const props = defineProps<RigListProps>()

/** From so many rigs on they are filtered and sorted. */
const MANY = 6
const client = useQueryClient()
const notice = useNotice()
const words = ref('')
const sort = useLocalStorage<'need' | 'name' | 'changed'>('linguator.bench-sort', 'need')
const SORTS = [
  { value: 'need', label: 'what needs you' },
  { value: 'name', label: 'name' },
  { value: 'changed', label: 'last changed' },
] as const

const matches = (rig: RigSummary, word: string) =>
  [rig.name, rig.craft.note ?? '', rig.craft.kind, rig.next.label, rig.next.sentence, rig.is_demo ? 'demo' : '', ...rig.boxes.map((box) => box.name)]
    .join(' ')
    .toLowerCase()
    .includes(word)
const found = computed(() => {
  const asked = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  const some = props.rigs.filter((rig) => asked.every((word) => matches(rig, word)))
  // As the bench has them they stand by what needs somebody.
  if (sort.value === 'name') return some.toSorted((a, b) => a.name.localeCompare(b.name, undefined, { numeric: true }))
  return sort.value === 'changed' ? some.toSorted((a, b) => b.changed_at.localeCompare(a.changed_at)) : some
})
const standing = computed(() => found.value.filter((rig) => !rig.is_archived))
const archived = computed(() => found.value.filter((rig) => rig.is_archived))

async function archive(rig: RigSummary, isArchived: boolean): Promise<void> {
  try {
    await postJson(`/rigs/${rig.slug}/archive`, { is_archived: isArchived })
    await client.invalidateQueries({ queryKey: rigsQuery.queryKey })
    notice.say(isArchived ? `${rig.name} is archived; it keeps everything.` : `${rig.name} stands on the bench again.`, {
      label: 'Take it back',
      run: () => void archive(rig, !isArchived),
    })
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}
</script>

<template>
  <div v-if="rigs.length >= MANY" class="tools">
    <input
      v-model="words"
      type="search"
      class="field"
      aria-label="Only rigs with these words"
      placeholder="only rigs with these words"
      maxlength="100"
    />
    <label>sorted by <PickField v-model="sort" :options="SORTS" /></label>
    <span class="muted small" role="status">{{ words.trim() === '' ? `${rigs.length} rigs` : `${found.length} of ${rigs.length} rigs` }}</span>
  </div>
  <ul class="rigs plain-list" aria-label="Rigs">
    <RigRow v-for="rig in standing" :key="rig.slug" :rig="rig" @archive="archive(rig, true)" />
    <li v-if="standing.length === 0" class="none muted">
      {{ words.trim() === '' ? 'All rigs are archived.' : 'No rig has these words.' }}
    </li>
  </ul>
  <details v-if="archived.length > 0">
    <summary>Archived: {{ archived.length }}</summary>
    <ul class="rigs plain-list" aria-label="Archived rigs">
      <RigRow v-for="rig in archived" :key="rig.slug" :rig="rig" @archive="archive(rig, false)" />
    </ul>
  </details>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 1rem;
  align-items: center;
  margin-bottom: 0.7rem;
}
.tools input {
  flex: 1 1 14rem;
  max-width: 26rem;
}
.tools label {
  display: flex;
  gap: 0.5rem;
  align-items: center;
}
.rigs {
  border-top: 1px solid var(--line);
}
.none {
  padding: 0.9rem 0.6rem;
}
details {
  margin-top: 0.9rem;
}
summary {
  font-weight: 600;
  cursor: pointer;
  min-height: 32px;
}
</style>

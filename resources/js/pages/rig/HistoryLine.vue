<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import FileField from '@/components/form/FileField.vue'
import { useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import { type HistoryItem, type RigData, rigQuery } from '@/api/rigs'
import AttachedFiles from '@/components/AttachedFiles.vue'
import { useNotice } from '@/composables/useNotice'
import type { RigHandle } from '@/composables/useRig'
import { clock } from '@/lib/dates'

export interface HistoryLineProps {
  rig: RigData
  item: HistoryItem
  handle: RigHandle
}
const props = defineProps<HistoryLineProps>()
/** Asks what has changed since this entry. */
defineEmits<{ then: [position: number] }>()

const client = useQueryClient()
const notice = useNotice()
const files = computed(() => props.rig.attachments.filter((file) => file.position === props.item.position))

async function attach(file: File): Promise<void> {
  const form = new FormData()
  form.append('file', file)
  try {
    await postJson(`/rigs/${props.rig.slug}/entries/${props.item.position}/attachments`, form)
    await client.invalidateQueries({ queryKey: rigQuery(props.rig.slug).queryKey })
    notice.say(`${file.name} is kept with this entry.`)
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}
</script>

<template>
  <li>
    <span class="value muted time">{{ clock(item.entry.at) }}</span>
    <span class="kind muted small">{{ item.entry.kind === 'undo' ? 'back' : item.entry.kind }}</span>
    <span class="text">{{ item.entry.text }} <AttachedFiles :files="files" /></span>
    <span class="acts">
      <ActButton kind="link" v-if="item.standing" class="small" :aria-label="`Take back: ${item.entry.text}`" @click="handle.undo(item.position)">
        Take back
      </ActButton>
      <RouterLink class="small" :to="`/rigs/${rig.slug}/at/${item.position}`" :aria-label="`As it was after: ${item.entry.text}`"
        >as it was</RouterLink
      >
      <ActButton kind="link" class="small" :aria-label="`What changed since: ${item.entry.text}`" @click="$emit('then', item.position)">
        since then
      </ActButton>
      <FileField
        class="small"
        is-quiet
        says="attach"
        :name="`a file to: ${item.entry.text}`"
        accept="image/png,image/jpeg,image/webp,text/plain,.txt"
        @take="attach"
      />
    </span>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 5rem 6.4rem minmax(0, 1fr) auto;
  position: relative;
  gap: 0.5rem;
  padding: 0.25rem 0;
  align-items: baseline;
}
.acts {
  display: flex;
  gap: 0.9rem;
  align-items: baseline;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 5rem minmax(0, 1fr);
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

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, onMounted } from 'vue'
import { sentenceOf } from '@/api/http'
import { useNotice } from '@/composables/useNotice'
import { useOutbox } from '@/composables/useOutbox'
import { useReach } from '@/composables/useReach'

/** Whether the bench answers, and what waits for it. */
const { isAway, look } = useReach()
const { waiting, conflicts, drop, sendAll, sendAllTheSame } = useOutbox()
const notice = useNotice()
const nameOf = (slug: string) => waiting.value.find((one) => one.slug === slug)?.name ?? slug
const count = computed(() => (waiting.value.length === 1 ? 'One change waits' : `${waiting.value.length} changes wait`))

onMounted(() => {
  if (navigator.serviceWorker?.controller) void look()
  void sendAll()
})

async function send(slug: string): Promise<void> {
  try {
    await sendAllTheSame(slug)
  } catch (error) {
    notice.warn(sentenceOf(error))
  }
}
</script>

<template>
  <div aria-live="polite" class="away">
    <p v-if="isAway" class="band">
      The bench does not answer: start it again with <span class="value">bin/start</span>. What stands here was seen last.
      <template v-if="waiting.length > 0">{{ count }} and {{ waiting.length === 1 ? 'is' : 'are' }} sent when it answers.</template>
    </p>
    <p v-for="slug in conflicts" :key="slug" class="band">
      {{ nameOf(slug) }} was changed elsewhere while {{ count.toLowerCase() }} for it. Nothing was overwritten.
      <ActButton @click="send(slug)">Make my changes too</ActButton>
      <ActButton @click="drop(slug)">Drop mine</ActButton>
    </p>
  </div>
</template>

<style scoped>
.away :deep(.ant-btn) {
  margin-left: 0.6rem;
}
@media print {
  .away {
    display: none;
  }
}
</style>

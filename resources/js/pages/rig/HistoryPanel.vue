<script setup lang="ts">
import { computed, ref } from 'vue'
import type { HistoryItem, RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'

export interface HistoryPanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<HistoryPanelProps>()
defineEmits<{ remove: [] }>()

const wantsRemoval = ref(false)
const days = computed(() => {
  const grouped = new Map<string, HistoryItem[]>()
  for (const item of props.rig.history) {
    const day = item.entry.at.slice(0, 10)
    grouped.set(day, [...(grouped.get(day) ?? []), item])
  }
  return [...grouped]
})

function heading(day: string): string {
  const date = new Date(`${day}T12:00:00Z`)
  return Number.isNaN(date.getTime())
    ? day
    : date.toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' })
}
</script>

<template>
  <div>
    <div class="head">
      <h2>History</h2>
      <a-button :disabled="rig.undo === null" @click="handle.undo()">Take the last change back</a-button>
    </div>
    <p class="muted">Everything that was changed, read and tested. Taking something back adds a line; nothing is ever removed.</p>
    <p v-if="days.length === 0" class="muted">Nothing yet.</p>
    <section v-for="[day, items] in days" :key="day">
      <h3>{{ heading(day) }}</h3>
      <ul class="plain-list">
        <li v-for="item in items" :key="item.position">
          <span class="value muted time">{{ item.entry.at.slice(11, 16) }}</span>
          <span class="kind muted small">{{ item.entry.kind === 'undo' ? 'back' : item.entry.kind }}</span>
          <span class="text">{{ item.entry.text }}</span>
          <button
            v-if="item.standing"
            type="button"
            class="link-button small"
            :aria-label="`Take back: ${item.entry.text}`"
            @click="handle.undo(item.position)"
          >
            Take back
          </button>
        </li>
      </ul>
    </section>
    <section class="files">
      <h3>Keep it elsewhere</h3>
      <p>
        The whole rig with its history: <a :href="`/api/v1/rigs/${rig.slug}.json`" download>JSON</a> or
        <a :href="`/api/v1/rigs/${rig.slug}.yaml`" download>YAML</a>. Importing it brings back exactly this.
      </p>
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
  gap: 0.5rem;
  padding: 0.25rem 0;
  align-items: baseline;
}
.files p {
  margin-top: 0.4rem;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 3.2rem 1fr auto;
  }
  .kind {
    display: none;
  }
}
</style>

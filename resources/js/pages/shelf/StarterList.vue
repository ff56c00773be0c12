<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { Starter } from '@/api/rigs'
import { KINDS, startersQuery } from '@/api/shelf'

/** Generic cards to begin from, by what somebody holds in the hand. */
defineEmits<{ begin: [starter: Starter] }>()

const all = useQuery(startersQuery)
const groups = computed(() =>
  KINDS.map((kind) => ({ ...kind, starters: (all.data.value?.starters ?? []).filter((one) => one.card.kind === kind.kind) })).filter(
    (group) => group.starters.length > 0,
  ),
)
</script>

<template>
  <section v-if="groups.length > 0" class="starters" aria-labelledby="starters-title">
    <h3 id="starters-title">Begin from what it looks most like</h3>
    <div v-for="group in groups" :key="group.kind" class="group">
      <span class="muted small">{{ group.many }}</span>
      <ul class="plain-list">
        <li v-for="starter in group.starters" :key="starter.title">
          <button type="button" class="starter" @click="$emit('begin', starter)">
            <b>{{ starter.title }}</b> <span class="muted small">{{ starter.hint }}</span>
          </button>
        </li>
      </ul>
    </div>
    <p class="muted small">Or answer the questions below from nothing.</p>
  </section>
</template>

<style scoped>
.starters {
  margin: 0.8rem 0 1.2rem;
}
.group {
  display: grid;
  grid-template-columns: 7rem 1fr;
  gap: 0.6rem;
  align-items: start;
  margin-top: 0.5rem;
}
.group > .muted {
  padding-top: 0.7rem;
}
.group ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 0.5rem;
}
.starter {
  width: 100%;
  min-height: 44px;
  text-align: left;
  padding: 0.5rem 0.7rem;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.starter:hover,
.starter:focus-visible {
  border-color: var(--petrol-2);
}
.starter span {
  display: block;
}
@media (max-width: 700px) {
  .group {
    grid-template-columns: 1fr;
    gap: 0.2rem;
  }
}
</style>

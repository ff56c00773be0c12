<script setup lang="ts">
import StarterButton from '@/components/StarterButton.vue'
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
          <StarterButton :starter="starter" @begin="$emit('begin', starter)" />
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
  grid-template-columns: 7rem minmax(0, 1fr);
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
@media (max-width: 700px) {
  .group {
    grid-template-columns: minmax(0, 1fr);
    gap: 0.2rem;
  }
}
</style>

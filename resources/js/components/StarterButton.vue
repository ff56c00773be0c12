<script setup lang="ts">
import type { Starter } from '@/api/rigs'

/** A generic card to begin from, by what somebody holds in the hand. */
export interface StarterButtonProps {
  starter: Starter
}
defineProps<StarterButtonProps>()
defineEmits<{ begin: [] }>()
</script>

<template>
  <button type="button" class="starter" @click="$emit('begin')">
    <b>{{ starter.title }}</b> <span class="muted small">{{ starter.hint }}</span>
  </button>
</template>

<style scoped>
.starter {
  width: 100%;
  height: 100%;
  min-height: 44px;
  text-align: left;
  padding: 0.5rem 0.7rem;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  cursor: pointer;
}
.starter:hover,
.starter:focus-visible {
  border-color: var(--petrol-2);
}
.starter span {
  display: block;
}
</style>

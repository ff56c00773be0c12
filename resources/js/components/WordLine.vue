<script setup lang="ts">
import WordHint from './WordHint.vue'

/** Words that are met on this part of a screen, each explained on the spot. */
export interface WordLineProps {
  words: readonly string[]
}
defineProps<WordLineProps>()
</script>

<template>
  <p class="words muted small">
    <template v-for="(word, k) in words" :key="word">{{ k > 0 ? ' · ' : '' }}<WordHint :word="word" /></template>
  </p>
</template>

<style scoped>
.words {
  margin: 0.15rem 0 0.3rem;
}
@media print {
  .words {
    display: none;
  }
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { wordsQuery } from '@/api/words'
import TipHint from './TipHint.vue'

/** A word explained where it stands, from the one list of words. */
export interface WordHintProps {
  word: string
}
const props = defineProps<WordHintProps>()

const isWanted = ref(false)
const words = useQuery({ ...wordsQuery, enabled: isWanted })
const says = computed(() => words.data.value?.words.find((one) => one.word === props.word)?.says ?? '')
</script>

<template>
  <TipHint v-slot="{ describedBy }" :says="says" @open="isWanted = true">
    <button type="button" class="reach" :aria-describedby="describedBy" @click.prevent>
      <slot>{{ word }}</slot>
    </button>
  </TipHint>
</template>

<style scoped>
button {
  background: none;
  border: 0;
  padding: 0;
  color: inherit;
  font: inherit;
  cursor: help;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
  text-decoration-thickness: 1px;
}
</style>

<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { onClickOutside } from '@vueuse/core'
import { computed, ref, useId } from 'vue'
import { wordsQuery } from '@/api/words'

/** A word explained where it stands: by pointer, focus or tap; from the one list of words. */
export interface WordHintProps {
  word: string
}
const props = defineProps<WordHintProps>()

const id = useId()
const root = ref<HTMLElement | null>(null)
const isOpen = ref(false)
const isWanted = ref(false)
const words = useQuery({ ...wordsQuery, enabled: isWanted })
const says = computed(() => words.data.value?.words.find((one) => one.word === props.word)?.says ?? '')

function open(): void {
  isWanted.value = isOpen.value = true
}
onClickOutside(root, () => (isOpen.value = false))
</script>

<template>
  <span ref="root" class="hint" @mouseenter="open" @mouseleave="isOpen = false">
    <button
      type="button"
      class="reach"
      :aria-describedby="isOpen && says ? id : undefined"
      @focus="open"
      @blur="isOpen = false"
      @click.stop.prevent="open"
      @keydown.esc.stop="isOpen = false"
    >
      <slot>{{ word }}</slot>
    </button>
    <span v-if="isOpen && says" :id="id" role="tooltip" class="says">{{ says }}</span>
  </span>
</template>

<style scoped>
.hint {
  position: relative;
  display: inline-block;
}
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
.says {
  position: absolute;
  z-index: 14;
  top: calc(100% + 4px);
  left: 0;
  width: max-content;
  max-width: min(22rem, 76vw);
  padding: 0.5rem 0.7rem;
  background: var(--card);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: var(--radius);
  box-shadow: 0 4px 16px rgb(0 0 0 / 18%);
  font: 400 0.9rem/1.4 var(--sans);
  white-space: normal;
  text-align: left;
}
</style>

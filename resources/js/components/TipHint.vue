<script setup lang="ts">
import { onClickOutside } from '@vueuse/core'
import { nextTick, ref, useId, watch } from 'vue'

/** What explains something where it stands: by pointer, focus or tap, gone with Escape. What is explained takes `describedBy`. */
export interface TipHintProps {
  says: string
}
const props = defineProps<TipHintProps>()
const emit = defineEmits<{ open: [] }>()

const id = useId()
const root = ref<HTMLElement | null>(null)
const isOpen = ref(false)

function open(): void {
  isOpen.value = true
  emit('open')
}
/** What stands around it stays open. */
function close(event: KeyboardEvent): void {
  if (isOpen.value) event.stopPropagation()
  isOpen.value = false
}
onClickOutside(root, () => (isOpen.value = false))

/** So far from the edge of the window. */
const EDGE = 8
const said = ref<HTMLElement | null>(null)
/** How far it is moved to the left, px: the page never becomes wider by it. */
const aside = ref(0)
watch([isOpen, () => props.says], async () => {
  aside.value = 0
  await nextTick()
  const right = said.value?.getBoundingClientRect().right ?? 0
  aside.value = Math.max(0, right + EDGE - document.documentElement.clientWidth)
})
</script>

<template>
  <span
    ref="root"
    class="hint"
    @mouseenter="open"
    @mouseleave="isOpen = false"
    @focusin="open"
    @focusout="isOpen = false"
    @click="open"
    @keydown.esc="close"
  >
    <slot :described-by="isOpen && says ? id : undefined" />
    <span v-if="isOpen && says" :id="id" ref="said" role="tooltip" class="says" :style="{ left: `${-aside}px` }">{{ says }}</span>
  </span>
</template>

<style scoped>
.hint {
  position: relative;
  display: inline-block;
}
.says {
  position: absolute;
  z-index: 14;
  top: calc(100% + 4px);
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

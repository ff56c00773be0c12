<script setup lang="ts">
import { useNotice } from '@/composables/useNotice'

const { state, clear } = useNotice()

function act(): void {
  state.current?.action?.run()
  clear()
}
</script>

<template>
  <div class="notice" aria-live="polite" role="status">
    <div v-if="state.current" class="line" :class="state.current.tone">
      <span>{{ state.current.text }}</span>
      <button v-if="state.current.action" type="button" class="act" @click="act">{{ state.current.action.label }}</button>
      <button type="button" class="act" @click="clear">Close</button>
    </div>
  </div>
</template>

<style scoped>
.notice {
  position: fixed;
  left: 0;
  right: 0;
  bottom: 0;
  z-index: 15;
  display: flex;
  justify-content: center;
  pointer-events: none;
}
.line {
  pointer-events: auto;
  display: flex;
  gap: 1rem;
  align-items: center;
  max-width: 900px;
  margin: 0 1rem 1rem;
  padding: 0.6rem 1rem;
  border-radius: var(--radius);
  background: var(--head);
  color: var(--head-ink);
  box-shadow: 0 2px 14px rgb(0 0 0 / 25%);
}
.line.stop {
  background: var(--stop-fill);
  color: var(--stop);
  border-left: 5px solid var(--stop);
}
.act {
  background: none;
  border: 0;
  color: inherit;
  text-decoration: underline;
  text-underline-offset: 3px;
  font-weight: 600;
  cursor: pointer;
  white-space: nowrap;
  padding: 0.4rem 0;
}
@media print {
  .notice {
    display: none;
  }
}
</style>

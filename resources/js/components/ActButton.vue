<script setup lang="ts">
/**
 * What a hand can do here, one look for each kind. `primary`: what comes next, at most one in a part, and never an answer that nobody has proven;
 * `secondary`: anything else; `link`: within a line; `danger`: what takes something away.
 */
export interface ActButtonProps {
  kind?: 'primary' | 'secondary' | 'link' | 'danger'
}
withDefaults(defineProps<ActButtonProps>(), { kind: 'secondary' })
</script>

<template>
  <button v-if="kind === 'link'" type="button" class="link-act reach"><slot /></button>
  <a-button v-else :type="kind === 'primary' ? 'primary' : undefined" :danger="kind === 'danger'"><slot /></a-button>
</template>

<style scoped>
.link-act {
  background: none;
  border: 0;
  padding: 0.15rem 0;
  color: var(--petrol);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.link-act:disabled {
  color: var(--muted);
  text-decoration: none;
  cursor: default;
}
</style>

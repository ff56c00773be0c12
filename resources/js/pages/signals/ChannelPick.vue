<script setup lang="ts">
export interface ChannelPickProps {
  channel: number
  isChosen: boolean
}
defineProps<ChannelPickProps>()
defineEmits<{ choose: [channel: number] }>()
</script>

<template>
  <button type="button" class="pick value" :aria-pressed="isChosen" :aria-label="`Draw channel ${channel}`" @click="$emit('choose', channel)">
    {{ channel }}
  </button>
</template>

<style scoped>
.pick {
  min-width: 34px;
  min-height: 30px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
}
.pick[aria-pressed='true'] {
  background: var(--accent);
  color: var(--accent-ink);
  border-color: var(--accent);
}
@media (max-width: 700px) {
  .pick {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>

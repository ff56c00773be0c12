<script setup lang="ts">
import type { Runnable } from '@/api/rigs'

/** What a choice of a rig offers where samples may be taken too. */
export interface RunnableOptionsProps {
  bench: Runnable[]
  others: Runnable[]
}
defineProps<RunnableOptionsProps>()
</script>

<template>
  <option v-for="one in bench" :key="one.slug" :value="one.slug">{{ one.name }}</option>
  <optgroup v-if="others.length > 0" label="Samples, not on your bench">
    <option v-for="one in others" :key="one.slug" :value="one.slug">{{ one.name }}</option>
  </optgroup>
</template>

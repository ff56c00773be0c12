<script setup lang="ts">
import type { NextAction } from '@/api/rigs'
import { WholeText } from './WholeText'

/** The verdict on a rig, in a word and a sentence: the same on the bench, in the head of a rig, at check-out and on the sheet. */
export interface VerdictLineProps {
  next: NextAction
}
defineProps<VerdictLineProps>()
</script>

<template>
  <span class="verdict-line" :class="next.severity"
    ><b>{{ next.label }}.</b> <WholeText :text="next.sentence"
  /></span>
</template>

<style scoped>
.done b {
  color: var(--petrol);
}
.attention b {
  color: var(--amber-text);
}
.stop b {
  color: var(--stop);
}
</style>

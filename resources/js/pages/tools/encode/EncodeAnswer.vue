<script setup lang="ts">
import type { EncodeAnswer } from '@/api/generated/encode.out'
import { figure } from '@/lib/numberText'

export interface EncodeProps {
  answer: EncodeAnswer
}
defineProps<EncodeProps>()

const pairs = (hex: string) => hex.match(/../g) ?? []
</script>

<template>
  <div>
    <p class="big">
      {{ answer.hex.length > 1 ? `${answer.hex.length} frames in turn, each ` : '' }}{{ pairs(answer.hex[0] ?? '').length }} bytes in
      <b class="value">{{ figure(answer.duration_ms, 2) }} ms</b>
    </p>
    <p v-for="(hex, k) in answer.hex" :key="k" class="bytes value" :aria-label="`Frame ${k + 1}, hex`">{{ pairs(hex).join(' ') }}</p>
    <p class="muted small">Hex, first byte first. Channels not told are sent at centre; a flag the format does not have is left out.</p>
  </div>
</template>

<style scoped>
.bytes {
  overflow-wrap: anywhere;
  line-height: 1.7;
}
</style>

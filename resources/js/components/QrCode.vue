<script setup lang="ts">
import { create } from 'qrcode'
import { computed } from 'vue'

export interface QrCodeProps {
  text: string
  /** What it opens, for those who do not see it. */
  label: string
}
const props = defineProps<QrCodeProps>()

/** A reader needs this many modules of paper around it. */
const QUIET = 4
const code = computed(() => create(props.text, { errorCorrectionLevel: 'M' }).modules)
const side = computed(() => code.value.size + 2 * QUIET)
const dark = computed(() => {
  const { size, data } = code.value
  return Array.from(data, (bit, k) => (bit ? `M${(k % size) + QUIET} ${Math.floor(k / size) + QUIET}h1v1h-1z` : '')).join('')
})
</script>

<template>
  <svg class="code" :viewBox="`0 0 ${side} ${side}`" role="img" :aria-label="label" shape-rendering="crispEdges">
    <rect :width="side" :height="side" fill="#fff" />
    <path :d="dark" fill="#000" />
  </svg>
</template>

<style scoped>
.code {
  display: block;
  print-color-adjust: exact;
}
</style>

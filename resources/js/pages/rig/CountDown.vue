<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'

export interface CountDownProps {
  seconds: number
  label: string
}
const props = defineProps<CountDownProps>()

const endsAt = ref<number | null>(null)
const now = ref(0)
let timer = 0
const left = computed(() => (endsAt.value === null ? null : Math.max(0, (endsAt.value - now.value) / 1000)))

function start(): void {
  window.clearInterval(timer)
  now.value = performance.now()
  endsAt.value = now.value + props.seconds * 1000
  timer = window.setInterval(() => {
    now.value = performance.now()
    if (left.value === 0) window.clearInterval(timer)
  }, 100)
}
onBeforeUnmount(() => window.clearInterval(timer))
</script>

<template>
  <span class="count">
    <a-button size="small" @click="start">{{ left === null ? `Count ${seconds} s down` : 'Again' }}</a-button>
    <b v-if="left !== null" class="value" role="timer" :aria-label="label" :class="{ over: left === 0 }">{{
      left === 0 ? 'too late' : `${left.toFixed(1)} s`
    }}</b>
  </span>
</template>

<style scoped>
.count {
  display: inline-flex;
  gap: 0.6rem;
  align-items: center;
  margin-left: 0.5rem;
}
b {
  font-size: 1.5rem;
  color: var(--petrol);
}
.over {
  color: var(--amber-text);
}
</style>

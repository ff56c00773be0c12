<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { useIntervalFn } from '@vueuse/core'
import { computed, ref } from 'vue'

export interface CountDownProps {
  seconds: number
  label: string
}
const props = defineProps<CountDownProps>()

const MS_PER_S = 1000
const TICK_MS = 100
const endsAt = ref<number | null>(null)
const now = ref(0)
const left = computed(() => (endsAt.value === null ? null : Math.max(0, (endsAt.value - now.value) / MS_PER_S)))
const ticking = useIntervalFn(
  () => {
    now.value = performance.now()
    if (left.value === 0) ticking.pause()
  },
  TICK_MS,
  { immediate: false },
)

function start(): void {
  now.value = performance.now()
  endsAt.value = now.value + props.seconds * MS_PER_S
  ticking.resume()
}
</script>

<template>
  <span class="count">
    <ActButton size="small" @click="start">{{ left === null ? `Count ${seconds} s down` : 'Again' }}</ActButton>
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
}
b {
  font-size: 1.5rem;
  color: var(--petrol);
}
.over {
  color: var(--amber-text);
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { DiagnoseAnswer } from '@/api/generated/diagnose.out'
import type { KnownFaults } from '@/api/rigs'

/** The causes that are still standing, each with its share and with what speaks for it. */
export interface SuspectListProps {
  suspects: DiagnoseAnswer['causes']
  cause: (id: string) => KnownFaults['causes'][number] | undefined
}
const props = defineProps<SuspectListProps>()

/** Fewer than one in a hundred stand no longer in the way. */
const STANDING = 0.01
const MOST = 8
const standing = computed(() => props.suspects.filter((one) => one.p >= STANDING))
const shown = computed(() => standing.value.slice(0, MOST))
const percent = (p: number) => `${p >= 0.1 ? Math.round(p * 100) : (p * 100).toFixed(1)} %`
</script>

<template>
  <section aria-label="Still possible">
    <h2>Still possible: {{ standing.length }}</h2>
    <ol class="plain-list">
      <li v-for="one in shown" :key="one.cause">
        <p>
          <b class="value">{{ percent(one.p) }}</b> {{ cause(one.cause)?.says ?? one.cause }}
        </p>
        <svg viewBox="0 0 100 4" preserveAspectRatio="none" class="bar" aria-hidden="true"><rect :width="one.p * 100" height="4" /></svg>
        <ul v-if="one.because.length > 0" class="small muted">
          <li v-for="reason in one.because" :key="reason">{{ reason }}</li>
        </ul>
      </li>
    </ol>
    <p v-if="standing.length > shown.length" class="muted small">and {{ standing.length - shown.length }} more, each less likely.</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 1.1rem;
}
ol > li {
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--line);
}
.value {
  display: inline-block;
  min-width: 3.4rem;
}
.bar {
  display: block;
  width: 100%;
  height: 4px;
  background: var(--line);
  margin: 0.25rem 0;
}
.bar rect {
  fill: var(--petrol-2);
  transition: width 0.2s;
}
ul {
  margin: 0.2rem 0 0;
  padding-left: 1.1rem;
}
</style>

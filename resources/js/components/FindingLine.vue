<script setup lang="ts">
import { computed } from 'vue'
import type { Finding } from '@/api/generated/finding'
import FaultLink from './FaultLink.vue'

export interface FindingLineProps {
  finding: Finding
}
const props = defineProps<FindingLineProps>()
/** What must be mended may come from somewhere else than where it was found. */
const isSearched = computed(() => props.finding.severity === 'stop' || props.finding.severity === 'fix')
const WORDS = { note: 'Note', check: 'Check', fix: 'Mend', stop: 'Stop' } as const
</script>

<template>
  <p class="finding" :class="finding.severity">
    <b>{{ WORDS[finding.severity] }}.</b> {{ finding.message }}
    <span v-if="finding.found && finding.expected" class="numbers value">{{ finding.found }}, expected {{ finding.expected }}.</span>
    <span v-if="finding.why" class="muted">{{ finding.why }}</span>
    <span v-if="finding.change">{{ ' ' + finding.change }}</span>
    <FaultLink v-if="isSearched" :finding="finding.code" />
    <span class="code value" :title="`Rule ${finding.code}`">{{ finding.code }}</span>
  </p>
</template>

<style scoped>
.finding {
  padding: 0.45rem 0.8rem;
  margin-top: 0.4rem;
  border-left: 3px solid var(--line);
  line-height: 1.4;
}
.numbers {
  margin: 0 0.3em;
}
.check {
  border-left-color: var(--petrol-2);
}
.fix {
  border-left-color: var(--amber-line);
  background: var(--amber-fill);
}
.fix .muted,
.fix .code {
  color: var(--ink);
}
.stop {
  border-left-color: var(--stop);
  background: var(--stop-fill);
}
.stop .muted {
  color: var(--ink);
}
.code {
  color: var(--muted);
  font-size: 0.78rem;
  margin-left: 0.5em;
}
</style>

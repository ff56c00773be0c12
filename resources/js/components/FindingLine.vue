<script setup lang="ts">
import { computed } from 'vue'
import type { Finding } from '@/api/generated/finding'
import FaultLink from './FaultLink.vue'
import { WholeText } from './WholeText'

export interface FindingLineProps {
  finding: Finding
}
const props = defineProps<FindingLineProps>()
/** What must be mended may come from somewhere else than where it was found. */
const isSearched = computed(() => props.finding.severity === 'stop' || props.finding.severity === 'fix')
const WORDS = { note: 'Note', check: 'Check', fix: 'Mend', stop: 'Stop' } as const
</script>

<template>
  <div class="finding" :class="finding.severity">
    <p>
      <b>{{ WORDS[finding.severity] }}.</b> <WholeText :text="finding.message" />
      <FaultLink v-if="isSearched" :finding="finding.code" />
    </p>
    <dl v-if="finding.found && finding.expected">
      <div>
        <dt class="whole">found</dt>
        <dd class="value"><WholeText :text="finding.found" /></dd>
      </div>
      <div>
        <dt class="whole">expected</dt>
        <dd class="value"><WholeText :text="finding.expected" /></dd>
      </div>
    </dl>
    <p v-if="finding.change"><WholeText :text="finding.change" /></p>
    <details>
      <summary class="small">{{ finding.why ? 'why' : 'rule' }}</summary>
      <p class="muted small">
        {{ finding.why }} <span class="code value">{{ finding.code }}</span>
      </p>
    </details>
  </div>
</template>

<style scoped>
.finding {
  padding: 0.45rem 0.8rem;
  margin-top: 0.4rem;
  border-left: 3px solid var(--line);
  line-height: 1.4;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 0 1.6rem;
}
dl div {
  display: flex;
  gap: 0.5rem;
  align-items: baseline;
}
dt {
  color: var(--muted);
  font-size: 0.85rem;
}
.fix dt,
.stop dt {
  color: var(--ink);
}
dd {
  font-weight: 600;
}
details {
  margin-top: 0.1rem;
}
summary {
  cursor: pointer;
  width: max-content;
  min-height: 0;
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

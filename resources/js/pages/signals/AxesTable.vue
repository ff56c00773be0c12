<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { ref } from 'vue'
import type { AxisRead } from '@/api/captures'
import { postJson, sentenceOf } from '@/api/http'
import type { Row } from '@/composables/live/source'
import { lengthOf, placed } from '@/lib/scale'

/** A handset that is read as a game controller: how far each axis goes, where it rests, and whether the handset is calibrated. */
/** So often the bench is asked. */
const ASK_MS = 250
/** One row in so many ms is enough, and so many of them: two minutes. */
const EACH_MS = 40
const MOST = 3000
const MARK = { unmoved: '·', moving: '…', short: '!', off_centre: '!', well: '✓' }

let rows: { t_ms: number; pct: number[] }[] = []
const axes = ref<AxisRead[]>([])
const problem = ref('')
let isAsking = false

/** A row as it comes; the first of another width begins anew. */
function add({ t_ms, axes_pct: pct }: Row): void {
  if (pct === undefined) return
  if (rows[0] && rows[0].pct.length !== pct.length) rows = []
  const last = rows[rows.length - 1]
  if (last && lengthOf({ from: last.t_ms, to: t_ms }) < EACH_MS) return
  rows = [...rows.slice(1 - MOST), { t_ms, pct }]
}
defineExpose({ add })

useIntervalFn(() => {
  if (isAsking || rows.length < 2) return
  isAsking = true
  postJson<{ axes: AxisRead[] }>('/live/axes', { log: rows })
    .then((answer) => {
      axes.value = answer.axes
      problem.value = ''
    })
    .catch((error: unknown) => (problem.value = sentenceOf(error)))
    .finally(() => (isAsking = false))
}, ASK_MS)

const x = placed({ from: -100, to: 100 }, { from: 4, to: 236 }, true)
</script>

<template>
  <p v-if="problem" class="band stop" role="alert">{{ problem }}</p>
  <ul class="plain-list axes">
    <li v-for="one in axes" :key="one.axis" :class="one.state">
      <span class="muted">axis {{ one.axis }}</span>
      <span
        ><b class="value big">{{ one.now_pct.toFixed(1) }}</b> <span class="muted small">%</span></span
      >
      <svg viewBox="0 0 240 26" role="img" :aria-label="`Axis ${one.axis} at ${one.now_pct} %, so far from ${one.lo_pct} to ${one.hi_pct} %`">
        <path :d="`M4 16H236M4 10V22M120 10V22M236 10V22`" class="line" />
        <path :d="`M${x(one.lo_pct)} 16H${x(one.hi_pct)}`" class="way" />
        <path :d="`M${x(one.now_pct)} 4V24`" class="now" />
      </svg>
      <span class="says"
        ><b aria-hidden="true">{{ MARK[one.state] }}</b> {{ one.says }}</span
      >
    </li>
  </ul>
</template>

<style scoped>
.axes {
  margin-top: 0.6rem;
}
.axes li {
  display: grid;
  grid-template-columns: 4rem 7rem minmax(160px, 300px) 1fr;
  gap: 0.3rem 1rem;
  align-items: center;
  border-bottom: 1px solid var(--line);
  padding: 0.3rem 0;
}
.big {
  font-size: 1.5rem;
}
svg {
  width: 100%;
}
path {
  stroke: var(--line-strong, var(--muted));
  stroke-width: 1.5;
}
.way {
  stroke: var(--petrol-2);
  stroke-width: 3;
}
.now {
  stroke: var(--ink);
  stroke-width: 2.5;
}
.short .says,
.off_centre .says {
  color: var(--amber-text);
}
@media (max-width: 700px) {
  .axes li {
    grid-template-columns: 4rem 1fr;
  }
  svg,
  .says {
    grid-column: 1 / -1;
  }
}
</style>

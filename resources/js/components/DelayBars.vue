<script setup lang="ts">
import type { LatencyMs } from '@/api/rigs'
import WordHint from './WordHint.vue'
import { figure } from '@/lib/numberText'

export interface DelayBarsProps {
  ms: LatencyMs
  stages: { name: string; mean_ms: number; share: number }[]
}
defineProps<DelayBarsProps>()
</script>

<template>
  <div>
    <p class="big">
      <b class="value">{{ figure(ms.mean) }} ms</b> mean
      <span class="muted"
        >best <span class="value">{{ figure(ms.best) }}</span>, <WordHint word="19 times in 20">19 in 20</WordHint> below
        <span class="value">{{ figure(ms.p95) }}</span>, worst <span class="value">{{ figure(ms.worst) }} ms</span></span
      >
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="Delay by stage">
      <table>
        <thead>
          <tr>
            <th scope="col">stage</th>
            <th scope="col">mean</th>
            <th scope="col">share</th>
            <th scope="col" class="bar-head"><span class="sr-only">share, drawn</span></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(stage, k) in stages" :key="k" :class="{ most: stage.share === Math.max(...stages.map((one) => one.share)) }">
            <td class="stage">{{ stage.name }}</td>
            <td class="value">{{ figure(stage.mean_ms) }} ms</td>
            <td class="value">{{ Math.round(stage.share * 100) }} %</td>
            <td class="bar-cell" aria-hidden="true"><span class="bar" :style="{ width: `${stage.share * 100}%` }"></span></td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.stage {
  min-width: 7rem;
}
.scroll {
  overflow-x: auto;
}
.big {
  font-size: 1.05rem;
  margin-bottom: 0.4rem;
}
.big b {
  font-size: 1.5rem;
}
.bar-cell {
  width: 30%;
}
.bar {
  display: block;
  height: 3px;
  margin-top: 0.7rem;
  background: var(--petrol-2);
}
.most .bar {
  background: var(--amber-line);
}
.most td:first-child {
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import WordHint from '@/components/WordHint.vue'
import FindingLine from '@/components/FindingLine.vue'
import SettingTicks from './SettingTicks.vue'

/** The chain that was taken: what to set in which box, and what it costs. */
export interface PathToldProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<PathToldProps>()

const findings = computed(() => props.rig.review.couplings.flatMap((coupling) => coupling.findings))
const share = (of: number) => Math.round(of * 100)
</script>

<template>
  <div>
    <p class="muted">What to set in which box, so that the chain joins. Tick a line when it is set in the box, and check that it stayed.</p>
    <template v-if="rig.review.changes.length > 0">
      <SettingTicks :changes="rig.review.changes" :handle="handle" />
    </template>
    <p v-else class="band calm gap">
      {{
        rig.review.couplings.some((coupling) => coupling.misses.length > 0) ? 'This chain does not join.' : 'Every box may stay as it is delivered.'
      }}
    </p>
    <template v-for="coupling in rig.review.couplings" :key="coupling.from">
      <p v-for="miss in coupling.misses" :key="miss.code" class="band stop gap">
        <b>{{ miss.message }}</b> {{ miss.change }}
      </p>
    </template>
    <FindingLine v-for="finding in findings" :key="finding.code + finding.message" :finding="finding" />
    <dl v-if="rig.review.latency_ms" class="facts">
      <div>
        <dt>Delay, stick to servo</dt>
        <dd>
          <b class="value">{{ rig.review.latency_ms.mean.toFixed(1) }} ms</b> mean,
          <span class="value">{{ rig.review.latency_ms.p95.toFixed(1) }} ms</span> <WordHint word="19 times in 20" />,
          <span class="value">{{ rig.review.latency_ms.worst.toFixed(1) }} ms</span> at worst
        </dd>
      </div>
      <div>
        <dt>Telemetry</dt>
        <dd>{{ { full: 'from the controller', link: 'of the link only', none: 'none' }[rig.review.telemetry ?? 'none'] }}</dd>
      </div>
    </dl>
    <section v-if="rig.review.latency_stages.length > 0" class="stages">
      <h3>Where the delay arises</h3>
      <table>
        <thead>
          <tr>
            <th scope="col">stage</th>
            <th scope="col">mean</th>
            <th scope="col">share</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="stage in rig.review.latency_stages" :key="stage.name">
            <td>{{ stage.name }}</td>
            <td class="value">{{ stage.mean_ms.toFixed(1) }} ms</td>
            <td class="value">{{ share(stage.share) }} %</td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
.gap {
  margin-top: 0.6rem;
}
.stages {
  margin-top: 1.3rem;
}
.facts {
  margin-top: 1.2rem;
}
.facts div {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr);
  padding: 0.3rem 0;
  border-bottom: 1px solid var(--line);
}
.facts dt {
  color: var(--muted);
}
@media (max-width: 900px) {
  .facts div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import WordLine from '@/components/WordLine.vue'
import { computed } from 'vue'
import type { RigData } from '@/api/rigs'
import DelayBars from '@/components/DelayBars.vue'
import TrainAnswer from '@/components/TrainAnswer.vue'
import { figure } from '@/lib/numberText'
import type { RigHandle } from '@/composables/useRig'

export interface TimingPanelProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<TimingPanelProps>()
const timing = computed(() => props.rig.review.timing)
</script>

<template>
  <div>
    <h2>Timing</h2>
    <WordLine :words="['delay', 'frame period', '19 times in 20', 'gap']" />
    <p v-if="!timing.latency" class="muted">Frames and delay are known once the chain joins.</p>
    <template v-else>
      <section v-for="train in timing.trains" :key="train.from">
        <h3>The pulse train from {{ train.from }} to {{ train.to }}</h3>
        <TrainAnswer :budget="train.budget" :frame-us="train.frame_us" :channels="train.channels" :used="train.used" :max-us="train.max_us" />
        <p v-if="train.is_held" class="band calm">
          Its unused channels are held at {{ figure(train.held?.at_us ?? train.min_us) }} µs.
          <ActButton kind="link" @click="handle.intend('hold-unused', { box: train.id, held: false })">Not held after all</ActButton>
        </p>
        <p v-else-if="train.may_be_held" class="band">
          Held at {{ figure(train.held?.at_us ?? train.min_us) }} µs, its unused channels leave the gap the room it needs.
          <ActButton @click="handle.intend('hold-unused', { box: train.id, held: true })">They are held</ActButton>
        </p>
        <p v-if="!train.period_known" class="muted small">The frame period is not on the card; this is the usual one.</p>
        <p class="small">
          <RouterLink
            :to="`/tools/pulse-train?frame_us=${train.frame_us}&channels=${train.channels}&min_us=${train.min_us}&max_us=${train.max_us}&used=${train.used}`"
            >Try other numbers</RouterLink
          >
        </p>
      </section>
      <section>
        <h3>Delay from stick to craft</h3>
        <DelayBars :ms="timing.latency.ms" :stages="timing.latency.stages" />
      </section>
      <section v-if="timing.alternatives.length > 0">
        <h3>The same boxes, set otherwise</h3>
        <div class="scroll" tabindex="0" role="region" aria-label="The same boxes, set otherwise">
          <table class="stacks">
            <thead>
              <tr>
                <th scope="col">what</th>
                <th scope="col">where</th>
                <th scope="col">mean</th>
                <th scope="col">worst</th>
                <th scope="col">against now</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="other in timing.alternatives" :key="other.where + other.what">
                <td class="long">
                  <b>{{ other.what }}</b>
                </td>
                <td class="muted long">{{ other.where }}</td>
                <td class="value" data-says="mean">{{ figure(other.ms.mean) }} ms</td>
                <td class="value" data-says="worst">{{ figure(other.ms.worst) }} ms</td>
                <td class="value" data-says="against now" :class="{ faster: other.gain_ms > 0 }">
                  {{
                    other.gain_ms > 0 ? `${figure(other.gain_ms)} ms faster` : other.gain_ms < 0 ? `${figure(-other.gain_ms)} ms slower` : 'the same'
                  }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </section>
      <section v-if="timing.resolution.coarsest">
        <h3>Resolution</h3>
        <p>
          The smallest step that arrives is <b class="value">{{ figure(timing.resolution.coarsest.step_us, 2) }} µs</b>,
          {{ figure(timing.resolution.coarsest.share_pct, 3) }} % of travel: {{ timing.resolution.coarsest.name }},
          {{ timing.resolution.coarsest.levels }} steps.
        </p>
      </section>
    </template>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
section {
  margin-top: 1.1rem;
}
.faster {
  color: var(--petrol);
  font-weight: 600;
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { TrainBudget } from '@/api/rigs'
import { figure } from '@/lib/numberText'
import { msOf } from '@/lib/scale'
import FrameDrawing from './FrameDrawing.vue'

export interface TrainAnswerProps {
  budget: TrainBudget
  frameUs: number
  channels: number
  used: number
  maxUs: number
  /** Where the unused channels are held now, if they are. */
  heldAt?: number | null
}
const props = defineProps<TrainAnswerProps>()

const VERDICTS = {
  sound: 'The gap cannot be mistaken.',
  ambiguous: 'The gap can be taken for a channel: values jump or freeze at full stick.',
  undetected: 'The gap is shorter than the reader notices: it never finds the start.',
}
const drawn = computed(() =>
  Array.from({ length: props.channels }, (_, k) => {
    const held = props.heldAt != null && k >= props.used
    return { us: held ? (props.heldAt ?? props.maxUs) : props.maxUs, held }
  }),
)
const rest = computed(() => props.budget.remedies)
</script>

<template>
  <div>
    <p class="verdict" :class="budget.verdict">{{ VERDICTS[budget.verdict] }}</p>
    <FrameDrawing
      :frame-us="frameUs"
      :channels="drawn"
      :gap-us="budget.worst_sync_us"
      :required-sync-us="budget.required_sync_us"
      :sound="budget.verdict === 'sound'"
    />
    <dl class="remedies">
      <div>
        <dt>Shortest gap that can occur</dt>
        <dd>
          <b class="value">{{ figure(budget.worst_sync_us) }} µs</b>; a reader needs
          <span class="value">{{ figure(budget.required_sync_us) }} µs</span>
        </dd>
      </div>
      <div v-if="budget.verdict !== 'sound' || rest.frame_us > frameUs">
        <dt>A longer frame</dt>
        <dd>
          <b class="value">{{ figure(msOf(rest.frame_us)) }} ms</b> holds all {{ channels }} channels at full throw; a little slower
        </dd>
      </div>
      <div v-if="rest.hold_unused">
        <dt>{{ channels - used === 1 ? 'Hold the unused one' : `Hold the ${channels - used} unused ones` }}</dt>
        <dd>
          at <b class="value">{{ figure(rest.hold_unused.at_us) }} µs</b>: the gap is then
          <span class="value">{{ figure(rest.hold_unused.worst_sync_us) }} µs</span>, {{ rest.hold_unused.sound ? 'sound' : 'still too short' }}
        </dd>
      </div>
      <div>
        <dt>Fewer channels</dt>
        <dd>
          <b class="value">{{ rest.max_channels }}</b> fit into this frame at full throw
        </dd>
      </div>
      <div v-if="budget.verdict !== 'sound'">
        <dt>Another format</dt>
        <dd>a serial wire has no gap to lose</dd>
      </div>
    </dl>
  </div>
</template>

<style scoped>
.verdict.ambiguous,
.verdict.undetected {
  color: var(--amber-text);
}
.remedies div {
  display: grid;
  grid-template-columns: 13rem minmax(0, 1fr);
  padding: 0.35rem 0;
  border-bottom: 1px solid var(--line);
}
dt {
  color: var(--muted);
}
@media (max-width: 700px) {
  .remedies div {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

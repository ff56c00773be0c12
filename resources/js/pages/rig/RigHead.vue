<script setup lang="ts">
import { ref } from 'vue'
import type { RigData } from '@/api/rigs'
import ChainStrip from '@/components/ChainStrip.vue'
import StateMark from '@/components/StateMark.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import type { RigHandle } from '@/composables/useRig'
import CouplingPanel from './CouplingPanel.vue'
import CraftForm from './CraftForm.vue'

/** What a rig is and how it stands, with its chain; one joint of the chain may be opened. */
export interface RigHeadProps {
  rig: RigData
  handle: RigHandle
}
defineProps<RigHeadProps>()
const isTelling = ref(false)
const selected = defineModel<number | null>('selected', { required: true })

function select(position: number): void {
  selected.value = selected.value === position ? null : position
}
</script>

<template>
  <div class="top">
    <div class="title">
      <h1>{{ rig.document.name }}</h1>
      <span class="muted">{{ rig.review.craft.note ?? rig.review.craft.kind }}</span>
      <button
        type="button"
        class="link-button small"
        aria-label="What this craft is: change it"
        :aria-expanded="isTelling"
        @click="isTelling = !isTelling"
      >
        {{ isTelling ? 'done' : 'change' }}
      </button>
      <RouterLink class="small" :to="`/fault?rig=${rig.slug}`">find a fault</RouterLink>
      <RouterLink class="small" :to="`/dry-bench?rig=${rig.slug}`">dry bench</RouterLink>
      <RouterLink class="small" :to="`/rigs/${rig.slug}/dance`">dance</RouterLink>
      <p class="state" :class="rig.review.next.severity" aria-live="polite">
        <StateMark :state="rig.review.next.severity" /> <VerdictLine :next="rig.review.next" />
      </p>
    </div>
    <CraftForm v-if="isTelling" :rig="rig" :handle="handle" />
    <ChainStrip
      v-if="rig.review.boxes.length > 0"
      :boxes="rig.review.boxes"
      :couplings="rig.review.couplings"
      :selected="selected"
      @select="select"
    />
    <CouplingPanel
      v-if="selected !== null && rig.review.couplings[selected]"
      :rig="rig"
      :position="selected"
      :handle="handle"
      @close="selected = null"
    />
    <p v-if="rig.shares_memory_with.length > 0" class="newer small">
      Shares its handset memory and receiver number with
      <template v-for="(other, k) in rig.shares_memory_with" :key="other.slug"
        >{{ k > 0 ? ', ' : '' }}<RouterLink :to="`/rigs/${other.slug}`">{{ other.name }}</RouterLink></template
      >: order, ends and switches changed here are changed there too, and their checks go stale with them.
    </p>
    <p v-if="rig.newer_cards.length > 0" class="newer small">
      Edited on the shelf since this rig took its copy: {{ rig.newer_cards.map((card) => card.name).join(', ') }}.
      <button type="button" class="link-button" @click="handle.intend('take-cards', { cards: rig.newer_cards.map((card) => card.id) })">
        Take the edits over
      </button>
    </p>
  </div>
</template>

<style scoped>
.top {
  padding: 0.9rem 1.25rem 0.8rem;
  border-bottom: 1px solid var(--line);
}
.title {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0.2rem 0.9rem;
  margin-bottom: 0.7rem;
}
.state {
  margin-left: auto;
  display: flex;
  gap: 0.5rem;
  align-items: center;
  padding: 0.25rem 0.8rem;
  border-radius: var(--radius);
  background: var(--wash);
  font-weight: 500;
}
.state.attention {
  background: var(--amber-fill);
  color: var(--amber-text);
}
.state.stop {
  background: var(--stop-fill);
  color: var(--stop);
}
.newer {
  margin-top: 0.6rem;
}
@media (max-width: 700px) {
  .top {
    padding: 0.8rem 0.9rem;
  }
  .state {
    margin-left: 0;
    width: 100%;
  }
}
</style>

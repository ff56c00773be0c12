<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
import { computed, ref } from 'vue'
import type { RigData } from '@/api/rigs'
import ChainStrip from '@/components/ChainStrip.vue'
import MiniChain from '@/components/MiniChain.vue'
import StateMark from '@/components/StateMark.vue'
import VerdictLine from '@/components/VerdictLine.vue'
import { useLow, useNarrow } from '@/composables/useNarrow'
import { clock } from '@/lib/dates'
import type { RigHandle } from '@/composables/useRig'
import CouplingPanel from './CouplingPanel.vue'
import CraftForm from './CraftForm.vue'

/** What a rig is and how it stands, with its chain; one joint of the chain may be opened. */
export interface RigHeadProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<RigHeadProps>()
const isTelling = ref(false)
/** On a phone the chain is one line until it is wanted. */
const [isNarrow, isLow] = [useNarrow(), useLow()]
const isSmall = computed(() => isNarrow.value || isLow.value)
const isUnfolded = ref(false)
/** What stands in a field is kept as it is left: that it was is seen here. */
const saved = computed(() =>
  props.handle.isSending.value ? 'saving …' : props.handle.keptAt.value ? `✓ saved ${clock(props.handle.keptAt.value)}` : '',
)
const hasChain = computed(() => !isSmall.value || isUnfolded.value || selected.value !== null)
const selected = defineModel<number | null>('selected', { required: true })

function select(position: number): void {
  selected.value = selected.value === position ? null : position
}
</script>

<template>
  <div class="bar">
    <h1>{{ rig.document.name }}</h1>
    <p class="state" :class="rig.review.next.severity" aria-live="polite">
      <StateMark :state="rig.review.next.severity" /> <VerdictLine :next="rig.review.next" />
    </p>
  </div>
  <div class="top">
    <div class="title">
      <span class="muted">{{ rig.review.craft.note ?? rig.review.craft.kind }}</span>
      <ActButton kind="link" class="small" aria-label="What this craft is: change it" :aria-expanded="isTelling" @click="isTelling = !isTelling">
        {{ isTelling ? 'done' : 'change' }}
      </ActButton>
      <RouterLink class="small" :to="`/fault?rig=${rig.slug}`">find a fault</RouterLink>
      <RouterLink class="small" :to="`/dry-bench?rig=${rig.slug}`">dry bench</RouterLink>
      <RouterLink class="small" :to="`/rigs/${rig.slug}/dance`">dance</RouterLink>
      <span v-if="saved" class="small muted saved">{{ saved }}</span>
    </div>
    <CraftForm v-if="isTelling" :rig="rig" :handle="handle" />
    <button
      v-if="isSmall && rig.review.boxes.length > 0"
      type="button"
      class="fold"
      :aria-expanded="hasChain"
      @click="((selected = null), (isUnfolded = !hasChain))"
    >
      <MiniChain :boxes="rig.review.boxes" :couplings="rig.review.couplings" />
      <span class="sr-only">: the chain</span>
      <svg viewBox="0 0 14 9" aria-hidden="true" focusable="false"><path :d="hasChain ? 'M1 8L7 2L13 8' : 'M1 1L7 7L13 1'" /></svg>
    </button>
    <ChainStrip
      v-if="hasChain && rig.review.boxes.length > 0"
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
      <ActButton kind="link" @click="handle.intend('take-cards', { cards: rig.newer_cards.map((card) => card.id) })"> Take the edits over </ActButton>
    </p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0.2rem 1rem;
  padding: 0.9rem 1.25rem 0;
}
h1 {
  min-width: 0;
  overflow-wrap: anywhere;
}
.top {
  padding: 0.1rem 1.25rem 0.8rem;
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
.fold {
  display: flex;
  align-items: center;
  gap: 0.6rem;
  width: 100%;
  min-height: 44px;
  padding: 0.3rem 0.6rem;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  text-align: left;
}
.fold svg {
  width: 14px;
  flex: none;
  margin-left: auto;
  fill: none;
  stroke: currentcolor;
  stroke-width: 2;
}
.fold[aria-expanded='true'] {
  margin-bottom: 0.6rem;
}
.newer {
  margin-top: 0.6rem;
}
/* Whose rig it is and how it stands stay in sight. */
@media (max-width: 700px), (max-height: 500px) {
  .bar {
    position: sticky;
    top: 0;
    z-index: 6;
    flex-wrap: nowrap;
    gap: 0.6rem;
    padding: 0.35rem 0.9rem;
    min-height: 44px;
    background: var(--paper);
  }
  h1 {
    font-size: 1.15rem;
    flex: 0 0 auto;
    max-width: 42%;
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .state {
    min-width: 0;
    flex: 0 1 auto;
    padding: 0.15rem 0.5rem;
    font-size: 0.88rem;
    line-height: 1.25;
  }
  .state :deep(.verdict-line) {
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    overflow: hidden;
  }
}
@media (max-width: 700px) {
  .top {
    padding: 0 0.9rem 0.6rem;
  }
}
</style>

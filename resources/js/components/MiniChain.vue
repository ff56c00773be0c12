<script setup lang="ts">
import type { BoxView, CouplingMini } from '@/api/rigs'
import BoxSign from './BoxSign.vue'
import CouplingMark, { COUPLING_WORDS } from './CouplingMark.vue'

/** The chain as a small drawing: each box with its sign, each joint with its mark, in one line that may break. */
export interface MiniChainProps {
  boxes: BoxView[]
  couplings: CouplingMini[]
}
defineProps<MiniChainProps>()
</script>

<template>
  <span v-if="boxes.length === 0" class="muted">no chain yet</span>
  <span v-else class="mini">
    <template v-for="(box, k) in boxes" :key="box.id">
      <span class="box"><BoxSign :kind="box.kind" /> {{ box.name }}</span>
      <span v-if="couplings[k]" class="joint" :class="couplings[k].state">
        <CouplingMark :state="couplings[k].state" />
        <span class="sr-only">{{ COUPLING_WORDS[couplings[k].state] }}</span>
      </span>
    </template>
  </span>
</template>

<style scoped>
.mini {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  row-gap: 0.25rem;
  min-width: 0;
}
.box {
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  min-width: 0;
  padding: 0.05rem 0.45rem;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  color: var(--ink);
  overflow-wrap: anywhere;
}
.joint {
  position: relative;
  display: inline-flex;
  padding: 0 5px;
}
.joint::before {
  content: '';
  position: absolute;
  inset: 50% 0 auto;
  border-top: 1.5px solid var(--petrol-2);
}
.joint.untested::before {
  border-top-style: dashed;
}
.joint.needs_setting::before {
  border-color: var(--amber-line);
}
.joint.will_not_join::before {
  border-top: 1.5px dotted var(--stop);
}
.joint :deep(.coupling-mark) {
  position: relative;
  width: 17px;
  height: 17px;
}
</style>

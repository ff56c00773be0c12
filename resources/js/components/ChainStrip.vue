<script setup lang="ts">
import type { BoxView, CouplingView } from '@/api/rigs'
import CouplingMark, { COUPLING_WORDS } from './CouplingMark.vue'

export interface ChainStripProps {
  boxes: BoxView[]
  couplings: CouplingView[]
  /** Position of the coupling that stands open, if any. */
  selected: number | null
}
defineProps<ChainStripProps>()
defineEmits<{ select: [position: number] }>()
</script>

<template>
  <ol class="chain plain-list" aria-label="The chain, from hand to craft">
    <template v-for="(box, k) in boxes" :key="box.id">
      <li class="box" :class="{ first: k === 0 }">
        <strong>{{ box.name }}</strong>
        <span>{{ box.line }}</span>
      </li>
      <li v-if="couplings[k]" class="coupling" :class="couplings[k].state">
        <button
          type="button"
          :aria-expanded="selected === k"
          :aria-label="`${box.name} to ${boxes[k + 1]?.name}: ${couplings[k].label}, ${couplings[k].detail}, ${COUPLING_WORDS[couplings[k].state]}`"
          @click="$emit('select', k)"
        >
          <span class="line" aria-hidden="true"></span>
          <CouplingMark :state="couplings[k].state" :open="couplings[k].open" />
          <span class="words">
            <b>{{ couplings[k].label }}</b>
            <span>{{ couplings[k].detail }}</span>
            <em>{{ COUPLING_WORDS[couplings[k].state] }}</em>
          </span>
        </button>
      </li>
    </template>
  </ol>
</template>

<style scoped>
.chain {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-start;
  row-gap: 0.7rem;
}
.box strong,
.words {
  overflow-wrap: anywhere;
}
.box {
  flex: 1 1 150px;
  min-width: 96px;
  min-height: 60px;
  border: var(--stroke) solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  padding: 0.4rem 0.75rem;
  display: flex;
  flex-direction: column;
  line-height: 1.3;
}
.box.first {
  border-color: var(--petrol);
}
.box span {
  color: var(--muted);
  font-size: 0.86rem;
}
.coupling {
  flex: 1 1 120px;
  min-width: 92px;
}
.coupling button {
  width: 100%;
  background: none;
  border: 0;
  padding: 16px 2px 2px;
  cursor: pointer;
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 0.2rem;
}
.line {
  position: absolute;
  left: 0;
  right: 0;
  top: 30px;
  height: 0;
  border-top: var(--stroke) solid var(--petrol-2);
}
.needs_setting .line {
  border-color: var(--amber-line);
}
.untested .line {
  border-top-style: dashed;
}
.will_not_join .line {
  border-color: var(--stop);
  border-top-style: dotted;
}
.coupling :deep(.coupling-mark) {
  position: relative;
  background: var(--paper);
}
.words {
  display: flex;
  flex-direction: column;
  align-items: center;
  text-align: center;
  font-size: 0.84rem;
  line-height: 1.25;
  padding: 0 4px;
}
.words b {
  font-weight: 600;
}
.words span {
  color: var(--muted);
}
.words em {
  font-style: normal;
  color: var(--petrol);
}
.needs_setting em {
  color: var(--amber-text);
}
.will_not_join em {
  color: var(--stop);
  font-weight: 600;
}
button[aria-expanded='true'] .words b {
  text-decoration: underline;
  text-underline-offset: 4px;
}
@media (max-width: 700px) {
  .chain {
    flex-direction: column;
    flex-wrap: nowrap;
    align-items: stretch;
    row-gap: 0;
  }
  .box {
    flex: none;
    min-height: 0;
  }
  .coupling {
    flex: none;
  }
  .coupling button {
    flex-direction: row;
    padding: 0.45rem 0 0.45rem 1rem;
    gap: 0.7rem;
    min-height: 52px;
  }
  .line {
    left: 29px;
    right: auto;
    top: 0;
    bottom: 0;
    height: auto;
    border-top: 0;
    border-left: var(--stroke) solid var(--petrol-2);
  }
  .needs_setting .line {
    border-color: var(--amber-line);
  }
  .untested .line {
    border-left-style: dashed;
  }
  .will_not_join .line {
    border-color: var(--stop);
    border-left-style: dotted;
  }
  .words {
    align-items: flex-start;
    text-align: left;
  }
}
</style>

<script setup lang="ts">
import type { BoxView, CouplingMini } from '@/api/rigs'
import { COUPLING_WORDS } from './CouplingMark.vue'

export interface MiniChainProps {
  boxes: BoxView[]
  couplings: CouplingMini[]
}
defineProps<MiniChainProps>()
const SIGN = { joined: '──', needs_setting: '─◇─', will_not_join: '┄▬┄', untested: '─?─' } as const
</script>

<template>
  <span v-if="boxes.length === 0" class="muted">no chain yet</span>
  <span v-else class="mini">
    <template v-for="(box, k) in boxes" :key="box.id">
      <span class="name">{{ box.name }}</span>
      <template v-if="couplings[k]">
        <span class="sign" :class="couplings[k].state" aria-hidden="true">{{ SIGN[couplings[k].state] }}</span>
        <span class="sr-only">{{ COUPLING_WORDS[couplings[k].state] }}</span>
      </template>
    </template>
  </span>
</template>

<style scoped>
.mini {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 0 0.35rem;
}
.mini {
  min-width: 0;
}
.name {
  overflow-wrap: anywhere;
}
.sign {
  font-family: var(--mono);
  letter-spacing: -0.1em;
  color: var(--petrol-2);
}
.needs_setting {
  color: var(--amber-text);
}
.will_not_join {
  color: var(--stop);
}
</style>

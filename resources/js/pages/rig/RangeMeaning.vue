<script setup lang="ts">
import type { RigData } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'
import NumberField from '@/components/form/NumberField.vue'

/** The power the check is made at, and what it then stands for. */
export interface RangeMeaningProps {
  rig: RigData
  handle: RigHandle
}
const props = defineProps<RangeMeaningProps>()

const tellPower = (mw: number | null) => props.handle.intend('tell-power', { mw })
</script>

<template>
  <p class="small">
    {{ rig.review.wiring.range.text }}
    <RouterLink to="/tools/range">Other numbers</RouterLink>
  </p>
  <label class="inline"
    >{{ rig.review.wiring.range.radio ?? 'The radio' }} is set to
    <NumberField
      :value="rig.review.wiring.range.set_mw"
      :save="tellPower"
      may-be-empty
      :lowest="0.001"
      :highest="100000"
      maxlength="9"
      class="power"
    />
    <span class="line-whole">mW</span></label
  >
</template>

<style scoped>
.inline {
  display: flex;
  align-items: center;
  gap: 0.4rem;
  margin-top: 0.35rem;
}
:deep(.power) {
  width: 6rem;
}
</style>

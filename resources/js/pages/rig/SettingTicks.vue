<script setup lang="ts">
import type { SettingView } from '@/api/rigs'
import TickField from '@/components/form/TickField.vue'
import type { RigHandle } from '@/composables/useRig'

export interface SettingTicksProps {
  changes: SettingView[]
  handle: RigHandle
}
const props = defineProps<SettingTicksProps>()

const tick = (change: SettingView) => (done: boolean) => props.handle.intend('tick-setting', { box: change.box, setting: change.setting, done })
</script>

<template>
  <ul class="ticks plain-list">
    <li v-for="change in changes" :key="`${change.box}/${change.setting}`">
      <label>
        <TickField :value="change.done" :save="tick(change)" />
        <span
          ><span class="muted">{{ change.box_name }}</span> {{ change.name }} <b class="value">{{ change.value }}</b></span
        >
      </label>
    </li>
  </ul>
</template>

<style scoped>
label {
  display: flex;
  gap: 0.7rem;
  align-items: center;
  padding: 0.3rem 0;
  min-height: 34px;
  cursor: pointer;
}
@media (max-width: 700px) {
  label {
    min-height: 44px;
  }
}
</style>

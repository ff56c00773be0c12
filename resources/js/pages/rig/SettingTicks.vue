<script setup lang="ts">
import type { SettingView } from '@/api/rigs'
import type { RigHandle } from '@/composables/useRig'

export interface SettingTicksProps {
  changes: SettingView[]
  handle: RigHandle
}
const props = defineProps<SettingTicksProps>()

function tick(change: SettingView, event: Event): void {
  const place = `settings.done.${change.box}/${change.setting}`
  const words = `${change.box_name}: ${change.name} ${change.value}`
  const isOn = (event.target as HTMLInputElement).checked
  void props.handle.change(
    isOn ? { text: `Set in the box: ${words}`, set: { [place]: change.to } } : { text: `Not set after all: ${words}`, clear: [place] },
  )
}
</script>

<template>
  <ul class="ticks plain-list">
    <li v-for="change in changes" :key="`${change.box}/${change.setting}`">
      <label>
        <input type="checkbox" :checked="change.done" @change="tick(change, $event)" />
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
input {
  width: 20px;
  height: 20px;
  accent-color: var(--petrol-2);
  flex: none;
}
@media (max-width: 700px) {
  label {
    min-height: 44px;
  }
}
</style>

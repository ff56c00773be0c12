<script setup lang="ts">
import type { LiveSeen } from '@/api/captures'
import TravelRuler from '@/components/TravelRuler.vue'
import { useLandmarks } from '@/composables/useLandmarks'
import { figure } from '@/lib/numberText'

/** Channels as they move: the value now, and how far it went. */
export interface ChannelMetersProps {
  channels: LiveSeen['channels']
}
defineProps<ChannelMetersProps>()

const { marks } = useLandmarks()
</script>

<template>
  <ul class="plain-list channels">
    <li v-for="channel in channels" :key="channel.channel">
      <span class="muted">{{ channel.channel }}</span>
      <span
        ><b class="value big">{{ figure(channel.us, 0) }}</b> <span class="muted small">µs</span></span
      >
      <TravelRuler
        :read="{ lo: channel.low_us, mid: channel.us, hi: channel.high_us }"
        :target="marks"
        :label="`Channel ${channel.channel} at ${figure(channel.us, 0)} µs, so far from ${figure(channel.low_us, 0)} to ${figure(channel.high_us, 0)} µs`"
      />
    </li>
  </ul>
</template>

<style scoped>
.channels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(360px, 100%), 1fr));
  gap: 0 2rem;
  margin-top: 0.6rem;
}
.channels li {
  display: grid;
  grid-template-columns: 1.6rem 6rem 1fr;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.big {
  font-size: 1.5rem;
}
@media (max-width: 700px) {
  .channels {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { computed } from 'vue'
import type { DecodeAnswer } from '@/api/generated/decode.out'
import ChannelPick from './ChannelPick.vue'
import WordHint from '@/components/WordHint.vue'
import TravelRuler from '@/components/TravelRuler.vue'
import { useLandmarks } from '@/composables/useLandmarks'
import { figure } from '@/lib/numberText'

export interface ChannelTableProps {
  answer: DecodeAnswer
  /** Channels that stand still. */
  stillChannels: number[]
  /** Drawn over the whole capture. */
  chosen: number
}
const props = defineProps<ChannelTableProps>()
const emit = defineEmits<{ choose: [channel: number] }>()

const { marks, list } = useLandmarks()
const usual = computed(() => list.value.join(', '))
const isStill = (channel: DecodeAnswer['channels'][number]) => props.stillChannels.includes(channel.channel)
const moving = computed(() => props.answer.channels.filter((channel) => !isStill(channel)))
const still = computed(() => props.answer.channels.filter(isStill))
const share = (digital: DecodeAnswer['digital'][number]) =>
  digital.off === 0 ? 'on' : digital.on === 0 ? 'off' : `on in ${digital.on} frames, off in ${digital.off}`
const words = (channel: DecodeAnswer['channels'][number]) =>
  `Channel ${channel.channel}: from ${figure(channel.min_us)} to ${figure(channel.max_us)} µs, last ${figure(channel.last_us)} µs; targets at ${usual.value} µs`
</script>

<template>
  <section aria-labelledby="channels-title">
    <h2 id="channels-title">Channels</h2>
    <p v-if="moving.length > 0" class="muted small">▽ usual targets {{ usual }} µs · ▏lowest, last and highest value</p>
    <div v-if="moving.length > 0" class="scroll">
      <table>
        <thead>
          <tr>
            <th>moves</th>
            <th class="number">lowest µs</th>
            <th class="number">mean µs</th>
            <th class="number">highest µs</th>
            <th class="number">last µs</th>
            <th class="number"><WordHint word="noise" /> σ µs</th>
            <th>travel</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="channel in moving" :key="channel.channel">
            <td>
              <ChannelPick :channel="channel.channel" :is-chosen="channel.channel === chosen" @choose="emit('choose', $event)" />
            </td>
            <td class="value number">{{ figure(channel.min_us, 1) }}</td>
            <td class="value number">{{ figure(channel.mean_us, 1) }}</td>
            <td class="value number">{{ figure(channel.max_us, 1) }}</td>
            <td class="value number strong">{{ figure(channel.last_us, 1) }}</td>
            <td class="value number">{{ channel.noise_us === null ? '–' : figure(channel.noise_us, 2) }}</td>
            <td class="ruler">
              <TravelRuler :target="marks" :read="{ lo: channel.min_us, mid: channel.last_us, hi: channel.max_us }" :label="words(channel)" />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <ul v-if="still.length > 0" class="plain-list still" aria-label="Channels that stand still">
      <li v-for="channel in still" :key="channel.channel">
        <ChannelPick :channel="channel.channel" :is-chosen="channel.channel === chosen" @choose="emit('choose', $event)" />
        <span class="muted small">still at</span> <b class="value">{{ figure(channel.last_us, 1) }}</b> <span class="muted small">µs</span>
      </li>
      <li v-for="channel in answer.digital" :key="`d${channel.channel}`">
        <span class="digital value">{{ channel.channel }}</span> <span class="muted small">digital, {{ share(channel) }}</span>
        <b class="value">{{ channel.us }}</b> <span class="muted small">µs</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
td {
  padding: 0.15rem 0.75rem 0.15rem 0;
  vertical-align: middle;
}
.number {
  text-align: right;
}
.strong {
  font-weight: 600;
}
.ruler {
  width: 250px;
  min-width: 200px;
}
.still {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(165px, 1fr));
  gap: 0.3rem 1rem;
  margin-top: 0.6rem;
}
.still li {
  display: flex;
  align-items: center;
  gap: 0.45rem;
}
.digital {
  min-width: 34px;
  display: inline-flex;
  align-items: center;
  justify-content: center;
}
@media (max-width: 700px) {
  /* The mean and the noise are for the bench; at the field the ends count. */
  th:nth-child(3),
  td:nth-child(3),
  th:nth-child(6),
  td:nth-child(6) {
    display: none;
  }
  td {
    padding-right: 0.4rem;
  }
  .ruler {
    width: 120px;
    min-width: 110px;
  }
}
</style>

<script setup lang="ts">
import type { DecodeAnswer } from '@/api/generated/decode.out'
import TravelRuler from '@/components/TravelRuler.vue'
import { figure } from '@/composables/numberText'

export interface ChannelTableProps {
  answer: DecodeAnswer
  /** Drawn over the whole capture. */
  chosen: number
}
const props = defineProps<ChannelTableProps>()
const emit = defineEmits<{ choose: [channel: number] }>()

const TARGET = { lo: 1000, mid: 1500, hi: 2000 }
const STILL_US = 2
const isStill = (channel: DecodeAnswer['channels'][number]) => channel.max_us - channel.min_us <= STILL_US
const words = (channel: DecodeAnswer['channels'][number]) =>
  `Channel ${channel.channel}: from ${figure(channel.min_us)} to ${figure(channel.max_us)} µs, last ${figure(channel.last_us)} µs; targets at 1000, 1500 and 2000 µs`
</script>

<template>
  <section aria-labelledby="channels-title">
    <h2 id="channels-title">Channels</h2>
    <p class="muted small">▽ usual targets 1000, 1500, 2000 µs · ▏lowest, last and highest value</p>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th>channel</th>
            <th class="number">lowest µs</th>
            <th class="number">mean µs</th>
            <th class="number">highest µs</th>
            <th class="number">last µs</th>
            <th class="number">noise σ µs</th>
            <th>travel</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="channel in props.answer.channels" :key="channel.channel" :class="{ chosen: channel.channel === chosen }">
            <td>
              <button
                type="button"
                class="pick value"
                :aria-pressed="channel.channel === chosen"
                :aria-label="`Draw channel ${channel.channel}`"
                @click="emit('choose', channel.channel)"
              >
                {{ channel.channel }}
              </button>
              <span v-if="isStill(channel)" class="muted small">still</span>
            </td>
            <td class="value number">{{ figure(channel.min_us, 1) }}</td>
            <td class="value number">{{ figure(channel.mean_us, 1) }}</td>
            <td class="value number">{{ figure(channel.max_us, 1) }}</td>
            <td class="value number strong">{{ figure(channel.last_us, 1) }}</td>
            <td class="value number">{{ channel.noise_us === null ? '–' : figure(channel.noise_us, 2) }}</td>
            <td class="ruler">
              <TravelRuler :target="TARGET" :read="{ lo: channel.min_us, mid: channel.last_us, hi: channel.max_us }" :label="words(channel)" />
            </td>
          </tr>
          <tr v-for="channel in props.answer.digital" :key="`d${channel.channel}`">
            <td>
              <span class="value">{{ channel.channel }}</span> <span class="muted small">digital</span>
            </td>
            <td colspan="6">
              on in <b class="value">{{ channel.on }}</b> frames, off in <b class="value">{{ channel.off }}</b>; read as
              <span class="value">{{ channel.us }} µs</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
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
.pick {
  min-width: 34px;
  min-height: 30px;
  border: 1px solid var(--line);
  border-radius: var(--radius);
  background: var(--card);
  cursor: pointer;
}
.pick[aria-pressed='true'] {
  background: var(--accent);
  color: var(--accent-ink);
  border-color: var(--accent);
}
@media (max-width: 700px) {
  .pick {
    min-width: 42px;
    min-height: 40px;
  }
}
</style>

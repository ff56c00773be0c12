<script setup lang="ts">
import { computed } from 'vue'
import type { FrameSeen } from '@/api/captures'
import TipHint from '@/components/TipHint.vue'
import { figure } from '@/lib/numberText'

export interface FrameInspectorProps {
  frame: FrameSeen
}
const props = defineProps<FrameInspectorProps>()

const pairs = (hex: string) => hex.match(/../g)?.join(' ') ?? ''
const where = (channel: FrameSeen['channels'][number]) => {
  if (channel.from_bit === null || channel.bits === null) return ''
  const last = channel.from_bit + channel.bits - 1
  return `byte ${Math.floor(channel.from_bit / 8)}, bit ${channel.from_bit % 8} to byte ${Math.floor(last / 8)}, bit ${last % 8}`
}
const title = computed(() => {
  const at = props.frame.t_ms === null ? '' : `, at ${figure(props.frame.t_ms, 3)} ms`
  const offset = props.frame.offset === null ? '' : `, byte ${props.frame.offset} of the capture`
  return `Frame ${props.frame.index + 1}${at}${offset}`
})
</script>

<template>
  <div class="inspector">
    <h3>{{ title }}</h3>
    <div class="columns">
      <table v-if="frame.fields.length > 0">
        <caption class="sr-only">
          Every byte of the frame
        </caption>
        <thead>
          <tr>
            <th>byte</th>
            <th>what it is</th>
            <th>hex</th>
            <th>says</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="field in frame.fields" :key="field.from" :class="{ unsound: !field.sound }">
            <td class="value">{{ field.bytes > 1 ? `${field.from}–${field.from + field.bytes - 1}` : field.from }}</td>
            <td>{{ field.name }}</td>
            <td class="value hex">{{ pairs(field.hex) }}</td>
            <td>{{ field.says }}</td>
          </tr>
        </tbody>
      </table>
      <ol class="plain-list channels" aria-label="Channels of this frame">
        <li v-for="channel in frame.channels" :key="channel.channel">
          <TipHint v-if="where(channel) !== ''" v-slot="{ describedBy }" :says="where(channel)">
            <button type="button" class="muted small reach" :aria-describedby="describedBy">{{ channel.channel }}</button>
          </TipHint>
          <span v-else class="muted small">{{ channel.channel }}</span>
          <b class="value">{{ figure(channel.us, 1) }}</b> <span class="muted small">µs</span>
          <span v-if="channel.raw !== null" class="muted small value raw line-whole">{{ channel.raw }}</span>
        </li>
      </ol>
    </div>
  </div>
</template>

<style scoped>
.inspector {
  margin-top: 0.9rem;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(0, 1fr);
  gap: 1.4rem;
  margin-top: 0.3rem;
}
.hex {
  white-space: normal;
  word-break: break-word;
}
td:nth-child(2),
td:last-child {
  white-space: nowrap;
}
.unsound {
  background: var(--stop-fill);
}
.channels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  align-content: start;
  gap: 0.1rem 0.8rem;
}
.channels li {
  display: grid;
  grid-template-columns: 1.6rem 4.3rem 1.4rem minmax(min-content, 1fr);
  column-gap: 0.2rem;
  align-items: baseline;
  border-bottom: 1px solid var(--line);
  padding: 0.12rem 0;
}
.channels button {
  background: none;
  border: 0;
  padding: 0;
  font: inherit;
  color: var(--muted);
  cursor: help;
  text-decoration: underline dotted;
  text-underline-offset: 3px;
}
.channels b {
  text-align: right;
}
.raw {
  text-align: right;
}
@media (max-width: 700px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
  .inspector {
    overflow-x: auto;
  }
}
</style>

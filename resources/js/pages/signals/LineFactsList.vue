<script setup lang="ts">
import { computed } from 'vue'
import type { DecodeAnswer } from '@/api/generated/decode.out'
import { figure } from '@/lib/numberText'
import { timeWords } from '@/lib/scale'

export interface LineFactsListProps {
  answer: DecodeAnswer
  /** How far apart the samples of a recording lie, µs; null: it is none. */
  grain: number | null
}
const props = defineProps<LineFactsListProps>()

const facts = computed(() => {
  const line = props.answer.line
  const measured = (props.answer.line_facts ?? {}) as Record<string, string | number | null>
  const number = (key: string) => (typeof measured[key] === 'number' ? measured[key] : null)
  const rows: [string, string][] = []
  if (line) {
    rows.push(['line', `${line.baud} baud, 8${(line.parity[0] ?? 'n').toUpperCase()}${line.stop_bits}`])
    rows.push(['polarity', line.inverted ? 'idles low (inverted)' : 'idles high'])
  } else if (typeof measured.idle === 'string') rows.push(['polarity', `idles ${measured.idle}`])
  const bit = number('bit_us')
  if (bit !== null) rows.push(['one bit', `${timeWords(bit)}, ${figure(1e6 / bit, 0)} baud measured`])
  const shortest = number('shortest_us')
  if (bit === null && shortest !== null) rows.push(['shortest stay', timeWords(shortest)])
  const gap = number('gap_ms')
  if (gap !== null) rows.push(['silence between', `${figure(gap, 3)} ms`])
  if (typeof measured.parity === 'string') rows.push(['parity', measured.parity])
  const parity = number('parity_errors') ?? 0
  if (parity > 0) rows.push(['parity wrong in', `${parity} bytes`])
  const stop = number('stop_errors') ?? 0
  if (stop > 0) rows.push(['stop bit missing in', `${stop} bytes`])
  const frame = number('frame_bytes')
  if (props.answer.format === null && frame !== null) rows.push(['repeats every', `${frame} bytes`])
  if (props.answer.format === null && typeof measured.header === 'string') rows.push(['always the same', `0x${measured.header}`])
  if (props.answer.format === null && typeof measured.check === 'string') rows.push(['check that holds', measured.check])
  if (props.answer.format === null && typeof measured.first_bytes === 'string' && measured.first_bytes !== '')
    rows.push(['begins with', (measured.first_bytes.match(/../g) ?? []).slice(0, 32).join(' ')])
  if (props.answer.wire !== undefined && props.answer.wires.length > 1)
    rows.push(['wire', `${props.answer.wire} of ${props.answer.wires.join(', ')}`])
  if (props.grain !== null)
    rows.push([
      'grain',
      `a sample every ${figure(props.grain, 1)} µs (${figure(1e6 / props.grain, 0)} a second); what is finer is worked out between two`,
    ])
  rows.push(['captured as', `${props.answer.kind.toUpperCase()}${props.answer.bytes === undefined ? '' : `, ${props.answer.bytes} bytes`}`])
  return rows
})
</script>

<template>
  <dl class="facts">
    <div v-for="[name, value] in facts" :key="name">
      <dt>{{ name }}</dt>
      <dd class="value">{{ value }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem 1.8rem;
  margin-top: 0.7rem;
}
dt {
  font-size: 0.8rem;
  color: var(--muted);
}
</style>

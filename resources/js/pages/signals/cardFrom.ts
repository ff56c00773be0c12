import type { DecodeAnswer } from '@/api/generated/decode.out'

/** A card to go on from, filled with what a capture showed; what nobody can measure is marked with a question. */
export function cardFrom(answer: DecodeAnswer): string {
  const facts = (answer.line_facts ?? {}) as Record<string, string | number | null>
  const baud = facts.baud ?? 115200
  const seen = typeof facts.frame_bytes === 'number' ? facts.frame_bytes : null
  const bytes = seen ?? 16
  const header = typeof facts.header === 'string' ? facts.header : '00'
  const channels = Math.max(1, Math.floor((bytes - 2) / 2))
  const gap = typeof facts.gap_ms === 'number' ? Math.max(1, Math.round(facts.gap_ms)) : 10
  return [
    '# From what was measured; mend what you know better.',
    'id: my-format',
    'name: My format',
    `line: {baud: ${baud}, parity: none, stop_bits: 1, inverted: ${facts.idle === 'low'}}`,
    `period_ms: {usual: ${gap}}`,
    `channels: {min: ${channels}, max: ${channels}}`,
    '# What count is 1500 µs, and how many µs is one count?',
    'scale: {centre: 1500, us: 1, max: 4095}',
    'parts:',
    `  - {const: "${header}"}`,
    '  - {channels: words, order: little}',
    seen === null
      ? '  # No length was seen to repeat. Is there a check at the end?'
      : `  # Every ${seen} bytes it repeats. Is there a check at the end?`,
    '  - {check: sum8, from: 0}',
    '',
  ].join('\n')
}

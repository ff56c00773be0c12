import { lines, valueOf, linesOf, type Tool } from '../tool'
import BindLadderAnswer from './BindLadderAnswer.vue'

export const bindLadder: Tool = {
  key: 'bind-ladder',
  title: 'What to try when it does not bind',
  line: 'the best next try, learning from each',
  words: ['bind', 'family', 'variant'],
  step: 'bind',
  fields: [
    { key: 'variants', label: 'Protocols, likeliest first', type: 'text', start: 'auto, fast, slow' },
    { key: 'channel_modes', label: 'Channel modes', type: 'text', start: '1-8, 1-16' },
    { key: 'regions', label: 'Regions', type: 'text', start: '', isOptional: true },
    lines('attempts', 'Tried so far', 'protocol, channels, region or -, metres, bound or failed', ''),
  ],
  question: (a) => {
    const list = (text: string) =>
      text
        .split(',')
        .map((name) => name.trim())
        .filter(Boolean)
    return {
      candidates: {
        variants: list(a.variants ?? ''),
        channel_modes: list(a.channel_modes ?? ''),
        ...(a.regions?.trim() ? { regions: list(a.regions) } : {}),
      },
      attempts: linesOf(a.attempts ?? '').map(([variant, mode, region, metres, result]) => ({
        variant: variant ?? '',
        channel_mode: mode ?? '',
        ...(region && region !== '-' ? { region } : {}),
        distance_m: valueOf(metres ?? ''),
        bound: /^(bound|yes)/i.test(result ?? ''),
      })),
    }
  },
  answer: BindLadderAnswer,
}

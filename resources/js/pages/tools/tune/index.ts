import { choice, number, numbers, valueOf, type Tool } from '../tool'
import TuneAnswer from './TuneAnswer.vue'

export const tune: Tool = {
  key: 'tune',
  title: 'Ends and sub-trim',
  line: 'from three readings to the settings',
  words: ['travel', 'sub-trim', 'sub-trim model'],
  step: 'travel',
  fields: [
    number('lo', 'Read: low', '988', 'µs'),
    number('mid', 'middle', '1500', 'µs'),
    number('hi', 'high', '2012', 'µs'),
    number('lo_pct', 'Set when read: low', '100', '%'),
    number('hi_pct', 'high', '100', '%'),
    number('subtrim', 'sub-trim', '0'),
    number('target_lo', 'Wanted: low', '1000', 'µs'),
    number('target_mid', 'middle', '1500', 'µs'),
    number('target_hi', 'high', '2000', 'µs'),
    choice('model', 'The sub-trim', [
      ['after', 'shifts everything'],
      ['pivot', 'moves only the centre'],
      ['before', 'is scaled with the ends'],
    ]),
    number('max_pct', 'Ends go to', '150', '%'),
    number('step_pct', 'in steps of', '0.1', '%'),
    number('subtrim_step', 'Sub-trim in steps of', '1'),
    choice('centre', 'The stick', [
      ['true', 'has a spring'],
      ['false', 'has none'],
    ]),
    number('channel', 'It rides on channel', '1'),
  ],
  question: (a) => ({
    handset: { ...numbers(a, ['max_pct', 'step_pct', 'subtrim_step']), subtrim_model: a.model },
    target: { lo: valueOf(a.target_lo ?? ''), mid: valueOf(a.target_mid ?? ''), hi: valueOf(a.target_hi ?? '') },
    channels: [
      {
        name: 'channel',
        settings: numbers(a, ['lo_pct', 'hi_pct', 'subtrim']),
        measured: numbers(a, ['lo', 'mid', 'hi']),
        centre: a.centre !== 'false',
      },
    ],
  }),
  draft: (a) => ({ [String(Number(a.channel))]: { lo: Number(a.lo), mid: Number(a.mid), hi: Number(a.hi) } }),
  answer: TuneAnswer,
}

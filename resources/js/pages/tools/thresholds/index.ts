import { number, numbers, type Tool } from '../tool'
import ThresholdsAnswer from './ThresholdsAnswer.vue'

export const thresholds: Tool = {
  key: 'thresholds',
  title: 'Thresholds',
  line: 'will it arm, and where the dead band belongs',
  words: ['threshold', 'dead band', 'noise'],
  step: 'travel',
  fields: [
    number('lo', 'Lowest', '1000', 'µs'),
    number('mid', 'at rest', '1500', 'µs'),
    number('hi', 'highest', '2000', 'µs'),
    number('noise_sigma', 'Noise at rest', '0.6', 'µs', true),
    number('low_threshold', 'Low threshold set', '', 'µs', true),
    number('high_threshold', 'High threshold set', '', 'µs', true),
    number('deadband', 'Dead band set', '', 'µs', true),
  ],
  question: (a) => numbers(a, ['lo', 'mid', 'hi', 'noise_sigma', 'low_threshold', 'high_threshold', 'deadband']),
  meant: (_, answer) => ({
    intent: 'set-thresholds',
    told: { low: Number(answer.low_threshold), high: Number(answer.high_threshold), deadband: Number(answer.deadband) },
  }),
  answer: ThresholdsAnswer,
}

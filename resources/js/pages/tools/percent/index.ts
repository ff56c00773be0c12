import { number, numbers, type Tool } from '../tool'
import PercentAnswer from './PercentAnswer.vue'

export const percent: Tool = {
  key: 'percent',
  title: 'Percent between handsets',
  line: 'the same throw on another scale',
  words: ['travel', 'pulse width'],
  step: 'travel',
  fields: [
    number('percent', 'Set now', '100', '%'),
    number('from_us_per_100', 'where 100 % is', '512', 'µs'),
    number('to_us_per_100', 'On the other 100 % is', '400', 'µs'),
  ],
  question: (a) => numbers(a, ['percent', 'from_us_per_100', 'to_us_per_100']),
  answer: PercentAnswer,
}

import { number, numbers, type Tool } from '../tool'
import RatesAnswer from './RatesAnswer.vue'

export const rates: Tool = {
  key: 'rates',
  title: 'Rate and expo',
  line: 'the throw and the curve before you fly',
  words: ['rate', 'expo'],
  step: 'switches',
  fields: [
    number('rate_pct', 'Rate', '100', '%'),
    number('expo_pct', 'Expo', '10', '%'),
    number('us_per_100', '100 % is', '512', 'µs'),
    number('centre', 'Centre', '1500', 'µs'),
  ],
  question: (a) => numbers(a, ['rate_pct', 'expo_pct', 'us_per_100', 'centre']),
  answer: RatesAnswer,
}

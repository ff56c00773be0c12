import { number, numbers, type Tool } from '../tool'
import PulseTrainAnswer from './PulseTrainAnswer.vue'

export const pulseTrain: Tool = {
  key: 'pulse-train',
  title: 'Pulse train',
  line: 'does the frame leave room for its gap',
  words: ['pulse train', 'gap', 'frame period'],
  step: 'timing',
  fields: [
    number('frame_us', 'Frame', '18000', 'µs'),
    number('channels', 'Channels', '8'),
    number('used', 'of these in use', '', '', true),
    number('min_us', 'Shortest channel', '988', 'µs'),
    number('max_us', 'Longest channel', '2012', 'µs'),
    number('hold_unused_at', 'Unused ones held at', '', 'µs', true),
    number('sync_detect_us', 'The reader notices a gap from', '3000', 'µs'),
  ],
  question: (a) => numbers(a, ['frame_us', 'channels', 'used', 'min_us', 'max_us', 'hold_unused_at', 'sync_detect_us']),
  answer: PulseTrainAnswer,
}

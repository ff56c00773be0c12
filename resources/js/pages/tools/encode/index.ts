import { choice, valueOf, type Tool } from '../tool'
import EncodeAnswer from './EncodeAnswer.vue'

export const encode: Tool = {
  key: 'encode',
  title: 'Frame bytes',
  line: 'what stands on a serial wire for these values',
  words: ['frame', 'wire format', 'raw', 'check'],
  step: '',
  fields: [
    {
      key: 'format',
      label: 'Format',
      type: 'choice',
      from: 'serial_formats',
      start: 's100i',
      takesOwnFormats: true,
      isWide: true,
    },
    { key: 'us', label: 'Channels from 1, µs', type: 'text', start: '1500, 1500, 988, 1500', isWide: true },
    choice('failsafe', 'Failsafe flag', [
      ['false', 'down'],
      ['true', 'up'],
    ]),
    choice('frame_lost', 'Frame-lost flag', [
      ['false', 'down'],
      ['true', 'up'],
    ]),
  ],
  question: (a) => ({
    format: a.format,
    frames: [
      {
        us: (a.us ?? '')
          .split(/[\s,;]+/)
          .filter((text) => text !== '')
          .map(valueOf),
        flags: { failsafe: a.failsafe === 'true', frame_lost: a.frame_lost === 'true' },
      },
    ],
  }),
  answer: EncodeAnswer,
}

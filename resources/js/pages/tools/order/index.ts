import type { Told } from '@/api/rigs'
import { choice, type Tool } from '../tool'
import OrderAnswer from './OrderAnswer.vue'

export const order: Tool = {
  key: 'order',
  title: 'Channel order',
  line: 'which stick moves what, and where to mend it',
  words: ['channel order', 'remapping'],
  step: 'order',
  fields: [
    { key: 'handset', label: 'Handset sends', type: 'text', start: 'AETR' },
    choice('kind', 'It is read by', [
      ['pins', 'labelled pins'],
      ['controller', 'a controller'],
    ]),
    { key: 'reader', label: 'in the order', type: 'text', start: 'TAER' },
    { key: 'expects', label: 'A module between expects', type: 'text', start: '', isOptional: true },
    { key: 'sends', label: 'and sends', type: 'text', start: '', isOptional: true },
  ],
  question: (a) => ({
    handset: (a.handset ?? '').toUpperCase(),
    ...(a.expects ? { module: { expects: a.expects.toUpperCase(), sends: (a.sends || a.expects).toUpperCase() } } : {}),
    reader: { kind: a.kind, order: (a.reader ?? '').toUpperCase() },
  }),
  meant: (a) => ({ intent: 'set-handset-order', told: { order: (a.handset ?? '').toUpperCase() as Told<'set-handset-order'>['order'] } }),
  answer: OrderAnswer,
}

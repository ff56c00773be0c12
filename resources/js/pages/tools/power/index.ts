import type { Told } from '@/api/rigs'
import { lines, number, numbers, valueOf, linesOf, type Tool } from '../tool'
import PowerAnswer from './PowerAnswer.vue'

export const power: Tool = {
  key: 'power',
  title: 'Pack and devices',
  line: 'full and flat, alarm and load',
  words: ['module', 'controller'],
  step: 'wiring',
  fields: [
    { key: 'chemistry', label: 'Pack', type: 'choice', from: 'chemistries', start: 'lipo' },
    number('cells', 'Cells', '3'),
    lines('devices', 'What it feeds', 'name, lowest V, highest V, mA', 'module, 6, 12, 450'),
    number('supply_ma', 'The supply gives', '', 'mA', true),
  ],
  question: (a) => ({
    pack: { chemistry: a.chemistry, cells: valueOf(a.cells ?? '') },
    devices: linesOf(a.devices ?? '').map(([name, low, high, ma]) => ({
      name: name ?? '',
      min_v: low ? valueOf(low) : null,
      max_v: high ? valueOf(high) : null,
      ...(ma ? { ma: valueOf(ma) } : {}),
    })),
    ...numbers(a, ['supply_ma']),
  }),
  meant: (a) => ({
    intent: 'tell-handset-pack',
    told: { pack: { chemistry: a.chemistry, cells: Number(a.cells) } as Told<'tell-handset-pack'>['pack'] },
  }),
  answer: PowerAnswer,
}

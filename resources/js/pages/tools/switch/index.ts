import { lines, number, numbers, valueOf, linesOf, type Tool } from '../tool'
import SwitchAnswer from './SwitchAnswer.vue'

export const switchLevels: Tool = {
  key: 'switch',
  title: 'Switch levels',
  line: 'what each position sends, and into which window',
  words: ['level', 'window'],
  step: 'switches',
  fields: [
    number('positions', 'Positions', '3'),
    number('weight', 'Weight', '100', '%'),
    number('offset', 'Offset', '0', '%'),
    { key: 'curve', label: 'Levels, if not even', type: 'text', start: '', isOptional: true },
    number('us_per_100', '100 % is', '512', 'µs'),
    number('centre', 'Centre', '1500', 'µs'),
    number('max_pct', 'Largest output', '150', '%'),
    number('power_up_position', 'Position at power-up', '1'),
    lines('windows', 'Windows in the controller', 'name, from, to, wanted positions', 'arm, 1700, 2100, 3'),
  ],
  question: (a) => ({
    scale: numbers(a, ['centre', 'us_per_100', 'max_pct']),
    switch: {
      ...numbers(a, ['positions', 'weight', 'offset']),
      ...(a.curve?.trim()
        ? {
            curve: a.curve
              .trim()
              .split(/[\s,;/]+/)
              .map(valueOf),
          }
        : {}),
    },
    windows: linesOf(a.windows ?? '').map(([name, lo, hi, ...wanted]) => ({
      name: name ?? '',
      lo: valueOf(lo ?? ''),
      hi: valueOf(hi ?? ''),
      wanted: wanted
        .flatMap((cell) => cell.split(/\s+/))
        .filter(Boolean)
        .map(valueOf),
    })),
    ...numbers(a, ['power_up_position']),
  }),
  answer: SwitchAnswer,
}

import { numberFrom } from '@/composables/numberText'

/** One question of a tool. Every answer is text, as it stands in the address. */
export interface ToolField {
  key: string
  label: string
  type: 'number' | 'text' | 'choice' | 'lines'
  unit?: string
  start: string
  options?: [value: string, label: string][]
  /** The user's own serial formats may be chosen too. */
  takesOwnFormats?: boolean
  /** For lines: what stands in one, in sequence. */
  columns?: string
  isOptional?: boolean
  /** Longer than one number. */
  isWide?: boolean
}

export type Answers = Record<string, string>

export interface Tool {
  /** The verb behind it. */
  key: string
  title: string
  line: string
  fields: ToolField[]
  question: (answers: Answers) => Record<string, unknown>
  /** The step of a rig where the same is done; empty: there is none. */
  step: string
  /** Readings it leaves in the rig's travel table, by channel, to be looked at there. */
  draft?: (answers: Answers) => Record<string, { lo: number; mid: number; hi: number }>
  /** What it would change in a rig, if anything. */
  change?: (answers: Answers, answer: Record<string, unknown>) => { text: string; set: Record<string, unknown> } | null
}

/** A number, or the text itself when it is none: the verb then says what it found. */
export function valueOf(text: string): number | string {
  return numberFrom(text, null, true) ?? text
}

function numbers(answers: Answers, keys: string[]): Record<string, unknown> {
  return Object.fromEntries(keys.filter((key) => (answers[key] ?? '').trim() !== '').map((key) => [key, valueOf(answers[key] ?? '')]))
}

/** Lines of comma-parted cells. */
export function linesOf(text: string): string[][] {
  return text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => line.split(',').map((cell) => cell.trim()))
}

const number = (key: string, label: string, start: string, unit?: string, isOptional = false): ToolField => ({
  key,
  label,
  type: 'number',
  start,
  isOptional,
  ...(unit ? { unit } : {}),
})
const choice = (key: string, label: string, options: [string, string][], start = options[0]?.[0] ?? ''): ToolField => ({
  key,
  label,
  type: 'choice',
  options,
  start,
})
const lines = (key: string, label: string, columns: string, start: string): ToolField => ({ key, label, type: 'lines', columns, start })

const CHEMISTRIES: [string, string][] = [
  ['lipo', 'LiPo'],
  ['lihv', 'LiHV'],
  ['life', 'LiFe'],
  ['nimh', 'NiMH'],
]

export const TOOLS: Tool[] = [
  {
    key: 'order',
    title: 'Channel order',
    line: 'which stick moves what, and where to mend it',
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
    change: (a) => ({
      text: `Handset order ${(a.handset ?? '').toUpperCase()}, from the quick tool`,
      set: { 'settings.order': (a.handset ?? '').toUpperCase() },
    }),
  },
  {
    key: 'tune',
    title: 'Ends and sub-trim',
    line: 'from three readings to the settings',
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
  },
  {
    key: 'thresholds',
    title: 'Thresholds',
    line: 'will it arm, and where the dead band belongs',
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
    change: (_, answer) => ({
      text: `Thresholds ${String(answer.low_threshold)} and ${String(answer.high_threshold)} µs, dead band ${String(answer.deadband)} µs, from the quick tool`,
      set: {
        'settings.thresholds.low': answer.low_threshold,
        'settings.thresholds.high': answer.high_threshold,
        'settings.thresholds.deadband': answer.deadband,
      },
    }),
  },
  {
    key: 'switch',
    title: 'Switch levels',
    line: 'what each position sends, and into which window',
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
  },
  {
    key: 'rates',
    title: 'Rate and expo',
    line: 'the throw and the curve before you fly',
    step: 'switches',
    fields: [
      number('rate_pct', 'Rate', '100', '%'),
      number('expo_pct', 'Expo', '10', '%'),
      number('us_per_100', '100 % is', '512', 'µs'),
      number('centre', 'Centre', '1500', 'µs'),
    ],
    question: (a) => numbers(a, ['rate_pct', 'expo_pct', 'us_per_100', 'centre']),
  },
  {
    key: 'percent',
    title: 'Percent between handsets',
    line: 'the same throw on another scale',
    step: 'travel',
    fields: [
      number('percent', 'Set now', '100', '%'),
      number('from_us_per_100', 'where 100 % is', '512', 'µs'),
      number('to_us_per_100', 'On the other 100 % is', '400', 'µs'),
    ],
    question: (a) => numbers(a, ['percent', 'from_us_per_100', 'to_us_per_100']),
  },
  {
    key: 'pulse-train',
    title: 'Pulse train',
    line: 'does the frame leave room for its gap',
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
  },
  {
    key: 'latency',
    title: 'Delay',
    line: 'from stick to servo, stage by stage',
    step: 'timing',
    fields: [lines('stages', 'Stages', 'name, period ms, transit ms, phases', 'handset, 4, 0.5\nair, 9, 1.2\nreceiver wire, 9, 3\nservo, 20, 1.5')],
    question: (a) => ({
      stages: linesOf(a.stages ?? '').map(([name, period, transit, phases]) => ({
        name: name ?? '',
        period_ms: valueOf(period ?? ''),
        transit_ms: valueOf(transit ?? ''),
        ...(phases ? { phases: valueOf(phases) } : {}),
      })),
    }),
  },
  {
    key: 'power',
    title: 'Pack and devices',
    line: 'full and flat, alarm and load',
    step: 'wiring',
    fields: [
      choice('chemistry', 'Pack', CHEMISTRIES),
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
    change: (a) => ({
      text: `Handset pack: ${a.cells} ${a.chemistry} cells, from the quick tool`,
      set: { 'settings.pack': { chemistry: a.chemistry, cells: Number(a.cells) } },
    }),
  },
  {
    key: 'range',
    title: 'Range and range check',
    line: 'how far, and what thirty paces stand for',
    step: 'wiring',
    fields: [
      number('f_mhz', 'Carrier', '2440', 'MHz'),
      number('power_dbm', 'Power', '14', 'dBm'),
      number('sensitivity_dbm', 'Receiver hears from', '-105', 'dBm'),
      number('tx_gain_dbi', 'Antenna gain, sender', '2', 'dBi'),
      number('rx_gain_dbi', 'and receiver', '2', 'dBi'),
      number('distance_m', 'Distance', '800', 'm', true),
      number('margin_db', 'Margin kept', '10', 'dB'),
      number('check_m', 'Range check at', '27', 'm', true),
      number('reduced_by_db', 'with the power reduced by', '30', 'dB', true),
    ],
    question: (a) => ({
      ...numbers(a, ['f_mhz', 'power_dbm', 'sensitivity_dbm', 'tx_gain_dbi', 'rx_gain_dbi', 'distance_m', 'margin_db']),
      ...(a.check_m && a.reduced_by_db ? { check: { distance_m: valueOf(a.check_m), reduced_by_db: valueOf(a.reduced_by_db) } } : {}),
    }),
  },
  {
    key: 'bind-ladder',
    title: 'What to try when it does not bind',
    line: 'the best next try, learning from each',
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
  },
  {
    key: 'encode',
    title: 'Frame bytes',
    line: 'what stands on a serial wire for these values',
    step: '',
    fields: [
      {
        ...choice('format', 'Format', [
          ['s100i', '16 × 11-bit, 100 k inverted'],
          ['s420c', '16 × 11-bit, 420 k with CRC-8'],
          ['s115u', '14 × µs words, 115 k'],
          ['s115t', '7 tagged words, 115 k'],
          ['s115e', 'eighth-µs words, 115 k with CRC-16'],
          ['s115f', '16 × 11-bit, 115 k framed'],
        ]),
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
  },
]

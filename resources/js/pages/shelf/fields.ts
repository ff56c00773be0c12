import type { GearKind } from '@/api/shelf'

/** A question about a piece of gear, answered by what can be seen on it. `key` is a path in the card. */
export interface Field {
  type: 'text' | 'number' | 'choice' | 'several' | 'sequence' | 'words' | 'numbers' | 'list'
  key: string
  question: string
  unit?: string
  hint?: string
  options?: [value: string, label: string][]
  /** Its options are numbers. */
  isNumeric?: boolean
  /** Its options are shown as a drawing: where a stick is held, the stick modes, the pins along the edge of the case. */
  picture?: 'corner' | 'modes' | 'pins'
  /** What it is where the card does not say: then "not known" has to be said. */
  usual?: string
  /** What it means that none of the numbers is it; else that is not known. */
  none?: string
  /** The options are a list of the core. */
  from?: 'wire_formats' | 'chemistries' | 'orders'
  /** Any name may be typed; those that are known are offered, by what manuals call them too. */
  names?: 'family' | 'variant'
  /** For lists: the questions about one entry, what one is called, and what a new one starts as. */
  fields?: Field[]
  one?: string
  fresh?: Record<string, unknown>
  /** A list may hold its entries as one bare word, which stands for this key. */
  bare?: string
  /** Only asked when the entry looks like this. */
  when?: (entry: Record<string, unknown>) => boolean
}

export interface Chapter {
  title: string
  /** What it takes for granted, to be explained on the spot. */
  words?: string[]
  fields: Field[]
}

const YES_NO: [string, string][] = [
  ['true', 'yes'],
  ['false', 'no'],
]
const MODES: [string, string][] = [
  ['1-8', '1–8'],
  ['1-16', '1–16'],
]
const isPwm = (entry: Record<string, unknown>) => entry.format === 'pwm'
const PINS: [string, string][] = [
  ['signal', 'signal'],
  ['plus', 'plus'],
  ['ground', 'ground'],
  ['data', 'data back'],
  ['free', 'not used'],
]
/** From the key, the notch or the edge of the case on. */
const plug: Field = { type: 'sequence', key: 'plug', question: 'Its pins, from the edge of the case', options: PINS }

const periods = (key: string, question: string): Field => ({ type: 'numbers', key, question, unit: 'ms', hint: 'as delivered first' })

const protocols = (isSender: boolean): Field => ({
  type: 'list',
  key: 'protocols',
  question: isSender ? 'Which air protocols does it speak?' : 'Which air protocols does it hear?',
  one: 'protocol',
  fresh: { family: '' },
  fields: [
    { type: 'text', key: 'family', question: 'Family', hint: 'weft', names: 'family' },
    { type: 'text', key: 'variant', question: 'Variant', hint: 'weft-8, auto', names: 'variant' },
    periods('frame_ms', 'Frame period'),
    { type: 'number', key: 'channels', question: 'Channels' },
    { type: 'number', key: 'levels', question: 'Distinct values over full travel' },
    { type: 'text', key: 'region', question: 'Region' },
    { type: 'text', key: 'firmware', question: 'Firmware generation' },
    { type: 'number', key: 'f_mhz', question: 'Carrier', unit: 'MHz' },
    ...(isSender
      ? ([
          { type: 'several', key: 'modes', question: 'Channels it can send', options: MODES },
          { type: 'choice', key: 'order', question: 'Order it sends', from: 'orders' },
        ] satisfies Field[])
      : ([{ type: 'choice', key: 'refuses_auto', question: 'Refuses a sender set to auto?', options: YES_NO }] satisfies Field[])),
  ],
})

const output = (question: string, key: string): Field => ({
  type: 'list',
  key,
  question,
  one: 'output',
  bare: 'format',
  fresh: { format: 'pwm' },
  fields: [
    { type: 'choice', key: 'format', question: 'What comes out?', from: 'wire_formats' },
    { type: 'words', key: 'labels', question: 'Printed at pins 1, 2 …', hint: 'T A E R G', picture: 'pins', when: isPwm },
    { type: 'number', key: 'pins', question: 'Number of pins', when: (entry) => isPwm(entry) && entry.labels === undefined },
    { type: 'choice', key: 'remappable', question: 'Any channel on any pin?', options: YES_NO, when: isPwm },
    {
      type: 'choice',
      key: 'polarity',
      question: 'Polarity',
      usual: 'standard',
      options: [
        ['standard', 'as the format has it'],
        ['flipped', 'the other way up'],
      ],
      when: (entry) => !isPwm(entry),
    },
    { type: 'number', key: 'level_v', question: 'High level', unit: 'V' },
    { type: 'number', key: 'channels', question: 'Channels', when: (entry) => !isPwm(entry) },
    periods('period_ms', 'Frame period'),
    { type: 'number', key: 'pin', question: 'The pin that carries it', when: (entry) => !isPwm(entry) },
    { type: 'choice', key: 'telemetry', question: 'Carries data back?', options: YES_NO, when: (entry) => !isPwm(entry) },
    plug,
    { type: 'text', key: 'mode', question: 'Setting in which it exists', hint: 'leave empty: always' },
  ],
})

const INPUT_FIELDS: Field[] = [
  { type: 'choice', key: 'format', question: 'What does it read?', from: 'wire_formats' },
  {
    type: 'choice',
    key: 'polarity',
    question: 'Polarity',
    options: [
      ['standard', 'as the format has it'],
      ['flipped', 'the other way up'],
      ['either', 'either way'],
    ],
  },
  { type: 'number', key: 'level_min_v', question: 'Lowest high level', unit: 'V' },
  { type: 'number', key: 'level_max_v', question: 'Highest level', unit: 'V' },
  { type: 'number', key: 'channels', question: 'Channels' },
  { type: 'number', key: 'max_rate_hz', question: 'Fastest rate', unit: 'Hz' },
  { type: 'choice', key: 'telemetry', question: 'Carries data back?', options: YES_NO },
  plug,
]
const inputs: Field = {
  type: 'list',
  key: 'inputs',
  question: 'What can be plugged in?',
  one: 'input',
  bare: 'format',
  fresh: { format: 'ppm' },
  fields: INPUT_FIELDS,
}

const SETTINGS: Record<GearKind, [key: string, question: string][]> = {
  handset: [
    ['order', 'the channel order'],
    ['protocol', 'the air protocol'],
    ['internal_radio', 'its own radio'],
    ['bay', 'what the bay sends'],
    ['trainer', 'the trainer socket'],
    ['channel_mode', 'the channels sent'],
    ['ends', 'the ends of a channel'],
    ['subtrim', 'sub-trim'],
    ['reverse', 'reversing a channel'],
    ['switches', 'the switch of a channel'],
    ['rates', 'rates and expo'],
    ['failsafe', 'failsafe'],
    ['bind', 'binding'],
    ['model', 'the memory of a craft'],
    ['calibration', 'calibration'],
    ['mixes', 'mixes'],
    ['trims', 'trims'],
    ['timer', 'the timer'],
    ['throttle_cut', 'throttle cut'],
  ],
  module: [
    ['protocol', 'the air protocol'],
    ['input', 'its input'],
    ['remap', 'the rearranging'],
    ['channel_mode', 'the channels sent'],
    ['failsafe', 'failsafe'],
    ['bind', 'binding'],
    ['power', 'the power radiated'],
  ],
  receiver: [
    ['protocol', 'the air protocol'],
    ['output_mode', 'what comes out'],
    ['rate', 'the frame period'],
    ['failsafe', 'failsafe'],
    ['bind', 'binding'],
  ],
  converter: [['input', 'its input']],
  controller: [
    ['order', 'the channel order'],
    ['input', 'its receiver input'],
    ['thresholds', 'low and high thresholds'],
    ['range', 'the range it takes'],
    ['windows', 'what a switch turns on'],
    ['failsafe', 'failsafe'],
  ],
  servo_set: [],
}
const named = (kind: GearKind): Chapter => ({
  title: 'What does its own menu call it, and where?',
  fields: SETTINGS[kind].map(([key, question], k) => ({
    type: 'text',
    key: `setting_names.${key}`,
    question,
    ...(k === 0 ? { hint: 'Channel plan, page 7' } : {}),
  })),
})

/** What every box may have, asked last: how a feature of it is turned on, whether it is built in, and what else is to be remembered. */
const rest = (isBuiltIn: boolean): Chapter => ({
  title: 'What else is to be remembered?',
  fields: [
    {
      type: 'list',
      key: 'procedures',
      question: 'Sticks, buttons or sequences that turn something on',
      one: 'procedure',
      fresh: { name: '', how: '' },
      fields: [
        { type: 'text', key: 'name', question: 'What it turns on', hint: 'stabiliser off' },
        { type: 'text', key: 'how', question: 'How', hint: 'sticks in opposite corners, switch five times' },
      ],
    },
    ...(isBuiltIn ? ([{ type: 'text', key: 'built_into', question: 'Built into one craft only: which?' }] satisfies Field[]) : []),
    { type: 'text', key: 'notes', question: 'Notes' },
  ],
})

const CORNERS: [string, string][] = [
  ['lower_left', 'down, left'],
  ['lower_right', 'down, right'],
  ['upper_left', 'up, left'],
  ['upper_right', 'up, right'],
  ['middle', 'in its middle'],
]

const supply: Field[] = [
  { type: 'number', key: 'supply.min_v', question: 'Lowest supply voltage', unit: 'V' },
  { type: 'number', key: 'supply.max_v', question: 'Highest supply voltage', unit: 'V', hint: 'printed beside the plus pin' },
  { type: 'number', key: 'supply.ma', question: 'Current it draws', unit: 'mA' },
]

const bindFields = (isReceiver: boolean): Field[] =>
  [
    {
      type: 'several',
      key: 'bind.methods',
      question: 'Ways',
      options: [
        ['button', 'button'],
        ['plug', 'plug in a socket'],
        ['power_cycles', 'power cycles'],
        ['automatic', 'by itself'],
        ['menu', 'menu'],
        ['button_at_power_on', 'button held at power-on'],
        ['sticks_in_corner', 'sticks in a corner'],
        ['software', 'from a computer'],
      ],
    },
    ...(isReceiver
      ? ([
          { type: 'choice', key: 'bind.left_stick', question: 'Left stick meanwhile', options: CORNERS, picture: 'corner', when: bindsBySticks },
          { type: 'choice', key: 'bind.right_stick', question: 'Right stick meanwhile', options: CORNERS, picture: 'corner', when: bindsBySticks },
        ] satisfies Field[])
      : []),
    { type: 'text', key: 'bind.lights.searching', question: 'Light while it searches' },
    { type: 'text', key: 'bind.lights.bind', question: 'Light while it binds' },
    { type: 'text', key: 'bind.lights.linked', question: 'Light when linked' },
    { type: 'number', key: 'bind.window_s', question: 'Only in the first seconds', unit: 's' },
  ] satisfies Field[]
const bindsBySticks = (entry: Record<string, unknown>) => JSON.stringify(entry.bind ?? {}).includes('sticks_in_corner')
const bind = (isReceiver: boolean): Chapter => ({ title: 'How does it bind?', words: ['bind'], fields: bindFields(isReceiver) })

const lossOptions: [string, string][] = [
  ['stops', 'nothing comes out'],
  ['holds', 'the last values, for ever'],
]

/** What is asked of each kind of gear, the most telling first. Everything may be left out. */
export const CHAPTERS: Record<GearKind, Chapter[]> = {
  handset: [
    {
      title: 'What do you see?',
      fields: [
        { type: 'number', key: 'channels', question: 'Channels' },
        { type: 'choice', key: 'order', question: 'Its channel order', from: 'orders' },
        { type: 'choice', key: 'order_fixed', question: 'Can that order not be changed?', options: YES_NO },
        {
          type: 'choice',
          key: 'sticks.mode',
          isNumeric: true,
          question: 'Stick mode',
          picture: 'modes',
          options: [
            ['1', '1'],
            ['2', '2'],
            ['3', '3'],
            ['4', '4'],
          ],
        },
        {
          type: 'choice',
          key: 'pack.chemistry',
          question: 'Its pack',
          from: 'chemistries',
        },
        { type: 'number', key: 'pack.cells', question: 'Cells in series' },
        {
          type: 'list',
          key: 'switches',
          question: 'Switches, sliders and knobs',
          one: 'switch',
          fresh: { id: '', positions: 2 },
          fields: [
            { type: 'text', key: 'id', question: 'Printed beside it', hint: 'L1, left' },
            {
              type: 'choice',
              key: 'positions',
              isNumeric: true,
              question: 'Positions',
              options: [
                ['2', '2'],
                ['3', '3'],
                ['6', '6'],
              ],
              none: 'slider or knob',
            },
            { type: 'choice', key: 'spring', question: 'Springs back?', options: YES_NO },
          ],
        },
        { type: 'number', key: 'aux_from', question: 'Channel that it calls its first auxiliary', hint: '5' },
        { type: 'choice', key: 'failsafe_menu', question: 'Has it a failsafe menu?', options: YES_NO },
      ],
    },
    {
      title: 'What sends?',
      fields: [
        {
          type: 'list',
          key: 'radios',
          question: 'Radios inside',
          one: 'radio',
          fresh: { id: 'inside' },
          fields: [
            { type: 'text', key: 'id', question: 'Name' },
            { type: 'choice', key: 'always_on', question: 'Cannot be switched off?', options: YES_NO },
            protocols(true),
            ...bindFields(false),
          ],
        },
        output('What the module bay gives', 'bay.outputs'),
        { type: 'number', key: 'bay.supply_v', question: 'Voltage in the bay', unit: 'V', hint: "the pack's own" },
        { type: 'numbers', key: 'radio_powers_mw', question: 'Powers of its radio', unit: 'mW' },
        { type: 'numbers', key: 'powers_dbm', question: 'or, as told', unit: 'dBm' },
        output('What the trainer socket gives', 'trainer.outputs'),
      ],
    },
    {
      title: 'How does it scale?',
      words: ['travel', 'sub-trim', 'sub-trim model'],
      fields: [
        { type: 'number', key: 'scale.us_per_100', question: '100 % is ±', unit: 'µs' },
        { type: 'number', key: 'scale.max_pct', question: 'Largest travel', unit: '%' },
        { type: 'number', key: 'scale.step_pct', question: 'Step', unit: '%' },
        {
          type: 'choice',
          key: 'scale.subtrim_model',
          question: 'Sub-trim',
          options: [
            ['after', 'shifts everything'],
            ['before', 'is added to the stick'],
            ['pivot', 'moves only the centre'],
          ],
        },
        { type: 'number', key: 'scale.subtrim_step', question: 'Sub-trim goes in steps of', hint: '1' },
        { type: 'number', key: 'scale.subtrim_us_per_unit', question: 'One of sub-trim is', unit: 'µs' },
        { type: 'number', key: 'scale.centre', question: 'Centre', unit: 'µs', hint: '1500' },
        periods('frame_ms', 'Frame period it sends with'),
      ],
    },
    named('handset'),
    rest(false),
  ],
  module: [
    { title: 'What do you see?', words: ['wire format', 'inverted', 'family', 'variant'], fields: [inputs, protocols(true)] },
    {
      title: 'What does it do with the order?',
      words: ['channel order', 'remapping'],
      fields: [
        { type: 'choice', key: 'remap.expects', question: 'It expects', from: 'orders' },
        { type: 'choice', key: 'remap.sends', question: 'and sends', from: 'orders' },
        { type: 'choice', key: 'remap.switchable', question: 'Can that be switched off?', options: YES_NO },
        { type: 'choice', key: 'remap.on', question: 'Is it on as delivered?', options: YES_NO },
      ],
    },
    {
      title: 'Power and loss',
      fields: [
        ...supply,
        { type: 'numbers', key: 'powers_mw', question: 'Radio powers', unit: 'mW' },
        { type: 'numbers', key: 'powers_dbm', question: 'or, as told', unit: 'dBm' },
        { type: 'choice', key: 'on_input_loss', question: 'When nothing comes in any more', options: lossOptions },
        {
          type: 'choice',
          key: 'failsafe',
          question: 'It sets a failsafe',
          options: [
            ['none', 'not at all'],
            ['button', 'by its button'],
            ['menu', 'in its menu'],
          ],
        },
      ],
    },
    bind(false),
    named('module'),
    rest(true),
  ],
  receiver: [
    {
      title: 'What do you see?',
      words: ['family', 'variant', 'wire format', 'inverted'],
      fields: [protocols(false), output('What comes out?', 'outputs')],
    },
    {
      title: 'When the link is lost',
      words: ['failsafe', 'hold', 'stored values'],
      fields: [
        {
          type: 'several',
          key: 'failsafe.modes',
          question: 'It can',
          options: [
            ['hold', 'hold the last values'],
            ['stored', 'go to stored values'],
            ['none', 'stop all output'],
            ['flag', 'raise a flag'],
          ],
          hint: 'as delivered first',
        },
        {
          type: 'several',
          key: 'failsafe.set_by',
          question: 'Set',
          options: [
            ['handset', 'from the handset'],
            ['button', 'by its button'],
            ['bind', 'while binding'],
            ['module', 'by the module'],
          ],
        },
      ],
    },
    {
      title: 'Power and link',
      fields: [
        ...supply,
        { type: 'choice', key: 'telemetry', question: 'Sends data back?', options: YES_NO },
        { type: 'several', key: 'channel_modes', question: 'Channels it takes', options: MODES },
        {
          type: 'list',
          key: 'reserved_channels',
          question: 'Channels the link keeps for itself',
          one: 'channel',
          fresh: { channel: 5 },
          fields: [
            { type: 'number', key: 'channel', question: 'Channel' },
            { type: 'text', key: 'for', question: 'Kept for' },
          ],
        },
      ],
    },
    bind(true),
    named('receiver'),
    rest(true),
  ],
  converter: [
    { title: 'What goes in?', words: ['wire format', 'inverted'], fields: INPUT_FIELDS.map((field) => ({ ...field, key: `input.${field.key}` })) },
    {
      title: 'What comes out?',
      fields: (output('', '').fields ?? [])
        .filter((field) => field.key !== 'mode')
        .map((field) => ({ ...field, key: `output.${field.key}`, when: undefined })),
    },
    {
      title: 'Power and loss',
      fields: [...supply, { type: 'choice', key: 'on_input_loss', question: 'When nothing comes in any more', options: lossOptions }],
    },
    named('converter'),
    rest(true),
  ],
  controller: [
    {
      title: 'What do you see?',
      fields: [
        inputs,
        { type: 'choice', key: 'order', question: 'Its channel order', from: 'orders' },
        { type: 'choice', key: 'order_settable', question: 'Can the order be set?', options: YES_NO },
      ],
    },
    {
      title: 'What does it drive?',
      fields: [
        { type: 'number', key: 'outputs.pins', question: 'Output pins' },
        { type: 'choice', key: 'outputs.passes_throttle', question: 'Does throttle go through it?', options: YES_NO },
        { type: 'choice', key: 'outputs.functions_settable', question: 'Any function on any output?', options: YES_NO },
        periods('outputs.period_ms', 'Servo frame period'),
        { type: 'number', key: 'outputs.level_v', question: 'High level of its pins', unit: 'V' },
      ],
    },
    {
      title: 'When does it take throttle for low or full?',
      words: ['threshold', 'dead band'],
      fields: [
        { type: 'number', key: 'thresholds.low', question: 'Low below', unit: 'µs' },
        { type: 'number', key: 'thresholds.high', question: 'Full above', unit: 'µs' },
        { type: 'number', key: 'thresholds.deadband', question: 'Dead band', unit: 'µs' },
      ],
    },
    {
      title: 'Power and loss',
      fields: [
        ...supply,
        { type: 'number', key: 'feeds_v', question: 'Voltage it gives to the receiver', unit: 'V' },
        { type: 'choice', key: 'watches_failsafe', question: 'Notices by itself when frames stop?', options: YES_NO },
        { type: 'choice', key: 'position_hold', question: 'Holds its position?', options: YES_NO },
      ],
    },
    named('controller'),
    rest(true),
  ],
  servo_set: [
    {
      title: 'What is in the craft?',
      fields: [
        {
          type: 'list',
          key: 'servos',
          question: 'Servos and speed controllers',
          one: 'servo',
          fresh: { function: '' },
          fields: [
            { type: 'text', key: 'function', question: 'Moves', hint: 'aileron, throttle' },
            { type: 'choice', key: 'digital', question: 'Digital?', options: YES_NO },
            { type: 'number', key: 'safe_lo_us', question: 'Safe from', unit: 'µs' },
            { type: 'number', key: 'safe_hi_us', question: 'to', unit: 'µs' },
          ],
        },
        { type: 'number', key: 'feeds_v', question: 'Voltage the speed controller gives to the receiver', unit: 'V' },
      ],
    },
    rest(false),
  ],
}

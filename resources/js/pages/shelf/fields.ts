import type { GearKind } from '@/api/shelf'

/** A question about a piece of gear, answered by what can be seen on it. `key` is a path in the card. */
export interface Field {
  type: 'text' | 'number' | 'choice' | 'several' | 'words' | 'numbers' | 'list'
  key: string
  question: string
  unit?: string
  hint?: string
  options?: [value: string, label: string][]
  /** The options are a list of the core. */
  from?: 'wire_formats' | 'chemistries' | 'orders'
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
const periods = (key: string, question: string): Field => ({ type: 'numbers', key, question, unit: 'ms', hint: 'as delivered first' })

const protocols = (isSender: boolean): Field => ({
  type: 'list',
  key: 'protocols',
  question: isSender ? 'Which air protocols does it speak?' : 'Which air protocols does it hear?',
  one: 'protocol',
  fresh: { family: '' },
  fields: [
    { type: 'text', key: 'family', question: 'Family', hint: 'weft' },
    { type: 'text', key: 'variant', question: 'Variant', hint: 'weft-8, auto' },
    periods('frame_ms', 'Frame period'),
    { type: 'number', key: 'channels', question: 'Channels' },
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
    { type: 'words', key: 'labels', question: 'Printed at pins 1, 2 …', hint: 'T A E R G', when: isPwm },
    { type: 'number', key: 'pins', question: 'Number of pins', when: (entry) => isPwm(entry) && entry.labels === undefined },
    { type: 'choice', key: 'remappable', question: 'Any channel on any pin?', options: YES_NO, when: isPwm },
    {
      type: 'choice',
      key: 'polarity',
      question: 'Polarity',
      options: [
        ['standard', 'as the format has it'],
        ['flipped', 'the other way up'],
      ],
      when: (entry) => !isPwm(entry),
    },
    { type: 'number', key: 'level_v', question: 'High level', unit: 'V' },
    { type: 'number', key: 'channels', question: 'Channels', when: (entry) => !isPwm(entry) },
    periods('period_ms', 'Frame period'),
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

const supply: Field[] = [
  { type: 'number', key: 'supply.min_v', question: 'Lowest supply voltage', unit: 'V' },
  { type: 'number', key: 'supply.max_v', question: 'Highest supply voltage', unit: 'V', hint: 'printed beside the plus pin' },
  { type: 'number', key: 'supply.ma', question: 'Current it draws', unit: 'mA' },
]

const bind: Chapter = {
  title: 'How does it bind?',
  fields: [
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
    { type: 'text', key: 'bind.lights.searching', question: 'Light while it searches' },
    { type: 'text', key: 'bind.lights.bind', question: 'Light while it binds' },
    { type: 'text', key: 'bind.lights.linked', question: 'Light when linked' },
    { type: 'number', key: 'bind.window_s', question: 'Only in the first seconds', unit: 's' },
  ],
}

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
        {
          type: 'choice',
          key: 'sticks.mode',
          question: 'Stick mode',
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
          ],
        },
        output('What the module bay gives', 'bay.outputs'),
        output('What the trainer socket gives', 'trainer.outputs'),
      ],
    },
    {
      title: 'How does it scale?',
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
      ],
    },
  ],
  module: [
    { title: 'What do you see?', fields: [inputs, protocols(true)] },
    {
      title: 'What does it do with the order?',
      fields: [
        { type: 'choice', key: 'remap.expects', question: 'It expects', from: 'orders' },
        { type: 'choice', key: 'remap.sends', question: 'and sends', from: 'orders' },
        { type: 'choice', key: 'remap.switchable', question: 'Can that be switched off?', options: YES_NO },
      ],
    },
    {
      title: 'Power and loss',
      fields: [
        ...supply,
        { type: 'numbers', key: 'powers_mw', question: 'Radio powers', unit: 'mW' },
        { type: 'choice', key: 'on_input_loss', question: 'When nothing comes in any more', options: lossOptions },
      ],
    },
    bind,
  ],
  receiver: [
    { title: 'What do you see?', fields: [protocols(false), output('What comes out?', 'outputs')] },
    {
      title: 'When the link is lost',
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
    bind,
  ],
  converter: [
    { title: 'What goes in?', fields: INPUT_FIELDS.map((field) => ({ ...field, key: `input.${field.key}` })) },
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
  ],
}

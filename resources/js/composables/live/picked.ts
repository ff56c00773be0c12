import type { LiveSource } from './source'

/** Where live values may come from. */
export type SourceKind = 'port' | 'adapter' | 'sound' | 'controller' | 'log' | 'stand-in'

export interface Picked {
  kind: SourceKind
  source: LiveSource
  /** Of a log: the capture of the desk. */
  capture?: string
}

/** What each is, and its honest limits. */
export const SOURCES: Record<SourceKind, { name: string; limits: string }> = {
  port: { name: 'a port of this machine', limits: 'What the receiver sends, over a serial-to-network adapter: values as they arrive at the reader.' },
  adapter: {
    name: 'a USB serial adapter',
    limits: 'What the receiver sends, handed to this page by the browser. Inverted lines through an inverter first: an adapter cannot turn them.',
  },
  sound: {
    name: 'the sound input',
    limits:
      'A trainer socket or the signal of a servo on a lead into line-in, its level low. A pulse train or single pulse only, to a grain of about twenty µs.',
  },
  controller: { name: 'a game controller', limits: 'A handset on a USB lead: its own outputs, before any radio.' },
  log: { name: 'a capture of the desk', limits: 'Played back as if it came now.' },
  'stand-in': {
    name: 'the stand-in, without gear',
    limits: "The rig's dry bench moves by itself, to see how it goes. Nothing of it is a reading, and nothing is written.",
  },
}

/** Why nothing of what such a source shows is written; empty: it may be. */
export const WHY_NOT: Record<SourceKind, string> = {
  port: '',
  adapter: '',
  log: '',
  sound: 'A sound input reads to its grain of about twenty µs only: nothing of it is written. Take the ends from a port or an adapter.',
  controller: 'A game controller shows axes of the handset, not channels as they arrive: nothing of it is written.',
  'stand-in': "The stand-in moved, nobody's hands: this is what would be written, and nothing is.",
}

import type { Component } from 'vue'
import type { Meant } from '@/api/rigs'
import { numberFrom } from '@/lib/numberText'

/** One question of a tool. Every answer is text, as it stands in the address. */
export interface ToolField {
  key: string
  label: string
  type: 'number' | 'text' | 'choice' | 'lines'
  unit?: string
  start: string
  options?: [value: string, label: string][]
  /** The options are a list of the core. */
  from?: 'chemistries' | 'serial_formats'
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
  /** What it takes for granted, to be explained on the spot. */
  words: string[]
  fields: ToolField[]
  question: (answers: Answers) => Record<string, unknown>
  /** The step of a rig where the same is done; empty: there is none. */
  step: string
  /** Readings it leaves in the rig's travel table, by channel, to be looked at there. */
  draft?: (answers: Answers) => Record<string, { lo: number; mid: number; hi: number }>
  /** What its answer would mean in a rig, if anything. */
  meant?: (answers: Answers, answer: Record<string, unknown>) => Meant
  /** Shows what the verb answered: the props `answer`, and `answers` to the questions where it needs them. */
  answer: Component
}

/** A number, or the text itself when it is none: the verb then says what it found. */
export function valueOf(text: string): number | string {
  return numberFrom(text, null, true) ?? text
}

/** Those of these answers that were given, as numbers. */
export function numbers(answers: Answers, keys: string[]): Record<string, unknown> {
  return Object.fromEntries(keys.filter((key) => (answers[key] ?? '').trim() !== '').map((key) => [key, valueOf(answers[key] ?? '')]))
}

/** Lines of comma-parted cells. */
export function linesOf(text: string): string[][] {
  return text
    .split('\n')
    .filter((line) => line.trim() !== '')
    .map((line) => line.split(',').map((cell) => cell.trim()))
}

export const number = (key: string, label: string, start: string, unit?: string, isOptional = false): ToolField => ({
  key,
  label,
  type: 'number',
  start,
  isOptional,
  ...(unit ? { unit } : {}),
})
export const choice = (key: string, label: string, options: [string, string][], start = options[0]?.[0] ?? ''): ToolField => ({
  key,
  label,
  type: 'choice',
  options,
  start,
})
export const lines = (key: string, label: string, columns: string, start: string): ToolField => ({ key, label, type: 'lines', columns, start })

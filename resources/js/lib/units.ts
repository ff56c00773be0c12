/** The units in which a pulse width is shown: µs, percent on the handset's scale, counts as they travel on the wire. */
export type Unit = 'us' | 'pct' | 'raw'

export const UNIT_WORDS: Record<Unit, string> = { us: 'µs', pct: '%', raw: 'raw' }

/** A scale through 1500 µs: value = centre + (µs − 1500) × per_us. */
export interface UnitLine {
  centre: number
  per_us: number
}

/** The scales of a rig, as the core gives them; raw is missing where no wire of the chain carries counts. */
export interface UnitScales {
  percent: UnitLine
  raw: UnitLine | null
}

const CENTRE_US = 1500

const lineOf = (unit: Unit, scales: UnitScales): UnitLine | null => (unit === 'pct' ? scales.percent : unit === 'raw' ? scales.raw : null)

/** A pulse width in µs as a value in this unit. */
export function fromPulse(us: number, unit: Unit, scales: UnitScales): number {
  const line = lineOf(unit, scales)
  return line ? line.centre + (us - CENTRE_US) * line.per_us : us
}

/** A value in this unit as a pulse width in µs. */
export function toPulse(value: number, unit: Unit, scales: UnitScales): number {
  const line = lineOf(unit, scales)
  return line ? CENTRE_US + (value - line.centre) / line.per_us : value
}

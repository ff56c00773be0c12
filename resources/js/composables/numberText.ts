import type { UnitMap, Unit } from './useUnits'

/**
 * What somebody typed into a number field: `1085`, `1085.5`, `1085,5` (in the unit shown), `+3` or `-3` (that much more or less than
 * what stands there), `97.7%` (percent on the handset's scale). Null when it is none of these.
 *
 * In a signed field `+9` is a value, not a change.
 */
export function numberFrom(text: string, before: number | null, isSigned = false): number | null {
  const clean = text.trim().replace(',', '.').replace('−', '-')
  if (!/^[+-]?\d+(\.\d+)?$/.test(clean)) return null
  const isRelative = !isSigned && /^[+-]/.test(clean)
  if (isRelative && before === null) return null
  return isRelative ? (before ?? 0) + Number(clean) : Number(clean)
}

/** A pulse width in µs from what somebody typed while this unit is shown. */
export function pulseFrom(text: string, before: number | null, unit: Unit, map: UnitMap): number | null {
  const isPercent = /%\s*$/.test(text)
  const shown: Unit = isPercent ? 'pct' : unit
  const isSigned = shown === 'pct'
  const value = numberFrom(text.replace(/%\s*$/, ''), before === null ? null : fromPulse(before, shown, map), isSigned)
  return value === null ? null : toPulse(value, shown, map)
}

const CENTRE_US = 1500

export function fromPulse(us: number, unit: Unit, map: UnitMap): number {
  const line = unit === 'pct' ? map.percent : unit === 'raw' ? map.raw : null
  return line ? line.centre + (us - CENTRE_US) * line.per_us : us
}

export function toPulse(value: number, unit: Unit, map: UnitMap): number {
  const line = unit === 'pct' ? map.percent : unit === 'raw' ? map.raw : null
  return line ? CENTRE_US + (value - line.centre) / line.per_us : value
}

/** A figure without the dust of binary fractions, with at most this many decimals. */
export function figure(value: number, decimals = 1): string {
  return String(Number(value.toFixed(decimals))).replace('-', '−')
}

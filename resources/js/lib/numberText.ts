import { fromPulse, toPulse, type Unit, type UnitScales } from './units'

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

/** Several signed numbers with blanks, semicolons or slashes between them; null when one is no number. */
export function numbersFrom(text: string): number[] | null {
  const numbers = text
    .trim()
    .split(/[\s;/]+/)
    .map((part) => numberFrom(part, null, true))
  return numbers.includes(null) ? null : (numbers as number[])
}

/** A pulse width in µs from what somebody typed while this unit is shown. */
export function pulseFrom(text: string, before: number | null, unit: Unit, scales: UnitScales): number | null {
  const isPercent = /%\s*$/.test(text)
  const shown: Unit = isPercent ? 'pct' : unit
  const isSigned = shown === 'pct'
  const value = numberFrom(text.replace(/%\s*$/, ''), before === null ? null : fromPulse(before, shown, scales), isSigned)
  return value === null ? null : toPulse(value, shown, scales)
}

/** A figure without the dust of binary fractions, with at most this many decimals. */
export function figure(value: number, decimals = 1): string {
  return String(Number(value.toFixed(decimals))).replace('-', '−')
}

/** A size of a file: "512 bytes", "3.4 kB", "12 MB". */
export function sizeOf(bytes: number): string {
  return bytes < 1000 ? `${bytes} bytes` : bytes < 1e6 ? `${figure(bytes / 1000)} kB` : `${figure(bytes / 1e6)} MB`
}

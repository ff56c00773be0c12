/** A stretch of time on a drawing, µs. */
export interface Stretch {
  from: number
  to: number
}

export const lengthOf = (stretch: Stretch) => stretch.to - stretch.from
export const middleOf = (stretch: Stretch) => (stretch.from + stretch.to) / 2

/** Where a value stands on a drawing: a straight line from one stretch to another; `isKept`: never beyond its ends. */
export function placed(from: Stretch, to: Stretch, isKept = false): (value: number) => number {
  return (value) => {
    const share = (value - from.from) / (from.to - from.from)
    return Number((to.from + (isKept ? Math.min(1, Math.max(0, share)) : share) * (to.to - to.from)).toFixed(6))
  }
}

/** The pulse widths that drawings show, µs: what any equipment sends, with room on both sides. */
export const SHOWN_US: Stretch = { from: 850, to: 2150 }

/** What most handsets send from end to end, µs. */
export const USUAL_US: Stretch = { from: 988, to: 2012 }

/** Where each of these begins that stand one behind the other, and where the last one ends. */
export function stacked(lengths: number[]): number[] {
  const starts = [0]
  for (const length of lengths) starts.push((starts[starts.length - 1] ?? 0) + length)
  return starts
}

const PER_MS = 1000

export const usOf = (ms: number) => ms * PER_MS
export const msOf = (us: number) => us / PER_MS
export const secondsOf = (ms: number) => ms / PER_MS
/** How many a second, of a time from one to the next in ms. */
export const rateOf = (ms: number) => PER_MS / ms
/** A share of one as percent. */
export const percentOf = (share: number) => share * 100

/** The stretch moved by so much, kept inside another one. */
export function moved(stretch: Stretch, by: number, inside: Stretch): Stretch {
  const length = Math.min(lengthOf(stretch), lengthOf(inside))
  const from = Math.min(Math.max(stretch.from + by, inside.from), inside.to - length)
  return { from, to: from + length }
}

/** The stretch made longer or shorter about its middle, kept inside another one and not shorter than so much. */
export function zoomed(stretch: Stretch, factor: number, inside: Stretch, shortest: number): Stretch {
  const length = Math.min(Math.max(lengthOf(stretch) * factor, shortest), lengthOf(inside))
  const middle = (stretch.from + stretch.to) / 2
  return moved({ from: middle - length / 2, to: middle + length / 2 }, 0, inside)
}

/** A time in the unit that suits it: 850 ns, 12.5 µs, 3.2 ms, 1.4 s. */
export function timeWords(us: number): string {
  const size = Math.abs(us)
  if (size < 1e-6) return '0'
  const [value, unit] = size < 1 ? [us * 1000, 'ns'] : size < 1000 ? [us, 'µs'] : size < 1e6 ? [us / 1000, 'ms'] : [us / 1e6, 's']
  return `${Number(value.toPrecision(4))} ${unit}`
}

/** A step of 1, 2 or 5 times a power of ten that divides a length into about so many. */
export function niceStep(length: number, about: number): number {
  const rough = length / about
  const power = 10 ** Math.floor(Math.log10(rough))
  const first = rough / power
  return (first < 1.5 ? 1 : first < 3.5 ? 2 : first < 7.5 ? 5 : 10) * power
}

/** Marks at whole steps inside a stretch. */
export function marksIn(stretch: Stretch, about = 6): number[] {
  const step = niceStep(lengthOf(stretch), about)
  const marks: number[] = []
  for (let at = Math.ceil(stretch.from / step) * step; at <= stretch.to; at += step) marks.push(at)
  return marks
}

/** Where the middle of a word under a drawing stands, so that none hangs over its edge; letters are of one width. */
export const wordAt = (x: number, width: number, word: string) =>
  `clamp(${word.length / 2}ch + 3px, ${(x / width) * 100}%, 100% - ${word.length / 2}ch - 3px)`

/** The path of a level that alternates at these times. */
export function levelPath(edges: number[], level: 0 | 1, x: (us: number) => number, end: number, high: number, low: number): string {
  let now: 0 | 1 = level
  const y = () => (now === 1 ? high : low)
  let path = `M${x(-Infinity).toFixed(1)} ${y()}`
  for (const us of edges) {
    const at = x(us).toFixed(1)
    now = now === 1 ? 0 : 1
    path += `H${at}V${y()}`
  }
  return `${path}H${end.toFixed(1)}`
}

/** What begins here and lasts so long, with room on both sides: a share of its length. */
export const around = (begin: number, length: number, margin: number): Stretch => ({
  from: begin - margin * length,
  to: begin + length * (1 + margin),
})

/** A time moved back by so much. */
export const back = (time: number, by: number) => time - by

/** Whether two places on a drawing are so near that their words would touch. */
export const isNear = (one: number, other: number, within: number) => Math.abs(one - other) < within

import type { NamedThing } from '@/api/shelf'

/** A name that a field offers, with what manuals and labels call it. */
export interface Offer {
  value: string
  aliases: string[]
}

/** Families or variants known at this bench; of variants those of the family that stands beside. */
export function offered(entries: NamedThing[], kind: 'family' | 'variant' | undefined, family: unknown): Offer[] {
  if (kind === undefined) return []
  const named = entries.filter((entry) => entry.kind === kind)
  if (kind === 'family') return named.map(({ target, aliases }) => ({ value: target, aliases }))
  return named
    .map(({ target, aliases }) => ({ family: target.split('/')[0], value: target.split('/').slice(1).join('/'), aliases }))
    .filter((one) => typeof family !== 'string' || family === '' || one.family === family)
    .map(({ value, aliases }) => ({ value, aliases }))
}

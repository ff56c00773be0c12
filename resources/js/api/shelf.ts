import { queryOptions } from '@tanstack/vue-query'
import type { GearCard } from './generated/gear-card'
import type { CardListed, NamedThing, Starter } from './generated/screens'
import { getJson } from './http'

export type GearKind = GearCard['kind']

export type { CardListed, ImportReport, NamedThing } from './generated/screens'

/** A card while it is being entered: any key may still be missing. */
export type CardDocument = { id: string; kind: GearKind; name: string } & Record<string, unknown>

export interface CardData {
  card: CardDocument
  revision: number
  rigs: { slug: string; name: string }[]
}

/** Generic cards to begin from: they never change while a page is open. */
export const startersQuery = queryOptions({
  queryKey: ['starters'] as const,
  queryFn: ({ signal }) => getJson<{ starters: Starter[] }>('/starters', signal),
  staleTime: Infinity,
})

export const shelfQuery = queryOptions({
  queryKey: ['shelf'] as const,
  queryFn: ({ signal }) => getJson<{ cards: CardListed[] }>('/shelf', signal),
})

/** Stands in the address where a card would, for one that is not there yet. */
export const NEW_CARD = 'new-card'

export const cardQuery = (id: string) =>
  queryOptions({
    queryKey: ['shelf', id] as const,
    queryFn: ({ signal }) => getJson<CardData>(`/shelf/${id}`, signal),
  })

export const namesQuery = queryOptions({
  queryKey: ['aliases'] as const,
  queryFn: ({ signal }) => getJson<{ entries: NamedThing[] }>('/aliases', signal),
})

/** Kinds in the sequence in which gear stands in a chain, with what a drawer of them would be labelled. */
export const KINDS: { kind: GearKind; one: string; many: string }[] = [
  { kind: 'handset', one: 'handset', many: 'Handsets' },
  { kind: 'module', one: 'module', many: 'Modules' },
  { kind: 'receiver', one: 'receiver', many: 'Receivers' },
  { kind: 'converter', one: 'converter', many: 'Converters' },
  { kind: 'controller', one: 'controller', many: 'Controllers and gyros' },
  { kind: 'servo_set', one: 'servo set', many: 'Craft: servos and motors' },
]

import { type QueryClient, queryOptions } from '@tanstack/vue-query'
import type { Intents } from './generated/intents'
import type { RigData, RigSummary } from './generated/screens'
import { getJson } from './http'

export type { Intents } from './generated/intents'
export type * from './generated/screens'

/** What is told with an intent. */
export type Told<N extends keyof Intents> = NonNullable<Intents[N]>

/** An intent with what is told with it. */
export type Meant = { [N in keyof Intents]-?: { intent: N; told: Told<N> } }[keyof Intents]

export const rigsQuery = queryOptions({
  queryKey: ['rigs'] as const,
  queryFn: ({ signal }) => getJson<{ rigs: RigSummary[] }>('/rigs', signal),
})

export const rigQuery = (slug: string) =>
  queryOptions({
    queryKey: ['rig', slug] as const,
    queryFn: ({ signal }) => getJson<RigData>(`/rigs/${slug}`, signal),
  })

/** A rig as the bench has just answered it: what was asked for before, and is still under way, must not replace it. */
export async function putRig(client: QueryClient, rig: RigData): Promise<void> {
  const { queryKey } = rigQuery(rig.slug)
  await client.cancelQueries({ queryKey, exact: true })
  client.setQueryData(queryKey, rig)
}

/** Rigs that come with the bench, to be run and practised on: nothing of them is ever kept. */
export const samplesQuery = queryOptions({
  queryKey: ['samples'] as const,
  queryFn: ({ signal }) => getJson<{ samples: Runnable[] }>('/samples', signal),
  staleTime: Infinity,
})

/** What can be run: its place in addresses, and its name. */
export interface Runnable {
  slug: string
  name: string
}

export const isSample = (slug: string) => slug.startsWith('~')

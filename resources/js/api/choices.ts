import { queryOptions } from '@tanstack/vue-query'
import type { Choices } from './generated/screens'
import { getJson } from './http'

export type { Choices, LineChoice, PackChoice } from './generated/screens'

/** What can be chosen from, wherever the core has a list: it never changes while a page is open. */
export const choicesQuery = queryOptions({
  queryKey: ['choices'] as const,
  queryFn: ({ signal }) => getJson<Choices>('/choices', signal),
  staleTime: Infinity,
})

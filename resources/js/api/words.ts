import { queryOptions } from '@tanstack/vue-query'
import { getJson } from './http'

/** A word of the work and what it means. */
export interface Word {
  word: string
  also: string[]
  says: string
  see: string[]
}

/** All of them: they never change while a page is open. */
export const wordsQuery = queryOptions({
  queryKey: ['words'] as const,
  queryFn: ({ signal }) => getJson<{ words: Word[] }>('/words', signal),
  staleTime: Infinity,
})

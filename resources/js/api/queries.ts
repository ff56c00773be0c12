import { QueryClient } from '@tanstack/vue-query'

/** What has been asked of the server, for all screens. */
export const queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: 2000 } } })

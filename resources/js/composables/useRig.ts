import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { ApiError, patchJson, postJson, sentenceOf } from '@/api/http'
import { type RigData, rigQuery, rigsQuery } from '@/api/rigs'
import { useNotice } from './useNotice'

export interface RigChange {
  text: string
  set?: Record<string, unknown>
  clear?: string[]
}

const CONFLICT = 409
/** Not reached, or busy with another write: the same request may succeed. */
const TRANSIENT = [0, 503]

/** One rig: as the server has it, and the ways to change it. Changes are sent one after the other. */
export function useRig(slug: MaybeRefOrGetter<string>) {
  const client = useQueryClient()
  const notice = useNotice()
  const query = useQuery(computed(() => rigQuery(toValue(slug))))
  let queue: Promise<unknown> = Promise.resolve()

  function take(data: RigData): void {
    client.setQueryData(rigQuery(data.slug).queryKey, data)
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
  }

  async function send(address: string, method: typeof postJson, body: Record<string, unknown>, retry: () => void): Promise<boolean> {
    const current = client.getQueryData<RigData>(rigQuery(toValue(slug)).queryKey)
    if (current === undefined) return false
    try {
      take(await method<RigData>(address, { revision: current.revision, ...body }))
      return true
    } catch (error) {
      if (error instanceof ApiError && error.status === CONFLICT) {
        await query.refetch()
        notice.warn(`${error.message} Nothing was overwritten; what is there now is shown.`, { label: 'Make my change too', run: retry })
      } else {
        notice.warn(sentenceOf(error), error instanceof ApiError && TRANSIENT.includes(error.status) ? { label: 'Try again', run: retry } : null)
      }
      return false
    }
  }

  function line(work: () => Promise<boolean>): Promise<boolean> {
    const next = queue.then(work)
    queue = next.catch(() => undefined)
    return next
  }

  function change(wanted: RigChange): Promise<boolean> {
    return line(() =>
      send(`/rigs/${toValue(slug)}`, patchJson, { text: wanted.text, set: wanted.set ?? {}, clear: wanted.clear ?? [] }, () => void change(wanted)),
    )
  }

  function undo(entry?: number): Promise<boolean> {
    return line(() => send(`/rigs/${toValue(slug)}/undo`, postJson, entry === undefined ? {} : { entry }, () => void undo(entry)))
  }

  /** Anything else that changes the rig: sent to an address below it, with the revision it was made on. */
  function post(below: string, body: Record<string, unknown>): Promise<boolean> {
    return line(() => send(`/rigs/${toValue(slug)}/${below}`, postJson, body, () => void post(below, body)))
  }

  return { query, rig: computed(() => query.data.value ?? null), change, undo, post }
}

export type RigHandle = ReturnType<typeof useRig>

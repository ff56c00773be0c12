import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, readonly, ref, toValue, watch } from 'vue'
import { ApiError, isConflict, patchJson, postJson, sentenceOf } from '@/api/http'
import { type Intents, type LikePartView, type Meant, putRig, type RigData, rigQuery, rigsQuery, type Told } from '@/api/rigs'
import { useNotice } from './useNotice'
import { type ToldOnce, useOutbox } from './useOutbox'
import { useReach } from './useReach'

/** Places of the document as they were at another moment, brought back on purpose. */
export interface RigPatch {
  text: string
  set: Record<string, unknown>
  clear: string[]
}

/** Not reached, or busy with another write: the same request may succeed. */
const TRANSIENT = [0, 503]

/**
 * One rig: as the server has it, and the ways to change it. What is meant is sent one after the other, each on the revision the one before
 * left; the server works out what it changes.
 */
export function useRig(slug: MaybeRefOrGetter<string>) {
  const client = useQueryClient()
  const notice = useNotice()
  const outbox = useOutbox()
  const reach = useReach()
  const query = useQuery(computed(() => rigQuery(toValue(slug))))
  let queue: Promise<unknown> = Promise.resolve()
  const waiting = ref(0)
  /** When the bench took what was meant last for this rig; null: nothing yet, or it was refused. */
  const keptAt = ref<string | null>(null)
  watch(
    () => toValue(slug),
    () => (keptAt.value = null),
  )

  async function take(data: RigData): Promise<void> {
    await putRig(client, data)
    void client.invalidateQueries({ queryKey: rigsQuery.queryKey })
  }

  /**
   * @param later  What is meant, where it may wait for a bench that does not answer: it is sent when it does.
   */
  async function send(
    address: string,
    method: typeof postJson,
    body: Record<string, unknown>,
    retry: () => void,
    later: ToldOnce | null = null,
  ): Promise<boolean> {
    const current = client.getQueryData<RigData>(rigQuery(toValue(slug)).queryKey)
    if (current === undefined) return false
    if (later && outbox.isBehind(current.slug)) {
      outbox.put(later, current)
      await outbox.sendAll()
      return outbox.isTaken(later)
    }
    try {
      await take(await method<RigData>(address, { revision: current.revision, ...body }))
      return true
    } catch (error) {
      if (isConflict(error)) {
        await query.refetch()
        notice.warn(`${error.message} Nothing was overwritten; what is there now is shown.`, { label: 'Make my change too', run: retry })
      } else if (later && error instanceof ApiError && error.status === 0) {
        outbox.put(later, current)
        reach.went()
      } else {
        notice.warn(sentenceOf(error), error instanceof ApiError && TRANSIENT.includes(error.status) ? { label: 'Try again', run: retry } : null)
      }
      return false
    }
  }

  function line(work: () => Promise<boolean>): Promise<boolean> {
    waiting.value++
    const next = queue
      .then(work)
      .then((isKept) => {
        // What was refused last does not stand as saved because something before it was.
        keptAt.value = isKept ? new Date().toISOString() : null
        return isKept
      })
      .finally(() => waiting.value--)
    queue = next.catch(() => undefined)
    return next
  }

  const newest = () => client.getQueryData<RigData>(rigQuery(toValue(slug)).queryKey)?.history[0]?.entry.text ?? ''

  const meant = <N extends keyof Intents>(intent: N, told: Told<N>, later: ToldOnce | null = null): Promise<boolean> =>
    line(() => send(`/rigs/${toValue(slug)}/intents`, postJson, { intent, told, once: later?.once }, () => void intend(intent, told), later))

  /** Tells what is meant; true: it was taken. Where the bench does not answer, or the page is left before it has, it waits and is sent then. */
  function intend<N extends keyof Intents>(intent: N, told: Told<N>): Promise<boolean> {
    const later = outbox.begin({ intent, told } as unknown as Meant, toValue(slug))
    return meant(intent, told, later).finally(() => outbox.end(later))
  }

  function said(isKept: boolean): boolean {
    if (isKept) notice.say(`Kept: ${newest()}`, { label: 'Take it back', run: () => void undo() })
    return isKept
  }

  /** A proof: said aloud once it is kept, and easily taken back. */
  async function prove<N extends keyof Intents>(intent: N, told: Told<N>): Promise<boolean> {
    // It counts for the moment in which it was seen: it waits for nobody.
    return said(await meant(intent, told))
  }

  /** Only for bringing back what another moment had; everything else is an intent. */
  function patch(wanted: RigPatch): Promise<boolean> {
    return line(() => send(`/rigs/${toValue(slug)}`, patchJson, { ...wanted }, () => void patch(wanted)))
  }

  /** Lines of a part are to be as in another rig. */
  function beLike(other: string, part: LikePartView['part'], keys: string[]): Promise<boolean> {
    return line(() => send(`/rigs/${toValue(slug)}/like/${other}`, postJson, { part, keys }, () => void beLike(other, part, keys)))
  }

  /** What a dance showed is written: its log goes along, so that the bench says itself what it shows. */
  async function takeDance(told: { log: unknown[]; prompts: unknown[]; short: boolean; keys: string[]; by: string }): Promise<boolean> {
    return said(await line(() => send(`/rigs/${toValue(slug)}/dance/take`, postJson, told, () => void takeDance(told))))
  }

  /** Takes back the last thing done, or this one, and says what that was: it may have been done on another step. */
  async function undo(entry?: number): Promise<boolean> {
    const isBack = await line(() => send(`/rigs/${toValue(slug)}/undo`, postJson, entry === undefined ? {} : { entry }, () => void undo(entry)))
    if (isBack) notice.say(newest())
    return isBack
  }

  return {
    query,
    rig: computed(() => query.data.value ?? null),
    isSending: computed(() => waiting.value > 0),
    keptAt: readonly(keptAt),
    intend,
    prove,
    patch,
    beLike,
    takeDance,
    undo,
  }
}

export type RigHandle = ReturnType<typeof useRig>

import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { ApiError, isConflict, getJson, postJson, sentenceOf } from '@/api/http'
import { queries } from '@/api/queries'
import { type Meant, putRig, type RigData, rigQuery, rigsQuery } from '@/api/rigs'
import { useNotice } from './useNotice'
import { useReach } from './useReach'

/** Something meant for a rig, and the name that it is told by: told again by the same one, because nobody heard the answer, it is done once. */
export type ToldOnce = Meant & { slug: string; once: string }

/** That which the bench has not answered, with the revision that was seen then. */
export type Waiting = ToldOnce & { name: string; revision: number }

/** Survives a reload: what is typed while the server is stopped is sent when it answers again; to this bench only, whatever else is served at this address. */
const bench = document.querySelector<HTMLMetaElement>('meta[name="bench"]')?.content ?? ''
const waiting = useLocalStorage<Waiting[]>(`linguator.outbox/${bench}`, [])
/** Rigs that were changed meanwhile: what waits for them is sent only when somebody says so. */
const conflicts = ref<string[]>([])
/** Told by this page, and not answered yet. */
const underWay = new Set<ToldOnce>()
/** Not reached, signed out, or busy: nothing is said of what was meant, and it is told again. */
const LATER = [0, 401, 419, 503]
/** What the bench would not take, by the name that it was told by. */
const refused = new Set<string>()
/** What waits is being sent. */
let sending: Promise<void> | null = null
/** This page is being left: nothing of it is sent any more, so that nothing overtakes what the next one sends. */
let isLeft = false

const name = () => Array.from(crypto.getRandomValues(new Uint32Array(3)), (number) => number.toString(36)).join('-')

function begin(meant: Meant, slug: string): ToldOnce {
  const one = { ...meant, slug, once: name() }
  underWay.add(one)
  return one
}

const end = (one: ToldOnce) => void underWay.delete(one)

/** Whether something waits for this rig that was meant before, and nobody has to decide about it: it is told first. */
const isBehind = (slug: string) => waiting.value.some((one) => one.slug === slug) && !conflicts.value.includes(slug)
const isWaiting = (one: ToldOnce) => waiting.value.some((each) => each.once === one.once)

/** Of something that waited: whether the bench has it. */
const isTaken = (one: ToldOnce) => !isWaiting(one) && !refused.has(one.once)

/** It is sent when the bench answers again, or by the page that comes after this one. */
function put(one: ToldOnce, rig: RigData): void {
  if (isWaiting(one)) return
  waiting.value = [...waiting.value, { ...one, name: rig.document.name, revision: rig.revision }]
}

/** A page that is left before the answer may have told it or not. */
function leave(): void {
  isLeft = true
  for (const one of underWay) {
    const rig = queries.getQueryData<RigData>(rigQuery(one.slug).queryKey)
    if (rig !== undefined) put(one, rig)
  }
}
window.addEventListener('pagehide', leave)
window.addEventListener('pageshow', () => (isLeft = false))

function drop(slug: string): void {
  waiting.value = waiting.value.filter((one) => one.slug !== slug)
  conflicts.value = conflicts.value.filter((one) => one !== slug)
}

/** What waits for one rig, in the sequence in which it was meant, each on the revision that the one before left. False: the bench does not answer. */
async function sendFor(slug: string, revision: number): Promise<boolean> {
  const notice = useNotice()
  let at = revision
  for (let one = waiting.value.find((each) => each.slug === slug); one; one = waiting.value.find((each) => each.slug === slug)) {
    const mine = one
    try {
      const rig = await postJson<RigData>(`/rigs/${slug}/intents`, { revision: at, intent: mine.intent, told: mine.told, once: mine.once })
      at = rig.revision
      await putRig(queries, rig)
    } catch (error) {
      if (error instanceof ApiError && LATER.includes(error.status)) {
        useReach().went()
        return false
      }
      if (isConflict(error)) {
        conflicts.value = [...new Set([...conflicts.value, slug])]
        return true
      }
      refused.add(mine.once)
      notice.warn(`What was meant for ${mine.name} is not taken: ${sentenceOf(error)}`)
    }
    waiting.value = waiting.value.filter((each) => JSON.stringify(each) !== JSON.stringify(mine))
  }
  conflicts.value = conflicts.value.filter((each) => each !== slug)
  return true
}

const next = () => waiting.value.find((one) => !conflicts.value.includes(one.slug))

/** Rig after rig, with what is put in meanwhile, until nothing waits but what somebody has to decide about. */
async function sendEach(): Promise<void> {
  const many = waiting.value.length
  const before = refused.size
  let isThere = true
  for (let one = next(); one && isThere && !isLeft; one = next()) isThere = await sendFor(one.slug, one.revision)
  // What was refused is said already, and is not sent.
  if (waiting.value.length === 0 && refused.size === before)
    useNotice().say(many === 1 ? 'What waited is sent.' : `All ${many} that waited are sent.`)
  void queries.invalidateQueries({ queryKey: rigsQuery.queryKey })
}

async function sendAll(): Promise<void> {
  if (isLeft || waiting.value.length === 0) return
  sending ??= sendEach().finally(() => (sending = null))
  await sending
}

/** All the same, on the rig as it is now. */
async function sendAllTheSame(slug: string): Promise<void> {
  const rig = await getJson<RigData>(`/rigs/${slug}`)
  await sendFor(slug, rig.revision)
}

export function useOutbox() {
  return {
    waiting: computed(() => waiting.value),
    conflicts: computed(() => conflicts.value),
    begin,
    end,
    isBehind,
    isTaken,
    put,
    drop,
    sendAll,
    sendAllTheSame,
  }
}

useReach().whenBack(() => void sendAll())

import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { DanceSetUp, DanceShown } from '@/api/rigs'
import { lengthOf } from '@/lib/scale'
import type { LiveSource, Row } from './live/source'

export interface Prompt {
  move: number
  t_ms: number
}

/** So often the bench is asked what it saw. */
const ASK_MS = 400
/** Hands off for so long. */
const REST_MS = 2000
/** A move that was let go of so long ago is over. */
const OVER_MS = 250
/** Not seen for so long, it is asked for once more, and then left. */
const PATIENCE_MS = 9000
/** A source that sends nothing for so long is silent. */
const SILENT_MS = 500
/** Lines are drawn so often. */
const DRAW_MS = 60
/** The line of a channel needs no more points. */
const KEPT_ROWS = 20_000
/** While it goes on so much from before the move that is judged goes with it: it is told apart from how everything rested, ms. */
const BEFORE_MS = 1500

/**
 * A dance as it goes on: one move asked for at a time, and the next when the bench has seen it. What was seen is the bench's word; this only
 * keeps the rows and says which move is asked for.
 */
export function useDance(slug: () => string, moves: () => DanceSetUp['moves'], isShort: () => boolean) {
  const state = ref<'off' | 'on' | 'done'>('off')
  /** All rows; drawn are those of a moment ago. */
  let kept: Row[] = []
  const rows = shallowRef<Row[]>([])
  let drawnAt = 0
  const prompts = ref<Prompt[]>([])
  const shown = shallowRef<DanceShown | null>(null)
  const problem = ref('')
  const silence = ref('')
  /** The stand-in follows prompts of its own. */
  const isRehearsal = ref(false)
  /** Why nothing of it can be written; empty: it can. */
  const whyNot = ref('')
  let source: LiveSource | null = null
  let ownPrompts: Prompt[] | null = null
  let timer = 0
  let isAsking = false
  let lastAt = 0
  let tries = 0
  /** Why nothing comes, where the source knows. */
  let reason = ''

  const at = computed(() => prompts.value[prompts.value.length - 1]?.move ?? 0)
  const now = () => kept[kept.length - 1]?.t_ms ?? 0
  /** What was seen of the moves so far: while it goes on only the newest are asked about, so that an answer takes no longer the longer it lasts. */
  let sofar: DanceShown | null = null
  /** Nothing more comes: the answer that counts is that to all of it. */
  let isWhole = false
  const isSeen = (move: number) => shown.value !== null && !shown.value.redo.includes(move)

  function prompt(move: number): void {
    prompts.value = [...prompts.value, { move, t_ms: Math.max(now(), prompts.value[prompts.value.length - 1]?.t_ms ?? 0) }]
  }

  function take(row: Row): void {
    lastAt = performance.now()
    silence.value = ''
    // What else a source tells of itself is nothing that the bench is asked about.
    if (kept.length < KEPT_ROWS) kept.push({ t_ms: row.t_ms, us: row.us })
    if (lastAt - drawnAt > DRAW_MS) draw()
    if (prompts.value.length === 0 && ownPrompts === null) prompt(0)
    const next = ownPrompts?.[prompts.value.length]
    if (next && next.t_ms <= row.t_ms) prompts.value = [...prompts.value, next]
  }

  function draw(): void {
    drawnAt = performance.now()
    rows.value = kept.slice()
  }

  /** The move that is asked for and the one before it, with what came just before; once it is over, all of it. */
  function stretch(): { log: Row[]; prompts: Prompt[] } {
    const before = prompts.value[prompts.value.length - 2]
    const from = lengthOf({ from: BEFORE_MS, to: before?.t_ms ?? 0 })
    const first = kept.findIndex((row) => row.t_ms >= from)
    if (isWhole || before === undefined || first < 0) return { log: kept, prompts: prompts.value }
    return { log: kept.slice(first), prompts: prompts.value.filter((one) => one.t_ms >= before.t_ms) }
  }

  /** Of moves that this answer does not speak of, what was seen before still stands. */
  function joined(answer: DanceShown, about: Prompt[]): DanceShown {
    if (isWhole || sofar === null || about.length === prompts.value.length) return answer
    const before = sofar
    const isAsked = (move: number) => about.some((one) => one.move === move)
    return {
      ...answer,
      moves: answer.moves.map((move, k) => (isAsked(k) ? move : (before.moves[k] ?? move))),
      redo: answer.redo.filter((move) => isAsked(move) || before.redo.includes(move)),
      channels: before.channels.map((read, k) => ((read.letter ?? read.id) === null ? (answer.channels[k] ?? read) : read)),
    }
  }

  async function ask(): Promise<void> {
    if (isAsking || kept.length < 2) return
    isAsking = true
    const told = stretch()
    try {
      shown.value = sofar = joined(await postJson<DanceShown>(`/rigs/${slug()}/dance`, { ...told, short: isShort() }), told.prompts)
      problem.value = ''
    } catch (error) {
      problem.value = sentenceOf(error)
    } finally {
      isAsking = false
    }
  }

  /** On to the next move, or to the end. */
  function next(): void {
    tries = 0
    if (at.value + 1 < moves().length) prompt(at.value + 1)
    else void finish()
  }

  function again(): void {
    prompt(at.value)
  }

  function goOn(): void {
    if (ownPrompts !== null) return
    const since = lengthOf({ from: prompts.value[prompts.value.length - 1]?.t_ms ?? 0, to: now() })
    const move = shown.value?.moves[at.value]
    if (moves()[at.value]?.move === 'rest') {
      if (since >= REST_MS) next()
    } else if (isSeen(at.value) && (move?.to_ms ?? Infinity) < now() - OVER_MS) next()
    else if (since > PATIENCE_MS) {
      tries += 1
      if (tries < 2) again()
      else next()
    }
  }

  async function tick(): Promise<void> {
    if (performance.now() - lastAt > SILENT_MS)
      silence.value = reason || 'Nothing comes in: look at the lead and at the sender. It goes on by itself.'
    await ask()
    if (state.value === 'on') goOn()
  }

  async function start(from: LiveSource, own: Prompt[] | null, notWritten: string): Promise<void> {
    stop()
    ;[prompts.value, shown.value, kept, sofar] = [[], null, [], null]
    draw()
    ;[source, ownPrompts, tries, lastAt] = [from, own, 0, performance.now()]
    isWhole = false
    reason = problem.value = silence.value = ''
    isRehearsal.value = own !== null
    whyNot.value = notWritten
    try {
      await from.start({
        take,
        ended: (why) => {
          if (why !== '') problem.value = why
          void finish()
        },
        seen: (now) => (reason = now.says ?? ''),
      })
      state.value = 'on'
      timer = window.setInterval(() => void tick(), ASK_MS)
    } catch (error) {
      problem.value = sentenceOf(error)
      state.value = 'off'
    }
  }

  /** A log that is there already, read as a dance for which nobody asked. */
  async function readWhole(log: Row[]): Promise<void> {
    stop()
    ;[prompts.value, shown.value, kept, ownPrompts, sofar] = [[], null, log, null, null]
    problem.value = silence.value = whyNot.value = ''
    isRehearsal.value = false
    await finish()
  }

  function stop(): void {
    window.clearInterval(timer)
    source?.stop()
    source = null
  }

  /** Whatever was danced until now counts. */
  async function finish(): Promise<void> {
    stop()
    while (isAsking) await new Promise((resolve) => setTimeout(resolve, 20))
    draw()
    // What was said of a part of it while it went on is no answer to all of it: where none comes, none is shown.
    isWhole = true
    shown.value = null
    await ask()
    state.value = kept.length > 1 ? 'done' : 'off'
  }

  onBeforeUnmount(stop)

  return { state, rows, prompts, shown, problem, silence, isRehearsal, whyNot, at, isSeen, start, readWhole, next, again, finish }
}

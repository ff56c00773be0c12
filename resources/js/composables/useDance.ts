import { computed, onBeforeUnmount, ref, shallowRef } from 'vue'
import { postJson, sentenceOf } from '@/api/http'
import type { DanceSetUp, DanceShown, DanceSign } from '@/api/rigs'
import { back, lengthOf, type Stretch } from '@/lib/scale'
import type { LiveSource, Row } from './live/source'
import { useLive } from './useLive'

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
  const live = useLive(take, () => void finish())
  /** The stand-in follows prompts of its own. */
  const isRehearsal = ref(false)
  /** Why nothing of it can be written; empty: it can. */
  const whyNot = ref('')
  let ownPrompts: Prompt[] | null = null
  let timer = 0
  let isAsking = false
  let tries = 0
  /** What a stick said is taken out of the log: what comes later is so much earlier in it. */
  let cuts: Stretch[] = []

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
    const t_ms = cuts.reduce((ms, one) => back(ms, lengthOf(one)), row.t_ms)
    // What else a source tells of itself is nothing that the bench is asked about.
    if (kept.length < KEPT_ROWS) kept.push({ t_ms, us: row.us })
    if (performance.now() - drawnAt > DRAW_MS) draw()
    if (prompts.value.length === 0 && ownPrompts === null) prompt(0)
    const next = ownPrompts?.[prompts.value.length]
    if (next && next.t_ms <= t_ms) prompts.value = [...prompts.value, next]
  }

  /** A stretch of time is taken out as if it had not been: nobody danced in it. */
  function cut(stretch: Stretch): void {
    const length = lengthOf(stretch)
    kept = kept.flatMap((row) => (row.t_ms < stretch.from ? [row] : row.t_ms > stretch.to ? [{ ...row, t_ms: back(row.t_ms, length) }] : []))
    cuts.push(stretch)
    draw()
  }

  /** What a stick said by being held is done, once it counts. */
  function obey(sign: DanceSign): void {
    if (!sign.is_over) return
    cut({ from: sign.from_ms, to: sign.to_ms })
    if (sign.says === 'skip') next()
    else if (sign.says === 'again') again()
    else void finish()
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
    const stands = (read: DanceShown['channels'][number]) =>
      moves().some(({ letter, id }, move) => !isAsked(move) && (letter ?? id) !== undefined && letter === read.letter && id === read.id)
    return {
      ...answer,
      moves: answer.moves.map((move, k) => (isAsked(k) ? move : (before.moves[k] ?? move))),
      redo: answer.redo.filter((move) => isAsked(move) || before.redo.includes(move)),
      channels: before.channels.map((read, k) => (stands(read) ? read : (answer.channels[k] ?? read))),
    }
  }

  /** Sticks that were found before, as the bench told them: held, one of them says again, skip or stop. */
  function known() {
    if (isWhole || ownPrompts !== null) return []
    return (sofar?.channels ?? []).flatMap(({ letter, channel, lo, mid, hi, reversed }) =>
      letter === undefined ? [] : [{ letter, channel, lo, mid, hi, reversed }],
    )
  }

  /** Whether the bench has answered, and about what is asked for now: what it said of a move before is no reason to go on. */
  async function ask(): Promise<boolean> {
    if (isAsking || kept.length < 2) return false
    isAsking = true
    const [told, asked, of] = [stretch(), prompts.value, kept]
    try {
      const answer = await postJson<DanceShown>(`/rigs/${slug()}/dance`, { ...told, short: isShort(), known: known() })
      // To a log that was begun anew or cut meanwhile it is none.
      if (kept !== of) return false
      shown.value = sofar = joined(answer, told.prompts)
      problem.value = ''
      return prompts.value === asked
    } catch (error) {
      problem.value = sentenceOf(error)
      return false
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
    if (shown.value?.sign) {
      obey(shown.value.sign)
      return
    }
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
    if ((await ask()) && state.value === 'on') goOn()
  }

  async function start(from: LiveSource, own: Prompt[] | null, notWritten: string): Promise<void> {
    stop()
    ;[prompts.value, shown.value, kept, sofar] = [[], null, [], null]
    draw()
    ;[ownPrompts, tries, cuts] = [own, 0, []]
    isWhole = false
    problem.value = ''
    isRehearsal.value = own !== null
    whyNot.value = notWritten
    await live.listen(from)
    if (!live.isOn.value) return
    state.value = 'on'
    timer = window.setInterval(() => void tick(), ASK_MS)
  }

  /** A log that is there already, read as a dance for which nobody asked. */
  async function readWhole(log: Row[], notWritten: string): Promise<void> {
    stop()
    ;[prompts.value, shown.value, kept, ownPrompts, sofar] = [[], null, log, null, null]
    problem.value = ''
    whyNot.value = notWritten
    isRehearsal.value = false
    await finish()
  }

  function stop(): void {
    window.clearInterval(timer)
    live.stop()
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

  return {
    state,
    rows,
    prompts,
    shown,
    problem: computed(() => problem.value || live.problem.value),
    silence: live.silence,
    isRehearsal,
    whyNot,
    at,
    isSeen,
    start,
    readWhole,
    next,
    again,
    finish,
  }
}

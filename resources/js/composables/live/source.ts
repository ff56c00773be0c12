import type { LiveSeen } from '@/api/captures'

/** One row of channel values, µs, with its time on one clock, ms. */
export interface Row {
  t_ms: number
  us: number[]
  /** Of a game controller: its axes as they are, −100 to 100 %. */
  axes_pct?: number[]
}

/** Whoever listens to a source. */
export interface Listener {
  take: (row: Row) => void
  /** Nothing more comes; why, in words, or empty where that is as it should be. */
  ended: (why: string) => void
  /** What is known of what comes in, also while no values are in it yet. */
  seen?: (now: LiveSeen) => void
}

/** Something that sends values now. What it hands on is kept by whoever listens; stopped, it may be started again. */
export interface LiveSource {
  /** Begins; every row is handed on as it comes. Rejects in words where it cannot. */
  start: (listener: Listener) => Promise<void>
  stop: () => void
}

/** Hands on what an answer of the bench holds: a row of another length than the first is no row. */
export function rowsFor(listener: Listener): (now: LiveSeen, t_ms: number) => void {
  let many = 0
  return (now, t_ms) => {
    listener.seen?.(now)
    const us = now.channels.map((channel) => channel.us)
    if (many === 0) many = us.length
    if (us.length > 0 && us.length === many) listener.take({ t_ms, us })
  }
}

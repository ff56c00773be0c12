/** One row of channel values, µs, with its time on this machine's own clock, ms. */
export interface Row {
  t_ms: number
  us: number[]
}

/** Something that sends values now. What it hands on is kept by whoever listens; stopped, it may be started again. */
export interface LiveSource {
  /** Begins; every row is handed on as it comes. Rejects in words where it cannot. */
  start: (take: (row: Row) => void, ended: (why: string) => void) => Promise<void>
  stop: () => void
}

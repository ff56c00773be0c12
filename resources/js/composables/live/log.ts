import type { LiveSource, Row } from './source'

const TICK_MS = 20

/** A log played as if it came now; its times begin with the start, so many times as fast as it was taken. */
export function logSource(rows: Row[], speed: number): LiveSource {
  let timer = 0
  return {
    start({ take, ended }) {
      const began = performance.now()
      const first = rows[0]?.t_ms ?? 0
      let at = 0
      timer = window.setInterval(() => {
        const now = first + (performance.now() - began) * speed
        for (let row = rows[at]; row !== undefined && row.t_ms <= now; row = rows[++at]) take(row)
        if (at >= rows.length) {
          window.clearInterval(timer)
          ended('')
        }
      }, TICK_MS)
      return Promise.resolve()
    },
    stop: () => window.clearInterval(timer),
  }
}

import { sentenceOf } from '@/api/http'
import type { LiveSource, Row } from './source'

const TICK_MS = 20

/** A log played as if it came now; its times begin with the start, so many times as fast as it was taken. It is fetched when it is wanted. */
export function logSource(log: Row[] | (() => Promise<Row[]>), speed: number): LiveSource {
  let timer = 0
  return {
    async start({ take, ended }) {
      const rows = await (typeof log === 'function' ? log() : Promise.resolve(log)).catch((error: unknown) => {
        throw new Error(sentenceOf(error), { cause: error })
      })
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
    },
    stop: () => window.clearInterval(timer),
  }
}

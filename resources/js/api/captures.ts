import { queryOptions } from '@tanstack/vue-query'
import type { CaptureListed, CaptureReading, Compared, DeskData } from './generated/screens'
import { ApiError, getJson, postJson, requestToken, TOKEN_EXPIRED } from './http'

export type {
  AxisRead,
  CaptureListed,
  CaptureReading,
  Compared,
  ComparedRow,
  DeskData,
  FrameSeen,
  LiveSeen,
  Span,
  WaveSeen,
} from './generated/screens'

/** What is told of a capture beforehand; empty: it is to be found out. */
export interface CaptureOptions {
  kind?: string
  as?: string
  line?: string
  max_rate?: number
}

export const deskQuery = queryOptions({
  queryKey: ['captures'] as const,
  queryFn: ({ signal }) => getJson<DeskData>('/captures', signal),
})

export const readingQuery = (id: number, options: CaptureOptions, token: string) =>
  queryOptions({
    queryKey: ['captures', id, options] as const,
    queryFn: () => postJson<CaptureReading>(`/captures/${id}/decode`, { options, progress: token }),
    staleTime: Infinity,
    retry: false,
  })

/** One side of a comparison: a capture and what it is read with. */
export interface ComparedSide {
  id: number
  options: CaptureOptions
}

/** Keyed by both sides, so that a late answer for other wires is never taken for this one. */
export const comparedQuery = (a: ComparedSide, b: ComparedSide) =>
  queryOptions({
    queryKey: ['captures', 'compared', a, b] as const,
    queryFn: () => postJson<Compared>('/captures/compare', { a, b }),
    staleTime: Infinity,
    retry: false,
  })

/** Sends a capture up, telling how far it is; the handle stops it. */
export function sendCapture(file: Blob, name: string, onProgress: (share: number) => void): { done: Promise<CaptureListed>; stop: () => void } {
  const request = new XMLHttpRequest()
  const done = new Promise<CaptureListed>((resolve, reject) => {
    const body = new FormData()
    body.append('capture', file, name)
    let isSecond = false
    const send = () => {
      request.open('POST', '/api/v1/captures')
      request.setRequestHeader('Accept', 'application/json')
      request.setRequestHeader('X-XSRF-TOKEN', requestToken())
      request.send(body)
    }
    request.upload.onprogress = (event) => onProgress(event.total > 0 ? event.loaded / event.total : 0)
    request.onerror = () => reject(new ApiError(0, 'unreachable', 'The bench does not answer. Is bin/start still running?', ''))
    request.onabort = () => reject(new ApiError(0, 'cancelled', 'Sending was stopped, as asked.', ''))
    request.onload = () => {
      if (request.status === TOKEN_EXPIRED && !isSecond) {
        isSecond = true
        send()
        return
      }
      try {
        const data = JSON.parse(request.responseText) as CaptureListed & { error?: { code: string; message: string; path: string } }
        if (request.status >= 300) reject(new ApiError(request.status, data.error?.code ?? '', data.error?.message ?? 'Something went wrong.', ''))
        else resolve(data)
      } catch {
        reject(new ApiError(request.status, 'no_json', 'The bench answered something that cannot be read.', ''))
      }
    }
    send()
  })
  return { done, stop: () => request.abort() }
}

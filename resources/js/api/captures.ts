import { queryOptions } from '@tanstack/vue-query'
import { figure } from '@/composables/numberText'
import type { DecodeAnswer } from './generated/decode.out'
import { ApiError, getJson, postJson, requestToken, TOKEN_EXPIRED } from './http'

export interface CaptureListed {
  id: number
  name: string
  size: number
  at: string
}

export interface DeskData {
  captures: CaptureListed[]
  samples: string[]
  formats: { id: string; name: string; channels: number; own: boolean }[]
  most_bytes: number
}

/** What is told of a capture beforehand; empty: it is to be found out. */
export interface CaptureOptions {
  kind?: string
  as?: string
  line?: string
  max_rate?: number
}

/** Some frames of a capture, with the lowest and highest value of each channel, µs. */
export interface Span {
  frame: number
  t_ms: number | null
  gap_ms: number | null
  low: Record<string, number>
  high: Record<string, number>
}

export interface CaptureReading {
  capture: CaptureListed
  answer: DecodeAnswer
  desk: {
    sentence: string
    spans: Span[]
    has_times: boolean
    ends_us: number | null
    frame_us: number | null
    byte_us: number | null
    bit_us: number | null
    /** A format card to go on from, where the format is not known. */
    card_draft: string | null
  }
}

export interface FrameSeen {
  index: number
  t_ms: number | null
  begins_us: number | null
  lasts_us: number | null
  offset: number | null
  hex: string | null
  fields: { name: string; from: number; bytes: number; hex: string; says: string; sound: boolean }[]
  channels: { channel: number; from_bit: number | null; bits: number | null; raw: number | null; us: number }[]
}

export interface WaveSeen {
  from_us: number
  to_us: number
  level: 0 | 1
  edges: number[] | null
  spans: { us: number; changes: number }[] | null
  bytes: { us: number; to_us: number; hex: string; name: string }[]
  drawn: boolean
}

export interface ComparedRow {
  a: number
  b: number | null
  scale: number | null
  offset_us: number | null
  reversed: boolean
  correlation: number | null
}

export interface Compared {
  a: { capture: CaptureListed; answer: DecodeAnswer }
  b: { capture: CaptureListed; answer: DecodeAnswer }
  comparison: {
    delay_ms: number | null
    channels: ComparedRow[]
    findings: DecodeAnswer['findings']
    a: { t_ms: number; us: Record<string, number> }[]
    b: { t_ms: number; us: Record<string, number> }[]
  }
}

/** The newest values of something that sends now. */
export interface LiveSeen {
  format: string | null
  card: string | null
  name: string | null
  bytes: number
  good: number
  bad: number
  flags: Record<string, boolean>
  channels: { channel: number; us: number; low_us: number; high_us: number }[]
  ended?: 'sender' | 'time'
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

export function sizeOf(bytes: number): string {
  return bytes < 1000 ? `${bytes} bytes` : bytes < 1e6 ? `${figure(bytes / 1000)} kB` : `${figure(bytes / 1e6)} MB`
}

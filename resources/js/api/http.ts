import { dayForm } from '@/lib/dates'

/** What the server says when it cannot do what was asked: a sentence, and the place it is about. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly path: string,
    readonly line: number | null = null,
  ) {
    super(message)
  }

  /** The sentence with its place, for a notice. */
  get sentence(): string {
    const place = [this.line === null ? '' : `line ${this.line}`, this.path].filter(Boolean).join(', ')
    return place === '' ? this.message : `${this.message} (${place})`
  }
}

/** Somebody else has changed it since: nothing was overwritten. */
export const isConflict = (error: unknown): error is ApiError => error instanceof ApiError && error.status === 409

interface ErrorBody {
  error?: { code?: string; message?: string; path?: string; line?: number }
}

/** The token against forged requests, from the cookie of this bench: another one on the same machine has a cookie of its own. */
export function requestToken(): string {
  const bench = document.querySelector<HTMLMetaElement>('meta[name="bench"]')?.content ?? ''
  const prefix = `${bench}-XSRF-TOKEN=`
  const found = document.cookie.split('; ').find((cookie) => cookie.startsWith(prefix))
  return found === undefined ? '' : decodeURIComponent(found.slice(prefix.length))
}

/** The clock on the wall, and how days are written by it: those in sentences of the bench too. */
const wallClock = () => ({ 'X-Time-Zone': Intl.DateTimeFormat().resolvedOptions().timeZone, 'X-Day-Form': dayForm() })

/** A page that has been open for long holds a token that no longer does; the refusal brings a new one, so it is asked once more. */
export const TOKEN_EXPIRED = 419
const SIGN_IN = 401

async function send(
  method: string,
  address: string,
  headers: Record<string, string>,
  body: BodyInit | null,
  signal?: AbortSignal,
): Promise<Response> {
  const once = () =>
    fetch(`/api/v1${address}`, {
      method,
      signal: signal ?? null,
      headers: { Accept: 'application/json', ...wallClock(), ...headers, 'X-XSRF-TOKEN': requestToken() },
      body,
    })
  const response = await once()
  // The bench is open to a network and this page is not signed in any more: what is typed is kept, and is there afterwards.
  if (response.status === SIGN_IN) window.location.assign(`/sign-in?to=${encodeURIComponent(window.location.pathname + window.location.search)}`)
  return response.status === TOKEN_EXPIRED ? once() : response
}

async function ask<T>(method: string, address: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const isForm = body instanceof FormData
  let response: Response
  try {
    response = await send(
      method,
      address,
      isForm ? {} : { 'Content-Type': 'application/json' },
      body === undefined ? null : isForm ? body : JSON.stringify(body),
      signal,
    )
  } catch (error) {
    if (error instanceof DOMException) throw error
    throw new ApiError(0, 'unreachable', 'The bench does not answer. Is bin/start still running?', '')
  }
  const text = await response.text()
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    throw new ApiError(response.status, 'no_json', 'The bench answered something that cannot be read.', '')
  }
  if (!response.ok) {
    const error = (data as ErrorBody).error ?? {}
    throw new ApiError(response.status, error.code ?? '', error.message ?? 'Something went wrong.', error.path ?? '', error.line ?? null)
  }
  return data as T
}

export const getJson = <T>(address: string, signal?: AbortSignal) => ask<T>('GET', address, undefined, signal)
export const postJson = <T>(address: string, body: unknown) => ask<T>('POST', address, body)
export const putJson = <T>(address: string, body: unknown) => ask<T>('PUT', address, body)
export const patchJson = <T>(address: string, body: unknown) => ask<T>('PATCH', address, body)
export const deleteJson = <T>(address: string, body?: unknown) => ask<T>('DELETE', address, body)

/** Asks for a file and hands it to the browser to save. */
export async function saveFrom(address: string, body: unknown, name: string): Promise<void> {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(await fileFrom(address, body))
  link.download = name
  link.click()
  window.setTimeout(() => URL.revokeObjectURL(link.href), 10_000)
}

export async function fileFrom(address: string, body: unknown): Promise<Blob> {
  const response = await streamFrom(address, body)
  return response.blob()
}

/** The answer as it comes, for what is no JSON document. */
export async function streamFrom(address: string, body: unknown, signal?: AbortSignal): Promise<Response> {
  const response = await send('POST', address, { 'Content-Type': 'application/json' }, JSON.stringify(body), signal)
  if (!response.ok) {
    const error = ((await response.json()) as ErrorBody).error ?? {}
    throw new ApiError(response.status, error.code ?? '', error.message ?? 'Something went wrong.', error.path ?? '', error.line ?? null)
  }
  return response
}

/** What an answer says line by line, some lines at a time, as they come. */
export async function* linesOf(response: Response): AsyncGenerator<string[]> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (let part = await reader?.read(); part && !part.done; part = await reader?.read()) {
    const lines = (rest + part.value).split('\n')
    rest = lines.pop() ?? ''
    if (lines.length > 0) yield lines
  }
}

/** One sentence for whatever was thrown. */
export function sentenceOf(error: unknown): string {
  return error instanceof ApiError ? error.sentence : error instanceof Error ? error.message : 'Something went wrong.'
}

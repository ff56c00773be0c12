import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiError, getJson, patchJson, postJson, sentenceOf, streamFrom } from './http'

const answers = (status: number, body: string) => vi.fn(() => Promise.resolve(new Response(body, { status })))

async function thrown(asked: Promise<unknown>): Promise<ApiError> {
  return asked.then(
    () => Promise.reject(new Error('answered')),
    (error: unknown) => error as ApiError,
  )
}

describe('what the server says', () => {
  beforeEach(() =>
    vi.stubGlobal('document', {
      cookie: 'XSRF-TOKEN=old; b0b0b0b0-XSRF-TOKEN=of-the-bench-next-door; a1a1a1a1-XSRF-TOKEN=a%3Db; last=2',
      querySelector: () => ({ content: 'a1a1a1a1' }),
    }),
  )
  afterEach(() => vi.unstubAllGlobals())

  it('comes as it was sent, and the token goes with the question', async () => {
    const fetch = answers(200, '{"a":[1,2.5]}')
    vi.stubGlobal('fetch', fetch)
    expect(await patchJson('/rigs/x', { revision: 3 })).toEqual({ a: [1, 2.5] })
    const [address, options] = fetch.mock.calls[0] as unknown as [string, RequestInit]
    expect(address).toBe('/api/v1/rigs/x')
    expect(options).toMatchObject({ method: 'PATCH', body: '{"revision":3}', headers: { 'X-XSRF-TOKEN': 'a=b', 'Content-Type': 'application/json' } })
  })

  it('is asked for once more with the token that a refusal brings, and not again', async () => {
    const cookies = ['a1a1a1a1-XSRF-TOKEN=old', 'a1a1a1a1-XSRF-TOKEN=new']
    vi.stubGlobal('document', {
      get cookie() {
        return cookies.shift() ?? ''
      },
      querySelector: () => ({ content: 'a1a1a1a1' }),
    })
    const fetch = vi
      .fn()
      .mockResolvedValueOnce(new Response('{"error":{"code":"page_expired","message":"Too long."}}', { status: 419 }))
      .mockResolvedValueOnce(new Response('{"kept":true}', { status: 200 }))
    vi.stubGlobal('fetch', fetch)
    expect(await postJson('/rigs', { name: 'x' })).toEqual({ kept: true })
    const tokens = fetch.mock.calls.map(([, options]) => ((options as RequestInit).headers as Record<string, string>)['X-XSRF-TOKEN'])
    expect(tokens).toEqual(['old', 'new'])

    vi.stubGlobal('document', { cookie: '', querySelector: () => null })
    const always = vi.fn(() => Promise.resolve(new Response('{"error":{"code":"page_expired","message":"Too long."}}', { status: 419 })))
    vi.stubGlobal('fetch', always)
    expect(await thrown(postJson('/rigs', {}))).toMatchObject({ status: 419, code: 'page_expired' })
    expect(always).toHaveBeenCalledTimes(2)
  })

  it('lets the browser name the parts of an upload', async () => {
    const fetch = answers(201, '{}')
    vi.stubGlobal('fetch', fetch)
    await postJson('/captures', new FormData())
    const [, options] = fetch.mock.calls[0] as unknown as [string, RequestInit]
    expect(options.headers).not.toHaveProperty('Content-Type')
    expect(options.body).toBeInstanceOf(FormData)
  })

  it('is an error with its place', async () => {
    vi.stubGlobal('fetch', answers(422, '{"error":{"code":"upside_down","message":"Found 5.","path":"supply.min_v","line":7}}'))
    const error = await thrown(postJson('/shelf', {}))
    expect(error).toMatchObject({ status: 422, code: 'upside_down', path: 'supply.min_v', line: 7 })
    expect(sentenceOf(error)).toBe('Found 5. (line 7, supply.min_v)')
    expect(sentenceOf(await thrown(streamFrom('/live/tcp', {})))).toBe('Found 5. (line 7, supply.min_v)')
  })

  it.each([
    [500, '<html>', 'The bench answered something that cannot be read.'],
    [200, '', 'The bench answered something that cannot be read.'],
    [503, '{}', 'Something went wrong.'],
  ])('is a sentence even when it is none: %s %s', async (status, body, sentence) => {
    vi.stubGlobal('fetch', answers(status, body))
    const error = await thrown(getJson('/rigs'))
    expect(error).toBeInstanceOf(ApiError)
    expect(error.status).toBe(status)
    expect(sentenceOf(error)).toBe(sentence)
  })

  it('may be nothing at all', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new TypeError('Failed to fetch'))),
    )
    const error = await thrown(getJson('/rigs'))
    expect(error).toMatchObject({ status: 0, code: 'unreachable' })
    expect(error.sentence).toBe('The bench does not answer. Is bin/start still running?')
  })

  it('is left to whoever stopped asking', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.reject(new DOMException('stopped', 'AbortError'))),
    )
    expect(await thrown(getJson('/rigs', new AbortController().signal))).toBeInstanceOf(DOMException)
    expect(sentenceOf('odd')).toBe('Something went wrong.')
  })
})

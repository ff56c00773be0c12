import { chromium } from '@playwright/test'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { expect, test } from './bench'

/** A page of somebody else's: on another port, and by a name that points at this machine. */
test.describe('a foreign page', () => {
  let server: Server
  let foreign = ''

  test.beforeAll(async () => {
    server = createServer((_, response) => response.setHeader('Content-Type', 'text/html').end('<title>foreign</title>'))
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
    foreign = `http://evil.example:${(server.address() as AddressInfo).port}/`
  })
  test.afterAll(() => server.close())

  /** A browser of its own, for which evil.example is this machine. */
  async function withForeignName(work: (page: import('@playwright/test').Page) => Promise<void>): Promise<void> {
    const browser = await chromium.launch({
      executablePath: '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--host-resolver-rules=MAP evil.example 127.0.0.1'],
    })
    try {
      await work(await browser.newPage())
    } finally {
      await browser.close()
    }
  }

  test('gets nothing by a name that points here: no page, no list, no token, no file', async ({ baseURL }) => {
    const port = new URL(baseURL ?? '').port
    await withForeignName(async (page) => {
      const answer = await page.goto(`http://evil.example:${port}/`)
      expect(answer?.status()).toBe(421)
      await expect(page.locator('body')).toContainText('answers to 127.0.0.1')
      const got = await page.evaluate(async () => {
        const made = await fetch('/api/v1/rigs', {
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
          body: '{"name":"Taken","craft_kind":"boat"}',
        })
        const gone = await fetch('/api/v1/rigs/mudlark', { method: 'DELETE' })
        return [(await fetch('/api/v1/rigs')).status, made.status, gone.status, (await fetch('/icon.svg')).status, document.cookie]
      })
      expect(got).toEqual([421, 421, 421, 421, ''])
    })
  })

  test('cannot ask from its own address, neither with nor without a question first', async ({ baseURL, page }) => {
    await withForeignName(async (other) => {
      await other.goto(foreign)
      const asked = await other.evaluate(async (base) => {
        const tried = async (options: RequestInit) =>
          fetch(`${base}/api/v1/order`, options).then(
            (response) => `answered ${response.status}`,
            () => 'nothing',
          )
        const body = '{"handset":"AETR","reader":{"kind":"pins","order":"TAER"}}'
        const form = new FormData()
        form.append('capture', new Blob(['0f00']), 'x.hex')
        return [
          await tried({ method: 'POST', headers: { 'Content-Type': 'application/json' }, body }),
          await tried({ method: 'POST', headers: { 'Content-Type': 'text/plain' }, body }),
          await fetch(`${base}/api/v1/decode`, { method: 'POST', body: form }).then(
            () => 'answered',
            () => 'nothing',
          ),
          await fetch(`${base}/api/v1/rigs`, { mode: 'no-cors' }).then(
            async (response) => `${response.type} ${(await response.text()).length}`,
            () => 'nothing',
          ),
        ]
      }, baseURL)
      expect(asked.slice(0, 3)).toEqual(['nothing', 'nothing', 'nothing'])
      expect(['nothing', 'opaque 0']).toContain(asked[3])
    })
    // The bench is as it was.
    await page.goto('/')
    await expect(page.getByText('Mudlark').first()).toBeVisible()
    await expect(page.getByText('Taken')).toHaveCount(0)
  })

  test('the bench itself answers by each of its own names', async ({ baseURL, page }) => {
    const port = new URL(baseURL ?? '').port
    for (const name of ['127.0.0.1', 'localhost']) {
      const status = await page.request.get(`http://${name}:${port}/api/v1/rigs`).then((response) => response.status())
      expect(status, name).toBe(200)
    }
  })
})

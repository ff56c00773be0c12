import AxeBuilder from '@axe-core/playwright'
import { expect, type Page, test as base } from '@playwright/test'

/** Every page of every test: asks no other host for anything, and throws no error. */
export const test = base.extend<{ guarded: undefined }>({
  guarded: [
    async ({ page, baseURL }, use) => {
      const foreign: string[] = []
      const errors: string[] = []
      page.on('request', (request) => {
        if (!request.url().startsWith(baseURL ?? '') && !/^(data|blob):/.test(request.url())) foreign.push(request.url())
      })
      page.on('pageerror', (error) => errors.push(error.message))
      page.on('console', (message) => {
        // A refused request is shown to the user by the page; the browser's own line about it is no fault.
        if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) errors.push(message.text())
      })
      await use(undefined)
      expect(foreign, 'requests to another host').toEqual([])
      expect(errors, 'errors in the page').toEqual([])
    },
    { auto: true },
  ],
})

/** No serious or critical finding of axe on the page as it stands; of these rules only, if any are named. */
export async function expectAccessible(page: Page, rules: string[] = []): Promise<void> {
  const axe = new AxeBuilder({ page })
  const { violations } = await (rules.length > 0 ? axe.withRules(rules) : axe).analyze()
  const serious = violations.filter((violation) => violation.impact === 'serious' || violation.impact === 'critical')
  expect(serious.map((violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`)).toEqual([])
}

/** Nothing wider than the screen: the page does not scroll sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0)
}

/** A copy of a demo rig under another name, so that tests do not disturb each other. Gives its address. */
export async function copyOf(page: Page, slug: string, name: string): Promise<string> {
  await page.goto('/')
  return page.evaluate(
    async ([from, as]) => {
      const document_ = await (await fetch(`/api/v1/rigs/${from}.json`)).json()
      const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '')
      const response = await fetch('/api/v1/rigs/import', {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
        body: JSON.stringify({ text: JSON.stringify({ ...document_, name: as }) }),
      })
      if (!response.ok) throw new Error(`no copy of ${from}: ${response.status} ${await response.text()}`)
      return `/rigs/${(await response.json()).slug}`
    },
    [slug, name] as const,
  )
}

export { expect }

import { readFileSync } from 'node:fs'
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

/**
 * A demo rig as it is delivered, under another name, so that tests disturb neither each other nor what they find. Gives its address.
 */
export async function copyOf(page: Page, slug: string, name: string): Promise<string> {
  await page.goto('/')
  const text = readFileSync(`demo/rigs/${slug}.yaml`, 'utf8').replace(/^name: .*$/m, `name: ${name}`)
  return page.evaluate(async (yaml) => {
    const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '')
    const response = await fetch('/api/v1/rigs/import', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
      body: JSON.stringify({ text: yaml }),
    })
    if (!response.ok) throw new Error(`not taken: ${response.status} ${await response.text()}`)
    return `/rigs/${(await response.json()).slug}`
  }, text)
}

export { expect }

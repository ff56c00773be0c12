import { readFileSync } from 'node:fs'
import AxeBuilder from '@axe-core/playwright'
import { expect, type Locator, type Page, test as base } from '@playwright/test'
import { benchOf } from './benches'

/** Every page of every test: is one of its worker's own bench, asks no other host for anything, and throws no error. */
export const test = base.extend<{ guarded: undefined }>({
  // eslint-disable-next-line no-empty-pattern
  baseURL: async ({}, use, info) => use(benchOf(info.parallelIndex)),
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
export async function copyOf(page: Page, slug: string, name: string, memory?: number): Promise<string> {
  await page.goto('/')
  const text = readFileSync(`demo/rigs/${slug}.yaml`, 'utf8').replace(/^name: .*$/m, `name: ${name}`)
  // What is set in a memory of the handset is set for every rig that shares it.
  const own = memory === undefined ? text : text.replace(/^( *memory: ).*$/m, `$1${memory}`)
  return `/rigs/${(await posted<{ slug: string }>(page, '/rigs/import', { text: own })).slug}`
}

/** A rig with nothing in it; its slug. */
export async function newRig(page: Page, name: string): Promise<string> {
  await page.goto('/')
  return (await posted<{ slug: string }>(page, '/rigs', { name, craft_kind: 'plane' })).slug
}

/** Asks the bench with the page's own token. */
export const posted = <T>(page: Page, address: string, body: unknown) =>
  page.evaluate(
    async ({ address, body }) => {
      const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '')
      const response = await fetch(`/api/v1${address}`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
        body: JSON.stringify(body),
      })
      if (!response.ok) throw new Error(`not taken: ${response.status} ${await response.text()}`)
      return (await response.json()) as unknown
    },
    { address, body },
  ) as Promise<T>

/** Types on the keyboard until the wanted element has the focus. */
export async function tabTo(
  page: Page,
  name: string | RegExp,
  role: 'button' | 'combobox' | 'link' | 'checkbox' | 'textbox' | 'radio' | 'searchbox',
): Promise<void> {
  const wanted = page.getByRole(role, { name }).first()
  for (let k = 0; k < 140; k++) {
    if (await wanted.evaluate((element) => element === document.activeElement)) return
    await page.keyboard.press('Tab')
  }
  throw new Error(`Tab never reached ${role} ${String(name)}.`)
}

export { expect }

/** Values come from there: the choice that every screen with live values has. */
export async function takeFrom(page: Page, kind: 'port' | 'adapter' | 'sound' | 'controller' | 'stand-in' | 'log', port?: number): Promise<void> {
  const names = {
    port: 'a port',
    adapter: 'a USB serial adapter',
    sound: 'the sound input',
    controller: 'a game controller',
    'stand-in': 'the stand-in',
    log: 'a capture',
  }
  await page.getByRole('radio', { name: names[kind] }).check()
  if (port !== undefined) await page.getByRole('textbox', { name: 'Port' }).fill(String(port))
}

/** Picks from a list by what stands on it, as a hand does: opens it, then chooses. */
export async function pick(list: Locator, label: string | RegExp): Promise<void> {
  await list.press('ArrowDown')
  const offers = list.page().locator('.pick-list').filter({ visible: true })
  await offers
    .getByRole('option', typeof label === 'string' ? { name: label, exact: true } : { name: label })
    .first()
    .click()
  await expect(offers).toHaveCount(0)
}

import { readFileSync } from 'node:fs'
import axe, { type AxeResults, type RunOptions } from 'axe-core'
import { expect, type Locator, type Page, test as base } from '@playwright/test'
import { benchOf } from './benches'

interface Axe {
  run(of: Document, options: RunOptions): Promise<AxeResults>
}

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

/** What axe finds on the page as it stands, of any weight; by these rules only, if any are named. */
export async function axeFindings(page: Page, rules: string[] = []): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  return page.evaluate(async (only) => {
    const { violations } = await (window as unknown as { axe: Axe }).axe.run(document, {
      resultTypes: ['violations'],
      ...(only.length > 0 ? { runOnly: only } : {}),
    })
    return violations.map(
      (one) => `${one.id} (${String(one.impact)}): ${one.nodes.map((node) => `${node.target.join(' ')} ${node.html.slice(0, 160)}`).join(' | ')}`,
    )
  }, rules)
}

/** Axe finds nothing on the page as it stands, nor a colour too faint in the other theme. */
export async function expectAccessible(page: Page): Promise<void> {
  const theme = page.locator('html')
  expect(await axeFindings(page)).toEqual([])
  const first = await theme.getAttribute('data-theme')
  const other = first === 'dark' ? 'light' : 'dark'
  // Without motion: a colour on its way from one theme to the other is none.
  await page.emulateMedia({ colorScheme: other, reducedMotion: 'reduce' })
  // A page of its own, such as a field pack, follows the machine without saying so.
  if (first !== null) await expect(theme).toHaveAttribute('data-theme', other)
  expect(await axeFindings(page, ['color-contrast'])).toEqual([])
  await page.emulateMedia({ colorScheme: first === 'dark' ? 'dark' : 'light', reducedMotion: null })
}

/** Does what is told to the bench, and waits until it is taken. */
export async function kept(page: Page, act: () => Promise<void>): Promise<void> {
  const taken = page.waitForResponse((response) => response.request().method() !== 'GET' && response.ok())
  await act()
  await taken
}

/** Nothing wider than the screen: the page does not scroll sideways. */
export async function expectNoSidewaysScroll(page: Page): Promise<void> {
  expect(await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)).toBeLessThanOrEqual(0)
}

/**
 * A demo rig as it is delivered, under another name, so that tests disturb neither each other nor what they find. Gives its address.
 */
export async function copyOf(page: Page, slug: string, name: string, memory?: number): Promise<string> {
  const text = readFileSync(`demo/rigs/${slug}.yaml`, 'utf8').replace(/^name: .*$/m, `name: ${name}`)
  // What is set in a memory of the handset is set for every rig that shares it.
  const own = memory === undefined ? text : text.replace(/^( *memory: ).*$/m, `$1${memory}`)
  return `/rigs/${(await posted<{ slug: string }>(page, '/rigs/import', { text: own })).slug}`
}

/** A rig with nothing in it; its slug. */
export async function newRig(page: Page, name: string): Promise<string> {
  return (await posted<{ slug: string }>(page, '/rigs', { name, craft_kind: 'plane' })).slug
}

/** Asks the bench as a page of it would, without one. */
export async function posted<T>(page: Page, address: string, body: unknown): Promise<T> {
  const token = async () => (await page.context().cookies()).find((cookie) => cookie.name.endsWith('XSRF-TOKEN'))?.value
  if ((await token()) === undefined) await page.request.get('/')
  const response = await page.request.post(`/api/v1${address}`, {
    headers: { 'X-XSRF-TOKEN': decodeURIComponent((await token()) ?? '') },
    data: body,
  })
  if (!response.ok()) throw new Error(`not taken: ${response.status()} ${await response.text()}`)
  return (await response.json()) as T
}

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

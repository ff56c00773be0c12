import type { Page } from '@playwright/test'
import { expect, test } from './bench'

const MOMENT_MS = 200
const RIGS = ['avocet', 'dunlin', 'mudlark', 'oystercatcher', 'sanderling']
const STEPS = ['handset', 'path', 'wiring', 'bind', 'order', 'travel', 'switches', 'failsafe', 'check-out', 'timing', 'history']
const PAGES = [
  '/',
  '/start',
  '/shelf',
  '/shelf/c100',
  '/shelf/brack-m4',
  '/signals',
  '/signals/1',
  '/signals/2',
  '/signals/3',
  '/signals/live',
  '/dry-bench?rig=dunlin',
  '/fault?rig=avocet',
  '/practice',
  '/logbook',
  '/words',
  '/field',
  '/tools/order',
  '/tools/power',
  '/rigs/dunlin/at/3',
  ...RIGS.flatMap((rig) => STEPS.map((step) => `/rigs/${rig}/${step}`)),
]

/** What nobody would say: a stop after a stop, a word twice, a name of a program's own, a value that is none. */
const ODD: [what: string, found: RegExp][] = [
  ['two stops', /[^.]\.\.(?!\.)/],
  ['a space before a stop', /\w [.,;:](\s|$)/],
  ['a word twice', /\b([a-z]{3,}) \1\b/i],
  ['a name with underscores', /\b[a-z]+_[a-z]/],
  ['no value', /\b(undefined|NaN|null|Infinity)\b|\[object/],
]

/** Lines as they stand on the page, what is folded away unfolded; but for the reason of a finding, where its code stands. */
async function lines(page: Page): Promise<string[]> {
  await page.locator('main h1, main h2').first().waitFor()
  // What is asked besides comes a moment later.
  await page.waitForTimeout(MOMENT_MS)
  const text = await page.evaluate(() => {
    document.querySelectorAll<HTMLDetailsElement>('main details').forEach((one) => (one.open = one.closest('.finding') === null))
    return document.querySelector('main')?.innerText ?? ''
  })
  return text.split('\n')
}

test('no page says anything that nobody would say', async ({ page }) => {
  test.setTimeout(240_000)
  const odd: string[] = []
  for (const address of PAGES) {
    await page.goto(address)
    for (const line of await lines(page)) {
      for (const [what, found] of ODD) if (found.test(line)) odd.push(`${address}: ${what}: ${line.slice(0, 120)}`)
    }
  }
  expect([...new Set(odd)]).toEqual([])
})

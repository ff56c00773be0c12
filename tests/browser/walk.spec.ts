import type { Page } from '@playwright/test'
import { axeFindings, copyOf, expect, posted, test } from './bench'
import { beyond, broken, odd, tooSmall } from './measures'

// Each walk has pages of its own: none waits for another.
test.describe.configure({ mode: 'parallel', timeout: 300_000 })

const SIZES = [
  { width: 320, height: 640 },
  { width: 390, height: 844 },
  { width: 844, height: 390 },
  { width: 1920, height: 1080 },
  { width: 1280, height: 800 },
]
const PHONE = 390
const QUIET_MS = 150
const STEPS = ['handset', 'path', 'wiring', 'bind', 'order', 'travel', 'switches', 'failsafe', 'check-out', 'timing', 'history']
const PAPERS = ['sheet', 'label', 'dance']
const LONGEST = 'twelve boxes with the longest names'
const LONG = 'Sandpiper'.repeat(22).slice(0, 198)

/** A rig of twelve boxes whose names are as long as names may be, unbroken; its address. */
async function longRig(page: Page): Promise<string> {
  const of = async (id: string) => (await (await page.request.get(`/api/v1/shelf/${id}.json`)).json()) as Record<string, unknown>
  const [receiver, module] = [await of('weft-r16i'), await of('longshore')]
  const cards = [1, 2, 3, 4, 5].flatMap((k) => [
    { ...receiver, id: `long-r${k}`, name: `R${k}${LONG}` },
    { ...module, id: `long-m${k}`, name: `M${k}${LONG}` },
  ])
  const ids = cards.map((card) => card.id)
  for (const card of cards) await posted(page, '/shelf/import', { text: JSON.stringify(card) })
  const doc = {
    linguator: 1,
    name: `Q${LONG}`,
    craft: {
      kind: 'boat',
      functions: [
        { function: 'throttle', channel: 3 },
        { function: 'rudder', channel: 4 },
      ],
    },
    chain: ['ostrel-9', ...ids, 'oystercatcher-servos'],
    settings: { order: 'AETR', stick_mode: 2, memory: 77, receiver_number: 44 },
    log: [{ at: '2026-11-10T09:12:00Z', kind: 'change', text: `Wired: ${LONG}` }],
  }
  return `/rigs/${(await posted<{ slug: string }>(page, '/rigs/import', { text: JSON.stringify(doc) })).slug}`
}

/** A capture of the samples, read; its address. */
async function sample(page: Page): Promise<string> {
  await page.goto('/signals')
  await page.getByText('A sample', { exact: true }).click()
  await page.getByRole('button', { name: 'avocet-eighths.bin' }).click()
  await page.waitForURL(/\/signals\/\d+/)
  return new URL(page.url()).pathname
}

/** Goes there, until something stands there and nothing was asked of the bench for a moment. */
async function goTo(page: Page, address: string): Promise<void> {
  let asked = 0
  let since = Date.now()
  const begins = () => (asked++, (since = Date.now()))
  const ends = () => (asked--, (since = Date.now()))
  page.on('request', begins).on('requestfinished', ends).on('requestfailed', ends)
  await page.goto(address)
  await page.getByRole('heading').first().waitFor()
  await expect.poll(() => asked <= 0 && Date.now() - since > QUIET_MS, { intervals: [QUIET_MS / 3] }).toBe(true)
  page.off('request', begins).off('requestfinished', ends).off('requestfailed', ends)
}

/** All that is wrong with a page, in every size and in both themes: of axe only where it is asked, of words broken only where they are no test. */
async function faults(page: Page, hasAxe: boolean, hasWords: boolean): Promise<string[]> {
  const found: string[] = []
  await page.emulateMedia({ colorScheme: 'light' })
  if (hasAxe) found.push(...(await axeFindings(page)))
  for (const size of SIZES) {
    await page.setViewportSize(size)
    // Drawings follow the window one picture later.
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
    const wide = await beyond(page)
    if (wide !== '') found.push(`at ${size.width} wider by ${wide}`)
    if (size.width === PHONE) found.push(...(await tooSmall(page)))
    if (hasWords) found.push(...(await broken(page)).map((one) => `at ${size.width} broken: ${one}`))
  }
  found.push(...(await odd(page)))
  if (!hasAxe) return found
  await page.emulateMedia({ colorScheme: 'dark' })
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
  found.push(...(await axeFindings(page, ['color-contrast'])).map((one) => `in the dark ${one}`))
  return found
}

const plain = (pages: string[]) => () => Promise.resolve(pages)
const stepsOf = (slug: string) => plain(STEPS.map((step) => `/rigs/${slug}/${step}`))

const WALKS: [what: string, pages: (page: Page) => Promise<string[]>][] = [
  [
    'the bench, its shelf and its book',
    plain([
      '/',
      '/start',
      '/shelf',
      '/shelf/weft-r16i',
      '/shelf/c100',
      '/shelf/brack-m4',
      '/shelf/new-card',
      '/practice',
      '/logbook',
      '/words',
      '/field',
      '/nothing/here',
      '/rigs/none/path',
      '/shelf/none',
      '/rigs/dunlin/at/3',
    ]),
  ],
  [
    'signals and tools',
    async (page) => {
      const capture = await sample(page)
      const own = capture.slice('/signals/'.length)
      return [
        '/signals',
        capture,
        '/signals/1',
        '/signals/2',
        '/signals/3',
        '/signals/live',
        `/signals/compare?a=${own}&b=${own}`,
        '/signals/compare?a=3&b=3&line_a=before&line_b=after',
        '/signals/formats',
        '/dry-bench?rig=avocet',
        '/dry-bench?rig=dunlin',
        '/fault?rig=avocet',
        '/tools/order',
        '/tools/tune',
        '/tools/power',
      ]
    },
  ],
  ['avocet', stepsOf('avocet')],
  ['dunlin', stepsOf('dunlin')],
  ['mudlark', stepsOf('mudlark')],
  ['oystercatcher', stepsOf('oystercatcher')],
  ['sanderling', stepsOf('sanderling')],
  [
    'what is printed and danced of a rig',
    async (page) => {
      const rig = await copyOf(page, 'oystercatcher', 'Knot seen', 61)
      return [...PAPERS.map((paper) => `${rig}/${paper}`), '/rigs/avocet/sheet', '/rigs/avocet/label']
    },
  ],
  [
    LONGEST,
    async (page) => {
      const rig = await longRig(page)
      return [...[...STEPS, ...PAPERS].map((step) => `${rig}/${step}`), '/shelf/long-r1', `/fault?rig=${rig.slice('/rigs/'.length)}`]
    },
  ],
]

/** Made of the same parts as those that axe has seen, with other words. */
const WITHOUT_AXE = ['sanderling', LONGEST]

for (const [what, pages] of WALKS)
  test(`${what}: no page is wider than its window, too small for thumb and eyes, torn or oddly said${WITHOUT_AXE.includes(what) ? '' : ', nor has axe a finding'}`, async ({
    page,
  }) => {
    await page.emulateMedia({ reducedMotion: 'reduce' })
    const found: string[] = []
    for (const address of await pages(page)) {
      await goTo(page, address)
      found.push(...(await faults(page, !WITHOUT_AXE.includes(what), what !== LONGEST)).map((one) => `${address}: ${one.replaceAll(LONG, '…')}`))
    }
    expect([...new Set(found)]).toEqual([])
  })

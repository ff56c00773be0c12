import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { copyOf, expect, posted, test } from './bench'

const SIZES = [
  { width: 320, height: 640 },
  { width: 390, height: 844 },
  { width: 844, height: 390 },
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
]
const PHONE = 390
const STEPS = ['handset', 'path', 'wiring', 'bind', 'order', 'travel', 'switches', 'failsafe', 'check-out', 'timing', 'history']
const LONG = 'Sandpiper'.repeat(22).slice(0, 198)

/** A rig of twelve boxes whose names are as long as names may be, unbroken. */
async function longRig(page: Page): Promise<string> {
  await page.goto('/')
  const cards = await page.evaluate(async (long) => {
    const of = async (id: string) => (await (await fetch(`/api/v1/shelf/${id}.json`)).json()) as Record<string, unknown>
    const [receiver, module] = [await of('weft-r16i'), await of('longshore')]
    return [1, 2, 3, 4, 5].flatMap((k) => [
      { ...receiver, id: `long-r${k}`, name: `R${k}${long}` },
      { ...module, id: `long-m${k}`, name: `M${k}${long}` },
    ])
  }, LONG)
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
  return (await posted<{ slug: string }>(page, '/rigs/import', { text: JSON.stringify(doc) })).slug
}

/**
 * What is too small for a phone: words under 12 px, also those of a drawing as it is shown, and what a finger meets under 44 px of height.
 * Words within a sentence that lead somewhere are as high as their line.
 */
const tooSmall = (page: Page) =>
  page.evaluate(() => {
    const found = new Set<string>()
    const named = (one: Element) =>
      `${one.tagName}.${String(one.getAttribute('class') ?? '')} ${(one.getAttribute('aria-label') ?? one.textContent ?? '').trim().slice(0, 24)}`
    const isShown = (one: Element) => {
      const box = one.getBoundingClientRect()
      return box.width > 1 && box.height > 1 && getComputedStyle(one).visibility !== 'hidden' && one.closest('.sr-only, .skip') === null
    }
    for (const text of document.querySelectorAll<SVGTextElement>('svg text')) {
      const drawn = text.getScreenCTM()
      if (drawn === null || !isShown(text)) continue
      const scale = Math.min(Math.hypot(drawn.a, drawn.b), Math.hypot(drawn.c, drawn.d))
      if (parseFloat(getComputedStyle(text).fontSize) * scale < 11.95) found.add(`words ${named(text)}`)
    }
    const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (words.nextNode()) {
      const one = words.currentNode.parentElement
      if (one === null || (words.currentNode.textContent ?? '').trim() === '' || one.closest('svg, script, style') !== null || !isShown(one)) continue
      if (parseFloat(getComputedStyle(one).fontSize) < 11.95) found.add(`words ${named(one)}`)
    }
    for (const one of document.querySelectorAll('a, button, input, textarea, summary, [role="slider"]')) {
      const met =
        (one.matches('input[type="checkbox"], input[type="radio"], input[type="file"]')
          ? one.closest('label')
          : one.closest('.ant-select-selector, .ant-picker')) ?? one
      const isWord =
        getComputedStyle(one).display === 'inline' &&
        [...(one.parentElement?.childNodes ?? [])].some((node) => node.nodeType === 3 && (node.textContent ?? '').trim().length > 2)
      if (!isShown(met) || isWord) continue
      const reach = getComputedStyle(met, '::after')
      const height = Math.max(
        met.getBoundingClientRect().height,
        reach.position === 'absolute' && reach.content !== 'none' ? parseFloat(reach.height) : 0,
      )
      if (height < 43.5) found.add(`${Math.round(height)} px: ${named(met)}`)
    }
    return [...found].slice(0, 6)
  })

/** What reaches beyond the right edge of the page, for the message. */
const beyond = (page: Page) =>
  page.evaluate(() => {
    const width = document.documentElement.clientWidth
    if (document.documentElement.scrollWidth <= width) return ''
    const wide = [...document.querySelectorAll('#app *')].filter((one) => one.getBoundingClientRect().right > width + 0.5)
    const inner = wide.filter((one) => !wide.some((other) => other !== one && one.contains(other)))
    return `${document.documentElement.scrollWidth - width} px: ${inner
      .slice(0, 3)
      .map((one) => `${one.tagName}.${String(one.getAttribute('class'))} ${(one.textContent ?? '').trim().slice(0, 30)}`)
      .join(' | ')}`
  })

/** Words of no more than so many letters that are broken in two: something beside them takes more than its share. */
const broken = (page: Page) =>
  page.evaluate(() => {
    const found = new Set<string>()
    const words = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (words.nextNode()) {
      const text = words.currentNode as Text
      const one = text.parentElement
      if (one === null || one.closest('svg, script, style, textarea, .sr-only, .unseen') !== null || one.getBoundingClientRect().width < 2) continue
      for (const word of text.data.matchAll(/[\p{L}\p{N}]{2,}/gu)) {
        if (word[0].length > 20) continue
        const at = document.createRange()
        at.setStart(text, word.index)
        at.setEnd(text, word.index + word[0].length)
        const lines = new Set([...at.getClientRects()].filter((box) => box.width > 0).map((box) => Math.round(box.top)))
        // An address has to be broken somewhere.
        if (lines.size > 1 && !text.data.includes('://')) found.add(`${word[0]} in ${one.tagName}.${one.className}`)
      }
    }
    return [...found]
  })

async function settled(page: Page): Promise<void> {
  await page.getByRole('heading').first().waitFor()
  await page.waitForLoadState('networkidle')
}

test('no page is wider than its window, from 320 px to 1920, with twelve boxes and the longest names, nor too small for a thumb and eyes in the sun', async ({
  page,
}) => {
  test.setTimeout(300_000)
  await page.emulateMedia({ reducedMotion: 'reduce' })
  const long = await longRig(page)
  await page.goto('/signals')
  await page.getByText('A sample', { exact: true }).click()
  await page.getByRole('button', { name: 'avocet-eighths.bin' }).click()
  await page.waitForURL(/\/signals\/\d+/)
  const capture = new URL(page.url()).pathname
  const pages = [
    '/',
    '/shelf',
    '/shelf/weft-r16i',
    '/shelf/long-r1',
    '/signals',
    capture,
    '/signals/live',
    `/signals/compare?a=${capture.slice(9)}&b=${capture.slice(9)}`,
    '/signals/formats',
    '/dry-bench?rig=avocet',
    `/fault?rig=${long}`,
    '/practice',
    '/logbook',
    '/words',
    '/start',
    '/tools/order',
    '/tools/tune',
    '/tools/power',
    '/nothing/here',
    ...STEPS.flatMap((step) => [`/rigs/oystercatcher/${step}`, `/rigs/${long}/${step}`]),
    `/rigs/${long}/dance`,
    `/rigs/${long}/sheet`,
    '/rigs/oystercatcher/sheet',
    '/rigs/oystercatcher/label',
    `/rigs/${long}/label`,
    '/rigs/avocet/travel',
    '/rigs/avocet/wiring',
    '/rigs/avocet/timing',
    '/rigs/dunlin/at/3',
  ]
  const wide: string[] = []
  const small: string[] = []
  const torn: string[] = []
  for (const address of pages) {
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.goto(address)
    await settled(page)
    for (const size of SIZES) {
      await page.setViewportSize(size)
      // Drawings follow the window one picture later.
      await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))))
      const found = await beyond(page)
      if (found !== '') wide.push(`${address.replace(long, 'LONG')} at ${size.width}: ${found.replaceAll(LONG, '…')}`)
      if (size.width === PHONE) small.push(...(await tooSmall(page)).map((one) => `${address.replace(long, 'LONG')}: ${one.replaceAll(LONG, '…')}`))
      if (!address.includes(long)) torn.push(...(await broken(page)).map((one) => `${address} at ${size.width}: ${one}`))
    }
  }
  expect(wide).toEqual([])
  expect(small).toEqual([])
  expect(torn).toEqual([])
})

/** Each with what may be met there, besides what the steps of one rig show. */
const READ = [
  '/',
  '/shelf',
  '/shelf/weft-r16i',
  '/shelf/new-card',
  '/signals',
  '/signals/1',
  '/signals/compare?a=3&b=3&line_a=before&line_b=after',
  '/signals/live',
  '/signals/formats',
  '/dry-bench?rig=avocet',
  '/fault?rig=avocet',
  '/practice',
  '/logbook',
  '/words',
  '/start',
  '/tools/order',
  '/nothing/here',
  '/rigs/mudlark/path',
  '/rigs/mudlark/timing',
  '/rigs/dunlin/travel',
  '/rigs/dunlin/switches',
  '/rigs/avocet/sheet',
  '/rigs/dunlin/at/3',
  '/rigs/none/path',
  '/shelf/none',
]
const OF_A_COPY = [...STEPS, 'sheet', 'label', 'dance']

for (const [what, pages] of [
  ['any page', READ],
  ['any step of a rig', OF_A_COPY],
] as const) {
  test(`axe finds nothing on ${what}, nor a colour too faint in the dark`, async ({ page }) => {
    test.setTimeout(240_000)
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    const rig = pages === OF_A_COPY ? await copyOf(page, 'oystercatcher', 'Knot seen', 61) : ''
    const found: string[] = []
    for (const one of pages) {
      const address = rig === '' ? one : `${rig}/${one}`
      await page.emulateMedia({ colorScheme: 'light' })
      await page.goto(address)
      await settled(page)
      const all = await new AxeBuilder({ page }).analyze()
      await page.emulateMedia({ colorScheme: 'dark' })
      await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark')
      const dark = await new AxeBuilder({ page }).withRules(['color-contrast']).analyze()
      found.push(
        ...[...all.violations, ...dark.violations].map(
          (violation) =>
            `${address}: ${violation.id} (${String(violation.impact)}): ${violation.nodes
              .map((node) => node.target.join(' '))
              .slice(0, 3)
              .join(', ')}`,
        ),
      )
    }
    expect(found).toEqual([])
  })
}

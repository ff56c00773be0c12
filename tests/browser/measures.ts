import type { Page } from '@playwright/test'

/**
 * What is too small for a phone: words under 12 px, also those of a drawing as it is shown, and what a finger meets under 44 px of height.
 * Words within a sentence that lead somewhere are as high as their line.
 */
export const tooSmall = (page: Page) =>
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
export const beyond = (page: Page) =>
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
export const broken = (page: Page) =>
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

/** What nobody would say: a stop after a stop, a word twice, a name of a program's own, a value that is none. */
const ODD: [what: string, found: RegExp][] = [
  ['two stops', /[^.]\.\.(?!\.)/],
  ['a space before a stop', /\w [.,;:](\s|$)/],
  ['a word twice', /\b([a-z]{3,}) \1\b/i],
  ['a name with underscores', /\b[a-z]+_[a-z]/],
  ['no value', /\b(undefined|NaN|null|Infinity)\b|\[object/],
]

/** Lines of the page that nobody would say, what is folded away unfolded; but for the reason of a finding, where its code stands. */
export async function odd(page: Page): Promise<string[]> {
  const text = await page.evaluate(() => {
    document.querySelectorAll<HTMLDetailsElement>('main details').forEach((one) => (one.open = one.closest('.finding') === null))
    // Keys of a document are written as they are.
    document.querySelectorAll('main code').forEach((one) => (one.textContent = (one.textContent ?? '').replaceAll('_', '')))
    return (document.querySelector('main') ?? document.body).innerText
  })
  return text.split('\n').flatMap((line) => ODD.filter(([, found]) => found.test(line)).map(([what]) => `${what}: ${line.slice(0, 120)}`))
}

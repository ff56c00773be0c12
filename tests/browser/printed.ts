import type { Page } from '@playwright/test'
import { extractText, getDocumentProxy } from 'unpdf'
import { expect } from './bench'

/** Paper knows no blanks, and only one of the two signs for micro. */
const bare = (text: string) => text.normalize('NFKC').replace(/\s+/g, '')

/** The page as it comes out of the printer: at most two pages of paper, and every line of the sheet readable on them. */
export async function expectPrints(page: Page): Promise<void> {
  const lines = await page.locator('article').evaluate((article) => {
    const seen = article.cloneNode(true) as HTMLElement
    // What is only read aloud is not printed.
    for (const aloud of seen.querySelectorAll('.sr-only, svg')) aloud.remove()
    return [...seen.querySelectorAll('h1, dt, dd, .drawing li > span, footer')].map((line) => line.textContent).filter((line) => line.trim() !== '')
  })
  expect(lines.length).toBeGreaterThan(10)
  for (const format of ['A4', 'Letter'] as const) {
    const { totalPages, text } = await extractText(await getDocumentProxy(new Uint8Array(await page.pdf({ format }))), { mergePages: true })
    expect(totalPages).toBeLessThanOrEqual(2)
    const paper = bare(text)
    expect(lines.filter((line) => !paper.includes(bare(line)))).toEqual([])
  }
}

import type { Page } from '@playwright/test'
import { expect, pick, posted } from './bench'
import { expectPrints } from './printed'

const BY = 'Wren'

/** What somebody comes with. */
export interface Journey {
  name: string
  kind: string
  handset: string
  craft: string
  channels?: number
  through?: string[]
  relay?: boolean
  functions?: [string, number][]
}

/** Somebody at the bench, who does by hand what the screens ask, from the new rig to its sheet. */
export class Bencher {
  private address = ''

  constructor(private readonly page: Page) {}

  /** Cards put on the shelf first: like one that is there, but for these keys. */
  async shelve(like: string, keys: Record<string, unknown>): Promise<void> {
    const card = (await (await this.page.request.get(`/api/v1/shelf/${like}.json`)).json()) as Record<string, unknown>
    delete card.alias
    await posted(this.page, '/shelf/import', { replace: true, text: JSON.stringify({ ...card, ...keys }) })
  }

  /** From an empty bench to the best path. */
  async begin(journey: Journey): Promise<void> {
    const page = this.page
    await page.goto('/')
    await page.getByRole('button', { name: 'New rig' }).click()
    await page.getByLabel('Name of the craft').fill(journey.name)
    await pick(page.getByRole('combobox', { name: 'It is a' }), new RegExp(`^${journey.kind}$`, 'i'))
    await page.getByRole('button', { name: 'Start its rig' }).click()
    await expect(page.getByRole('heading', { name: journey.name })).toBeVisible()
    this.address = new URL(page.url()).pathname.replace(/\/path$/, '')
    await pick(page.getByRole('combobox', { name: 'Handset', exact: true }), journey.handset)
    await pick(page.getByRole('combobox', { name: 'Craft ends in' }), new RegExp(`^${journey.craft}`))
    if (journey.relay) await page.getByRole('checkbox', { name: 'A relay may stand between' }).check()
    for (const box of journey.through ?? []) {
      await page.locator('#through').click()
      await page.locator('#through').fill(box)
      await page.locator('.ant-select-item-option', { hasText: box }).first().click()
      await page.keyboard.press('Escape')
    }
    if (journey.channels) {
      await page.getByLabel('Channels', { exact: true }).fill(String(journey.channels))
      await page.getByLabel('Channels', { exact: true }).press('Enter')
    }
    for (const [name, channel] of journey.functions ?? []) {
      await page.getByLabel('Function', { exact: true }).fill(name)
      await page.getByLabel('Its channel', { exact: true }).fill(String(channel))
      await page.getByRole('button', { name: 'Add', exact: true }).click()
      await expect(page.getByRole('button', { name: `Remove ${name}` })).toBeVisible()
    }
    const take = page.getByRole('button', { name: 'Take this path' }).first()
    await take.click()
    await expect(page.getByRole('button', { name: 'Other paths' })).toBeVisible()
  }

  /** As a person goes: by the link; only a page that is not this rig's is left for its address. */
  async to(step: string): Promise<void> {
    const here = new URL(this.page.url()).pathname
    if (here.startsWith(`${this.address}/`) && !here.endsWith('/sheet')) await this.page.locator(`a[href="${this.address}/${step}"]`).first().click()
    else await this.page.goto(`${this.address}/${step}`)
    await expect(this.page).toHaveURL(new RegExp(`${this.address}/${step}$`))
    await expect(this.page.locator('p.state')).toBeVisible()
  }

  /** Every setting is made in its box. */
  async tickSettings(): Promise<void> {
    await this.to('path')
    await this.tickAll('.ticks input[type=checkbox]:not(:checked)')
  }

  async wire(): Promise<void> {
    await this.to('wiring')
    await this.page.getByLabel('All of it is wired like this').check()
    await expect(this.page.locator('nav').getByRole('link', { name: /Wiring/ })).toBeVisible()
  }

  /** Ways to bind that did not, each with its distance in m and what was seen. */
  async tried(attempts: [variant: string, metres: string, seen: string][]): Promise<void> {
    await this.to('bind')
    const hop = this.page.getByRole('region', { name: 'Hop 1' })
    for (const [variant, metres, seen] of attempts) {
      await pick(hop.getByRole('combobox', { name: 'Protocol' }), variant)
      await hop.getByLabel('Distance, m').fill(metres)
      await hop.getByLabel('Seen', { exact: true }).fill(seen)
      await hop.getByRole('button', { name: 'It did not' }).click()
      await expect(hop).toContainText(seen)
    }
  }

  /** @param variant The one that it binds with, where it is not the next of the ladder. */
  async bind(variant?: string): Promise<void> {
    await this.to('bind')
    const hops = this.page.getByRole('region', { name: /^Hop \d/ })
    for (let k = 0; k < (await hops.count()); k++) {
      const hop = hops.nth(k)
      if (variant !== undefined) await pick(hop.getByRole('combobox', { name: 'Protocol' }), variant)
      await hop.getByRole('button', { name: 'It bound' }).click()
      await hop.getByLabel(/seen by/).fill(BY)
      await hop.getByRole('button', { name: /: It does$/ }).click()
      await expect(hop.getByText('the light follows the handset.')).toBeVisible()
    }
  }

  /** The order is mended in the cheapest place, then seen. */
  async order(): Promise<void> {
    await this.to('order')
    const mend = this.page.getByRole('button', { name: 'Do it this way' }).first()
    const right = this.page.getByText('Right: each stick moves what it should.')
    await expect(this.page.getByRole('combobox', { name: /aileron stick/ })).toBeVisible()
    if ((await mend.isVisible()) && !(await right.isVisible())) {
      await mend.click()
      await expect(right.or(this.page.getByText(/^Right/)).first()).toBeVisible()
    }
    for (const stick of ['aileron', 'elevator', 'throttle', 'rudder']) {
      await pick(this.page.getByRole('combobox', { name: new RegExp(`${stick} stick`) }), stick)
    }
    await this.page.getByLabel('Order check: seen by').fill(BY)
    await this.page.getByRole('button', { name: 'Order check: Keep as proof' }).click()
    await expect(this.page.getByText(/Proven on/)).toBeVisible()
  }

  /** Wired, bound, in order, calibrated, and read; `reading` is what the handset shows before anything is set. */
  async prepare(reading: [number, number, number]): Promise<void> {
    await this.wire()
    await this.bind()
    await this.order()
    await this.calibrate()
    await this.travel(reading)
  }

  async calibrate(): Promise<void> {
    await this.to('handset')
    await this.page.locator('li', { hasText: 'Stick calibration' }).getByRole('checkbox').check()
  }

  /**
   * Every stick is read, set, and read again as it was computed to come out.
   *
   * @param reading What the handset shows before anything is set.
   */
  async travel(reading: [number, number, number]): Promise<void> {
    await this.to('travel')
    const rows = this.page
      .getByRole('table', { name: 'Travel' })
      .getByRole('row')
      .filter({ has: this.page.locator('.function b') })
    const take = this.page.getByRole('button', { name: 'Entered as shown' })
    await expect(rows.first()).toBeVisible()
    const names: string[] = []
    for (let k = 0; k < (await rows.count()); k++) names.push((await rows.nth(k).locator('.function b').textContent()) ?? '')
    // Ends that must be entered before full stick is tried: then it shows what the cards say they give.
    const before = await this.given(names)
    if (before.size > 0) await this.entered(take)
    for (const name of names) await this.read(name, before.get(name) ?? reading)
    await expect(this.page.locator('.line .more').filter({ hasText: /off now|confirmed|entered/ })).toHaveCount(names.length)
    if (await take.isVisible()) {
      const given = await this.given(names)
      await this.entered(take)
      for (const [name, values] of given) await this.read(name, values)
    }
    await expect(this.page.locator('.line .more b', { hasText: /^confirmed$/ })).toHaveCount(names.length)
  }

  private async entered(take: ReturnType<Page['getByRole']>): Promise<void> {
    await take.click()
    await expect(take).toBeHidden()
  }

  /** What the settings shown will give, by function. */
  private async given(names: string[]): Promise<Map<string, [number, number, number]>> {
    const given = new Map<string, [number, number, number]>()
    for (const name of names) {
      const line = this.page.getByRole('row').filter({ has: this.page.locator('.function b', { hasText: new RegExp(`^${name}$`) }) })
      const found = /(?:will give|they give)\s*([\d.]+) (?:\/ ([\d.]+) \/|to) ([\d.]+)/.exec((await line.locator('.more').textContent()) ?? '')
      if (found) given.set(name, [Number(found[1]), Number(found[2] ?? 1500), Number(found[3])])
    }
    return given
  }

  private async read(name: string, values: [number, number, number]): Promise<void> {
    for (const [k, side] of (['low', 'middle', 'high'] as const).entries()) {
      const field = this.page.getByLabel(`${name}, ${side} (µs)`)
      await field.fill(String(values[k]))
    }
    await this.page.getByLabel(`${name}, high (µs)`).press('Enter')
  }

  /** A function on a switch; with the channel where it is not told yet. */
  async switch(name: string, which: string): Promise<void> {
    await this.to('switches')
    const card = this.page.getByRole('region', { name: `Switch for ${name}` })
    const add = this.page.getByRole('button', { name, exact: true })
    await expect(card.or(add).first()).toBeVisible()
    if (!(await card.isVisible())) await add.click()
    await pick(card.getByRole('combobox', { name: `Switch for ${name}` }), new RegExp(`^${which}:`))
    await expect(card.getByRole('combobox', { name: `Switch for ${name}` })).toHaveAccessibleDescription(new RegExp(`^${which}:`))
  }

  /** Of one function, by the names of its fields. */
  async rates(name: string, told: Record<string, string>): Promise<void> {
    await this.to('switches')
    for (const [label, value] of Object.entries(told)) {
      const field = this.page.getByLabel(`${name}, ${label}`)
      await field.fill(value)
      await field.press('Enter')
    }
  }

  /** Set as recommended, and each place of a loss tested. */
  async failsafe(): Promise<void> {
    await this.to('failsafe')
    const hops = this.page.getByRole('region', { name: /^Hop \d/ })
    await expect(hops.first()).toBeVisible()
    for (let k = 0; k < (await hops.count()); k++) {
      const set = hops.nth(k).getByRole('button', { name: 'Set it', exact: true })
      if (await set.isVisible()) {
        await set.click()
        await hops.nth(k).getByRole('button', { name: 'It is set so' }).click()
        await expect(hops.nth(k).getByText(/^Set to/)).toBeVisible()
      }
    }
    for (let k = 0; k < (await hops.count()); k++) {
      const tests = hops.nth(k).locator('.test')
      for (let one = 0; one < (await tests.count()); one++) {
        const test = tests.nth(one)
        await test.getByRole('button', { name: 'exactly as written' }).click()
        await test.getByLabel(/seen by/).fill(BY)
        await test.getByRole('button', { name: /: As expected/ }).click()
        await expect(test).toContainText(/Tested .* by Wren/)
      }
    }
  }

  /** Whatever is still to be seen, with what was seen; then the name under it. */
  async checkOut(sentence: RegExp): Promise<void> {
    await this.to('check-out')
    await this.page.getByLabel('Who checks').fill(BY)
    const seen = this.page.getByLabel(/: what was seen$/)
    while ((await seen.count()) > 0) {
      const left = await seen.count()
      const title = ((await seen.first().getAttribute('aria-label')) ?? '').replace(': what was seen', '')
      await seen.first().fill('as it should be')
      await this.page.getByRole('button', { name: `${title}: holds` }).click()
      await expect(seen).toHaveCount(left - 1)
    }
    await this.page.getByRole('button', { name: 'Sign it off' }).click()
    await expect(this.page.locator('p.verdict')).toHaveText(sentence)
  }

  async leave(what: string | RegExp, why: string): Promise<void> {
    await this.page.getByRole('button', { name: typeof what === 'string' ? `Leave as it is: ${what}` : what }).click()
    await this.page.getByLabel('Why it may stay as it is').fill(why)
    await this.page.getByLabel('By', { exact: true }).fill(BY)
    await this.page.getByRole('button', { name: 'Leave it as it is', exact: true }).click()
    await expect(this.page.getByText(`Left as it is: ${why}`)).toBeVisible()
  }

  /** The sheet of it, on the screen as it prints. */
  async sheet(): Promise<void> {
    await this.page.goto(`${this.address}/sheet`)
    await expect(this.page.locator('header')).toContainText('Ready. Signed off on')
    await expectPrints(this.page)
  }

  private async tickAll(selector: string): Promise<void> {
    const boxes = this.page.locator(selector)
    while ((await boxes.count()) > 0) {
      const left = await boxes.count()
      await boxes.first().check()
      await expect(boxes).toHaveCount(left - 1)
    }
  }
}

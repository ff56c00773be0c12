import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, posted, takeFrom, test } from './bench'
import { framesOf, sender } from './sender'

test('the stand-in dances, everything is found, and nothing of it is written', async ({ page }) => {
  test.setTimeout(120_000)
  await page.setViewportSize({ width: 390, height: 844 })
  const address = await copyOf(page, 'dunlin', 'Turnstone dancer')
  await page.goto(`${address}/dance`)
  await expectAccessible(page)
  await takeFrom(page, 'stand-in')
  // Its faults are whole sentences to choose from.
  await expect(page.getByLabel('With a fault in it')).toBeVisible()
  await expectNoSidewaysScroll(page)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Rudder: right, hold; left, hold; let go.' })).toBeVisible()
  await expectNoSidewaysScroll(page)
  await expect(page.getByRole('heading', { name: 'What was found' })).toBeVisible({ timeout: 60_000 })
  await expect(page.getByText(/^Travel of throttle/i)).toBeVisible()
  await expect(page.getByText('A rate or expo is set on it').first()).toBeVisible()
  await expect(page.getByText("nobody's hands: this is what would be written, and nothing is.")).toBeVisible()
  await expect(page.getByRole('button', { name: /^Write/ })).toHaveCount(0)
  await expectAccessible(page)
  await expectNoSidewaysScroll(page)
})

test('a game controller is danced with by keyboard: a move that was seen leads on, one is skipped, and what is not certain is said', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const pad = { index: 0, connected: true, axes: [0, 0, -1, 0], buttons: [] }
    Object.defineProperty(window, 'pad', { value: pad })
    navigator.getGamepads = () => [pad as unknown as Gamepad]
  })
  await page.goto(`${await copyOf(page, 'dunlin', 'Turnstone pad')}/dance`)
  await takeFrom(page, 'controller')
  await page.getByRole('button', { name: 'Begin' }).press('Enter')
  await expect(page.getByText('Throttle: up, hold it, and back down.')).toBeVisible()
  await page.evaluate(async () => {
    const pad = (window as unknown as { pad: { axes: number[] } }).pad
    const to = async (value: number) => {
      const from = pad.axes[2] ?? 0
      for (let k = 1; k <= 12; k++) {
        pad.axes[2] = from + ((value - from) * k) / 12
        await new Promise((resolve) => setTimeout(resolve, 60))
      }
    }
    await new Promise((resolve) => setTimeout(resolve, 400))
    await to(1)
    await new Promise((resolve) => setTimeout(resolve, 1200))
    await to(-1)
  })
  await expect(page.getByText('Rudder: right, hold; left, hold; let go.')).toBeVisible()
  await expect(page.getByText('✓ T, seen')).toBeVisible()
  await page.keyboard.press('s')
  await expect(page.getByText('Elevator: up, hold; down, hold; let go.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText('Not certain, so nothing is said of it: Rudder')).toBeVisible()
  await expect(page.getByText('not channels as they arrive: nothing of it is written.')).toBeVisible()
})

test('without a game controller, and at a port on which nothing listens, it is said in words', async ({ page }) => {
  await page.goto('/rigs/dunlin/dance')
  await takeFrom(page, 'controller')
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('alert')).toContainText('No game controller is seen.')
  await takeFrom(page, 'port', 1)
  await page.getByRole('button', { name: 'Begin' }).click()
  await expect(page.getByRole('alert')).toContainText(/port/)
})

/** So many frames are sent by turns while nothing moves: over the air none is quite like the one before. */
const AIR = 8

interface Danced {
  log: { t_ms: number; us: number[] }[]
  prompts: { move: number; t_ms: number }[]
}

test('a whole dance on a port of this machine, move by move as the page asks, is written in one entry, and the sticks confirm it', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const address = await copyOf(page, 'dunlin', 'Turnstone wire', 41)
  await page.goto(`${address}/dance`)
  const danced = await posted<Danced>(page, `${address}/dance/stand-in`, { seed: 8 })
  const bytes = await framesOf(
    page,
    danced.log.map(({ us }) => us),
  )
  /** Frames of a move: from where it is asked to where the next one is. */
  const stretch = (move: number, made: Danced, sent: Buffer[]) => {
    const from = made.prompts[move]?.t_ms ?? 0
    const to = made.prompts[move + 1]?.t_ms ?? Infinity
    return made.log.flatMap(({ t_ms }, k) => (t_ms >= from && t_ms < to ? [sent[k] ?? Buffer.alloc(0)] : []))
  }
  // A receiver, at its own pace.
  const receiver = await sender(20)
  receiver.send(bytes.slice(0, AIR), AIR)
  try {
    await takeFrom(page, 'port', receiver.port)
    await page.getByRole('button', { name: 'Begin' }).click()
    const count = page.getByText(/^\d+ of 9$/)
    for (let move = 0; move < 9; move++) {
      await expect(count).toHaveText(`${move + 1} of 9`, { timeout: 20_000 })
      receiver.send(stretch(move, danced, bytes), AIR)
    }
    await expect(page.getByRole('heading', { name: 'What was found' })).toBeVisible({ timeout: 30_000 })
    await expect(page.getByText('Not certain')).toHaveCount(0)
    await expect(page.getByText('proof: each stick moves what it should')).toBeVisible()
    await page.getByLabel('Seen by').fill('Wren')
    await page.getByRole('button', { name: /^Write \d+ of \d+$/ }).click()
    await expect(page.getByRole('heading', { name: 'Written' })).toBeVisible()
    await expect(page.getByRole('status').filter({ hasText: 'Kept: Danced: order' })).toBeVisible()
    await expectAccessible(page)

    // What Travel has computed from it is entered; the receiver sends what comes of that.
    await page.getByRole('link', { name: 'Travel has computed' }).click()
    await page.getByRole('button', { name: 'Entered as shown' }).click()
    await expect(page.getByRole('button', { name: 'Entered as shown' })).toBeHidden()
    await page.goto(`${address}/dance?short=1`)
    await expect(page.getByText('The sticks only: the order')).toBeVisible()
    const after = await posted<Danced>(page, `${address}/dance/stand-in`, { seed: 9, short: true })
    const again = await framesOf(
      page,
      after.log.map(({ us }) => us),
    )
    receiver.send(again.slice(0, AIR), AIR)
    await takeFrom(page, 'port', receiver.port)
    await page.getByRole('button', { name: 'Begin' }).click()
    const sticks = page.getByText(/^\d+ of 6$/)
    for (let move = 0; move < 6; move++) {
      await expect(sticks).toHaveText(`${move + 1} of 6`, { timeout: 20_000 })
      receiver.send(stretch(move, after, again), AIR)
    }
    await expect(page.getByRole('heading', { name: 'What was found' })).toBeVisible({ timeout: 30_000 })
    await expect(page.getByText(/as it should be: confirmed/).first()).toBeVisible()
    await expect(page.getByText('thresholds of')).toBeVisible()
    await page.getByLabel('Seen by').fill('Wren')
    await page.getByRole('button', { name: /^Write \d+ of \d+$/ }).click()
    await expect(page.getByRole('heading', { name: 'Written' })).toBeVisible()
    await page.getByRole('link', { name: 'Travel has computed' }).click()
    await expect(page.locator('.line .more b', { hasText: /^confirmed$/ }).first()).toBeVisible()
  } finally {
    receiver.end()
  }
})

test('hands at the handset: a stick that was found is held right to skip, left to be asked once more, and on to stop', async ({ page }) => {
  test.setTimeout(120_000)
  const address = await copyOf(page, 'dunlin', 'Turnstone sign', 43)
  const danced = await posted<Danced>(page, `${address}/dance/stand-in`, { seed: 5 })
  const bytes = await framesOf(
    page,
    danced.log.map(({ us }) => us),
  )
  const stretch = (move: number) =>
    danced.log.flatMap(({ t_ms }, k) =>
      t_ms >= (danced.prompts[move]?.t_ms ?? 0) && t_ms < (danced.prompts[move + 1]?.t_ms ?? 0) ? [bytes[k] ?? Buffer.alloc(0)] : [],
    )
  // Rudder rides on the fourth channel of this handset.
  const RUDDER = 3
  const rest = danced.log[danced.log.length - 1]?.us ?? []
  const middle = rest[RUDDER] ?? 0
  const ways = danced.log.flatMap(({ t_ms, us }) => (t_ms > (danced.prompts[2]?.t_ms ?? 0) ? [us[RUDDER] ?? 0] : []))
  const first = ways.find((us) => Math.abs(us - middle) > 300) ?? 0
  const [toRight, toLeft] = first > middle ? [Math.max(...ways), Math.min(...ways)] : [Math.min(...ways), Math.max(...ways)]
  /** A little noise, as over the air. */
  const held = (us: number) =>
    framesOf(
      page,
      Array.from({ length: AIR }, (_, k) => rest.map((one, channel) => (channel === RUDDER ? us : one) + ((k + channel) % 3) * 0.7)),
    )
  const [right, left, partLeft, partRight, home] = [
    await held(toRight),
    await held(toLeft),
    await held(middle - 400),
    await held(middle + 400),
    await held(middle),
  ]
  const receiver = await sender(20)
  receiver.send(bytes.slice(0, AIR), AIR)
  try {
    await page.goto(`${address}/dance`)
    await takeFrom(page, 'port', receiver.port)
    await page.getByRole('button', { name: 'Begin' }).click()
    const count = page.getByText(/^\d+ of 9$/)
    for (let move = 0; move < 3; move++) {
      await expect(count).toHaveText(`${move + 1} of 9`, { timeout: 20_000 })
      receiver.send(stretch(move), AIR)
    }
    await expect(count).toHaveText('4 of 9', { timeout: 20_000 })
    await expect(page.getByText('Hold the rudder right for 1.5 s to skip this')).toBeVisible()
    // Not to its end: nothing is said by it.
    receiver.send(partLeft, AIR)
    await page.waitForTimeout(1800)
    receiver.send(home, AIR)
    await page.waitForTimeout(800)
    await expect(count).toHaveText('4 of 9')
    receiver.send(partRight, AIR)
    await page.waitForTimeout(1000)
    receiver.send(home, AIR)
    await page.waitForTimeout(400)
    await expect(count).toHaveText('4 of 9')
    // As a person does: held until it is told.
    receiver.send(right, AIR)
    await expect(page.getByText('Let go: this one is skipped.')).toBeVisible()
    receiver.send(home, AIR)
    await expect(count).toHaveText('5 of 9')
    receiver.send(left, AIR)
    await expect(page.getByText('Let go: it is asked once more.')).toBeVisible()
    await expect(page.getByRole('heading', { name: 'What was found' })).toBeVisible({ timeout: 15_000 })
    // The stick that spoke is what it was, and what was skipped is not certain.
    await expect(page.getByText(/^Travel of rudder/i)).toBeVisible()
    await expect(page.getByText(/Not certain, so nothing is said of it: .*Elevator/)).toBeVisible()
  } finally {
    receiver.end()
  }
})

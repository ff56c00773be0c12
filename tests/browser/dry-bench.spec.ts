import { copyOf, expect, expectAccessible, expectNoSidewaysScroll, newRig, pick, test } from './bench'

test('a stick is moved, a probe hung, a link cut and a fault put in, and everything that follows is seen', async ({ page }) => {
  await page.goto(`/dry-bench?rig=${(await copyOf(page, 'dunlin', 'Turnstone two')).replace('/rigs/', '')}`)
  const craft = page.getByRole('row', { name: /^Aileron/i })
  await expect(craft).toContainText('1500')
  const right = await page.getByRole('group', { name: 'Right stick' }).locator('svg').boundingBox()
  if (right === null) throw new Error('No stick is drawn.')
  await page.mouse.move(right.x + right.width / 2, right.y + right.height / 2)
  await page.mouse.down()
  await page.mouse.move(right.x + right.width, right.y + right.height / 2, { steps: 12 })
  await page.mouse.up()
  await expect(craft).toContainText('1910')
  // By keys.
  await page.getByRole('slider', { name: 'aileron' }).focus()
  await page.keyboard.press('Home')
  await expect(craft).toContainText(/10[0-9][0-9]|11[0-9][0-9]/)

  // A probe on the serial line: values, bytes, the wire.
  await page.getByRole('button', { name: 'Probe', exact: true }).last().click()
  const probe = page.getByRole('article', { name: /Weft R16i → Ruddle F6/ })
  await expect(probe.getByRole('listitem').first()).toContainText(/10[0-9][0-9]|11[0-9][0-9]/)
  await probe.getByRole('button', { name: 'Bytes' }).click()
  await expect(probe).toContainText('0f')
  await probe.getByRole('button', { name: 'Wave' }).click()
  await expect(probe.getByRole('img', { name: /The wire over/ })).toBeVisible()

  // The link is cut: its light, its outcome.
  await page.getByRole('button', { name: 'Cut link' }).click()
  await expect(page.getByText('searching')).toBeVisible()
  await expect(page.getByText(/Link 1 is cut\./)).toBeVisible()
  await page.getByRole('button', { name: 'Link back' }).click()
  await expect(page.getByText('searching')).toBeHidden()

  // A fault is put in: nothing arrives; and taken out: all is well again.
  await pick(page.getByLabel('Put one in'), 'The controller expects another format than the receiver sends.')
  await page.getByRole('button', { name: 'Put in' }).click()
  await expect(craft).toContainText('nothing')
  await expectAccessible(page)
  await page.reload()
  await expect(page.getByRole('row', { name: /^Aileron/i })).toContainText('nothing')
  await page.getByRole('button', { name: /^Take out/ }).click()
  await expect(page.getByRole('row', { name: /^Aileron/i })).toContainText(/10[0-9][0-9]|11[0-9][0-9]/)
})

test('by touch, at the phone size', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, baseURL: baseURL ?? '' })
  const page = await context.newPage()
  await page.goto(`/dry-bench?rig=${(await copyOf(page, 'avocet', 'Avocet by touch')).replace('/rigs/', '')}`)
  await expect(page.getByRole('row', { name: /^Rudder/i })).toContainText('1500')
  await expectNoSidewaysScroll(page)
  const left = page.getByRole('group', { name: 'Left stick' }).locator('svg')
  await left.scrollIntoViewIfNeeded()
  const box = await left.boundingBox()
  if (box === null) throw new Error('No stick is drawn.')
  const touch = await context.newCDPSession(page)
  const at = (x: number, y: number) => [{ x: box.x + box.width * x, y: box.y + box.height * y }]
  await touch.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: at(0.5, 0.5) })
  for (let k = 1; k <= 10; k++) await touch.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: at(0.5 + k * 0.05, 0.5 - k * 0.05) })
  await touch.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] })
  await expect(page.getByRole('slider', { name: 'rudder' })).toHaveValue('100')
  await expect(page.getByRole('row', { name: /^Throttle/i })).toContainText(/2000|20\d\d/)
  await expect(page.getByRole('row', { name: /^Rudder/i })).not.toContainText('1500')
  await context.close()
})

test('what cannot be run says why, and where to go', async ({ page }) => {
  const slug = await newRig(page, 'Empty plover')
  await page.goto(`/dry-bench?rig=${slug}`)
  await expect(page.getByText(/It cannot be run yet/)).toBeVisible()
  await expect(page.getByRole('link', { name: 'To its path' })).toHaveAttribute('href', `/rigs/${slug}/path`)
  await page.goto('/dry-bench?rig=nobody-here')
  await expect(page.getByRole('alert')).toBeVisible()
})

test('a game controller moves the sticks, and which axis is which can be told', async ({ page }) => {
  await page.addInitScript(() => {
    const pad = { index: 0, connected: true, axes: [0, 0, -1, 0], buttons: [] }
    Object.defineProperty(window, 'pad', { value: pad })
    navigator.getGamepads = () => [pad as unknown as Gamepad]
  })
  await page.goto('/dry-bench?rig=dunlin')
  await page.getByRole('button', { name: 'follow a game controller' }).click()
  await expect(page.getByRole('combobox', { name: /^aileron/ })).toBeVisible()
  const aileron = page.getByRole('row', { name: /^Aileron/i })
  const before = await aileron.innerText()
  await page.evaluate(() => ((window as unknown as { pad: { axes: number[] } }).pad.axes = [0.5, 0, -1, 0]))
  await expect.poll(async () => await aileron.innerText()).not.toBe(before)
  // It is the fourth axis on this handset.
  await pick(page.getByRole('combobox', { name: /^aileron/ }), 'axis 4')
  await expect.poll(async () => await aileron.innerText()).toBe(before)
  await page.getByRole('button', { name: 'let go of the game controller' }).click()
  await expect(page.getByRole('button', { name: 'follow a game controller' })).toBeVisible()
})

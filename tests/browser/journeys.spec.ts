import { expect, expectAccessible, expectNoSidewaysScroll, test } from './bench'
import { Bencher } from './journey'

const READY = /^Ready\. Signed off on .*\.$/

/** The four sticks on the channels that most crafts give them. */
const STICKS: [string, number][] = [
  ['aileron', 1],
  ['elevator', 2],
  ['throttle', 3],
  ['rudder', 4],
]

test.describe.configure({ timeout: 180_000 })
test.use({ actionTimeout: 30_000 })

test('a six-rotor with short ends: 144.9 % on all four, from the new rig to its sheet', async ({ page }) => {
  const bencher = new Bencher(page)
  await bencher.shelve('pellow-six', {
    id: 'dabble-ten',
    name: 'Dabble Ten',
    channels: 10,
    scale: { centre: 1500, us_per_100: 345, max_pct: 150, step_pct: 0.1, subtrim_model: 'after', subtrim_step: 1, subtrim_us_per_unit: 1 },
    radios: [
      {
        id: 'inside',
        protocols: [{ family: 'weft', variant: 'weft-8', frame_ms: [11, 22], channels: 8, region: 'world', f_mhz: 2440 }],
        bind: { methods: ['menu'] },
      },
    ],
  })
  const frames = { family: 'weft', variant: 'weft-8', frame_ms: [11, 22], channels: 8, region: 'world', f_mhz: 2440 }
  await bencher.shelve('weft-r16i', { id: 'weft-fast', name: 'Weft R16 fast', protocols: [frames] })
  await bencher.begin({
    name: 'Six short ends',
    kind: 'multirotor',
    handset: 'Dabble Ten',
    craft: 'Ruddle F6',
    channels: 8,
    functions: [
      ['throttle', 1],
      ['aileron', 2],
      ['elevator', 3],
      ['rudder', 4],
      ['arm', 6],
      ['mode', 7],
    ],
  })
  await bencher.tickSettings()
  await bencher.prepare([1155, 1500, 1845])
  await expect(page.locator('.line .ends').filter({ hasText: '144.9 %144.9 %' })).toHaveCount(4)
  await bencher.switch('arm', 'left')
  await bencher.switch('mode', 'right')
  await bencher.failsafe()
  await bencher.checkOut(READY)
  await bencher.sheet()
  await expect(page.getByText('144.9 / 144.9 %, sub-trim 0').first()).toBeVisible()
  await expect(page.getByText('arm, auxiliary 2 at the controller')).toBeVisible()
  await expectAccessible(page)
})

test('tiny servos: ends before full stick, and a flap on a switch is still a servo', async ({ page }) => {
  const bencher = new Bencher(page)
  const servo = (name: string) => ({ function: name, safe_lo_us: 1120, safe_hi_us: 1880, digital: false })
  await bencher.shelve('ostrel-9', {
    id: 'ostrel-400',
    name: 'Ostrel 400',
    scale: { centre: 1500, us_per_100: 400, max_pct: 150, step_pct: 0.1, subtrim_model: 'after', subtrim_step: 1, subtrim_us_per_unit: 1 },
  })
  await bencher.shelve('sanderling-servos', {
    id: 'tiny-servos',
    name: 'Tiny servos',
    feeds_v: 5,
    servos: ['aileron', 'elevator', 'rudder', 'flap'].map(servo),
  })
  await bencher.begin({
    name: 'Tiny park flyer',
    kind: 'plane',
    handset: 'Ostrel 400',
    craft: 'Tiny servos',
    channels: 6,
    through: ['Weft R6'],
    functions: [
      ['aileron', 1],
      ['elevator', 2],
      ['rudder', 4],
      ['flap', 6],
    ],
  })
  await bencher.tickSettings()
  const pace = page.getByRole('button', { name: /^Leave as it is: Weft R6 sends a frame every 18 ms/ })
  if (await pace.isVisible()) await bencher.leave(/^Leave as it is: Weft R6 sends a frame every 18 ms/, 'The maker of the servos allows it.')
  await bencher.wire()
  await bencher.bind()
  await bencher.order()
  await bencher.calibrate()
  await bencher.switch('flap', 'L2')
  const flap = page.getByRole('region', { name: 'Switch for flap' })
  await expect(flap).toContainText('1100 µs')
  await expect(page.locator('p.state')).toContainText('Do not power. The ')
  await flap.getByRole('button', { name: 'levels' }).click()
  await flap.getByLabel(/weight/i).fill('50')
  await flap.getByLabel(/weight/i).press('Enter')
  await expect(flap).toContainText('1300 µs')
  await bencher.travel([1100, 1500, 1900])
  const switched = page.getByRole('group', { name: 'flap, on L2' })
  await expect(switched).toContainText('1300 / 1500 / 1700 µs')
  await expect(switched).toContainText('the servo can take 1120 to 1880 µs')
  await bencher.failsafe()
  await bencher.checkOut(/^Ready\. Signed off on .*$/)
  await bencher.sheet()
  await expect(page.getByText('95 / 95 %, sub-trim 0').first()).toBeVisible()
  await expect(page.getByText('channel 6, 1300 / 1500 / 1700 µs')).toBeVisible()
})

test('an autopilot: a mode on three positions, arm beside it, and a memory that stays 00', async ({ page }) => {
  const bencher = new Bencher(page)
  await bencher.begin({
    name: 'Long wing by itself',
    kind: 'plane',
    handset: 'Ostrel 9',
    craft: 'Ruddle F6',
    channels: 8,
    functions: [...STICKS, ['mode', 5], ['arm', 6]],
  })
  await bencher.to('handset')
  await page
    .getByLabel(/memory/i)
    .first()
    .fill('00')
  await page
    .getByLabel(/memory/i)
    .first()
    .press('Enter')
  await bencher.tickSettings()
  await bencher.prepare([988, 1500, 2012])
  await bencher.switch('mode', 'L2')
  await bencher.switch('arm', 'L1')
  await bencher.failsafe()
  await bencher.checkOut(READY)
  await bencher.sheet()
  await expect(page.locator('dl > div, dt + dd').filter({ hasText: /^00$/ }).first()).toBeVisible()
  await expect(page.getByText('channel 5, 988 / 1500 / 2012 µs')).toBeVisible()
})

test('a tiny factory craft, at the phone size: all that it needs is said by hand, ends are cut to its servos before full stick, and the sheet has it', async ({
  page,
}) => {
  const bencher = new Bencher(page)
  const servo = (name: string) => ({ function: name, safe_lo_us: 1100, safe_hi_us: 1900, digital: false })
  await bencher.shelve('sanderling-servos', {
    id: 'tiny-factory',
    name: 'Tiny factory',
    servos: [...['aileron', 'elevator', 'rudder', 'flap'].map(servo), { function: 'throttle', digital: false }],
  })
  await bencher.shelve('tarn-mote', {
    id: 'tarn-mote-six',
    name: 'Tarn Mote six',
    protocols: [{ family: 'tarn', variant: 'tarn-a', frame_ms: [22], channels: 8, f_mhz: 2440 }],
    outputs: [{ format: 'pwm', labels: ['T', 'A', 'E', 'R', '5', '6'], level_v: 3.3, period_ms: [20] }],
  })
  // The procedure is told in the card's own form, with the thing in the hand.
  await page.goto('/shelf/tarn-mote-six')
  await page.getByRole('button', { name: /Add a(nother)? procedure/ }).click()
  await page.getByLabel('What it turns on').last().fill('self-righting')
  await page.getByLabel('How', { exact: true }).last().fill('sticks in opposite corners, R1 to and fro five times')
  await page.getByLabel('How', { exact: true }).last().press('Tab')
  await expect(page.getByText('Saved')).toBeVisible()

  await page.setViewportSize({ width: 390, height: 844 })
  await bencher.begin({
    name: 'Tiny and ready',
    kind: 'plane',
    handset: 'Ostrel 9',
    craft: 'Tiny factory',
    channels: 6,
    through: ['Brack M4', 'Tarn Mote six'],
    functions: [
      ['aileron', 1],
      ['elevator', 2],
      ['throttle', 3],
      ['rudder', 4],
      ['flap', 5],
      ['rescue', 6],
    ],
  })
  await bencher.tickSettings()
  await expectNoSidewaysScroll(page)
  await bencher.wire()
  await bencher.tried([
    ['auto', '0.5', 'too near'],
    ['auto', '2', 'refused'],
  ])
  await bencher.bind('tarn-a')
  await bencher.order()
  await bencher.calibrate()
  await page.getByRole('textbox', { name: /^Throttle cut/ }).fill('R1 back')
  await page.getByRole('textbox', { name: /^Throttle cut/ }).press('Enter')
  await bencher.switch('rescue', 'R3')
  await bencher.to('travel')
  for (const name of ['aileron', 'rudder']) await page.getByRole('button', { name: `${name} moves the wrong way` }).click()
  await expect(page.getByText('reversed in the handset')).toHaveCount(2)
  await bencher.travel([988, 1500, 2012])
  await bencher.switch('flap', 'L2')
  const flap = page.getByRole('region', { name: 'Switch for flap' })
  await flap.getByRole('button', { name: 'levels' }).click()
  await flap.getByLabel('Level of each position, %').fill('0 -50 -100')
  await flap.getByLabel('Level of each position, %').press('Enter')
  // Its ends were entered with the others': the last step stops where the servo does.
  await expect(flap).toContainText('1100.1 µs')
  await expect(page.locator('p.state')).not.toContainText('Do not power')
  await bencher.rates('aileron', { 'Low rate, %': '65', 'Expo, %': '12' })
  await expectNoSidewaysScroll(page)
  await bencher.failsafe()
  await bencher.checkOut(READY)
  await expectNoSidewaysScroll(page)
  await bencher.sheet()
  for (const [term, said] of [
    ['1 aileron', '78.1 / 78.1 %, sub-trim 0, reversed'],
    ['Brack M4 to Tarn Mote six', 'tarn-a, at 2 m'],
    ['aileron', 'rate 100 / 65 %, expo 12 %'],
    ['Throttle cut', 'R1 back'],
    ['self-righting', 'sticks in opposite corners, R1 to and fro five times'],
    ['Channel 6', 'rescue'],
    ['flap on L2', 'channel 5'],
  ] as const)
    await expect(page.locator('dl > *', { hasText: term }).filter({ hasText: said }).first(), `${term}: ${said}`).toBeVisible()
})

test('long range on a cable: it goes on sending when its lead is pulled, so it is no flight before the module is mended', async ({ page }) => {
  const bencher = new Bencher(page)
  await bencher.shelve('longshore', { id: 'longshore-lead', name: 'Longshore lead' })
  await bencher.begin({
    name: 'Far on a cable',
    kind: 'plane',
    handset: 'Pellow Six',
    craft: 'Ruddle F6',
    channels: 6,
    through: ['Longshore lead', 'Sisal S4P'],
    functions: [
      ['throttle', 1],
      ['aileron', 2],
      ['elevator', 3],
      ['rudder', 4],
    ],
  })
  await bencher.tickSettings()
  await bencher.prepare([1100, 1500, 1900])
  await bencher.to('failsafe')
  await expect(page.locator('p.state')).toContainText('Do not power.')
  const hop = page.getByRole('region', { name: 'Hop 1' })
  await expect(hop).toContainText('Longshore lead goes on sending by itself when its input is silent')
  await expect(hop.getByRole('button', { name: /: As expected/ }).first()).toBeDisabled()
  await bencher.to('check-out')
  await expect(page.getByRole('button', { name: 'Sign it off' })).toBeDisabled()
  // The module is set to stop when its lead is silent, and its card says so.
  await bencher.shelve('longshore-lead', { id: 'longshore-lead', on_input_loss: 'stops' })
  await bencher.to('path')
  await page.reload()
  await page.getByRole('button', { name: 'Take the edits over' }).click()
  await expect(page.getByRole('button', { name: 'Take the edits over' })).toBeHidden()
  await bencher.failsafe()
  await expect(page.getByText(/Test it with the lead pulled/)).toBeVisible()
  await bencher.checkOut(READY)
  await bencher.sheet()
})

test('a ready-made cable, colour by colour: ends stay as they are, and the controller takes them', async ({ page }) => {
  const bencher = new Bencher(page)
  await bencher.begin({
    name: 'Cable as it came',
    kind: 'multirotor',
    handset: 'Ostrel 9',
    craft: 'Ruddle F6',
    channels: 8,
    functions: STICKS,
  })
  await bencher.tickSettings()
  await bencher.to('wiring')
  // What a straight cable would do is said, before anything is plugged.
  await expect(page.getByText('a straight lead puts ground on signal').first()).toBeVisible()
  for (const [core, colour] of [
    ['signal', 'white'],
    ['plus', 'red'],
    ['ground', 'black'],
  ] as const) {
    await page.getByLabel(`serial output: colour of ${core}`).fill(colour)
    await page.getByLabel(`serial output: colour of ${core}`).press('Enter')
  }
  await expect(page.getByText('signal white, plus red, ground black').first()).toBeVisible()
  await page.getByRole('radio', { name: /^upright, clear of everything/ }).check()
  await bencher.to('travel')
  await page.getByRole('radio', { name: /^Leave the handset/ }).check()
  await bencher.prepare([1012, 1500, 1991])
  await bencher.failsafe()
  await bencher.checkOut(READY)
  await bencher.sheet()
  await expect(page.getByText('1012 to 1991 µs', { exact: true })).toBeVisible()
  await expect(page.getByText('100 / 100 %, sub-trim 0').first()).toBeVisible()
  await expect(page.getByText('upright, clear of everything')).toBeVisible()
})

test('gyros, pin by pin: the throttle goes past it, and every stick has its wire', async ({ page }) => {
  const bencher = new Bencher(page)
  await bencher.begin({
    name: 'Gyro in between',
    kind: 'plane',
    handset: 'Ostrel 9',
    craft: 'Keelson gyro',
    channels: 4,
    through: ['Weft R6'],
    functions: STICKS,
  })
  await bencher.tickSettings()
  await bencher.to('wiring')
  await expect(page.getByRole('row', { name: /pin 3 .*speed controller, past Keelson gyro/ })).toBeVisible()
  await bencher.prepare([988, 1500, 2012])
  await bencher.failsafe()
  await bencher.checkOut(READY)
  await bencher.sheet()
  await expect(page.getByText('speed controller, past Keelson gyro')).toBeVisible()
})

test('it comes home when the link is lost, at the phone size', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  const bencher = new Bencher(page)
  await bencher.begin({
    name: 'Comes home',
    kind: 'multirotor',
    handset: 'Ostrel 9',
    craft: 'Ruddle F6',
    channels: 8,
    functions: [...STICKS, ['mode', 5]],
  })
  await bencher.tickSettings()
  await bencher.prepare([988, 1500, 2012])
  await bencher.switch('mode', 'L2')
  await page.getByLabel('New window for mode').fill('return')
  await page.getByLabel('New window for mode').press('Enter')
  await expect(page.getByLabel('return, from')).toBeVisible()
  await bencher.to('failsafe')
  const hop = page.getByRole('region', { name: 'Hop 1' })
  await hop.getByRole('button', { name: 'Set it' }).click()
  await hop.getByRole('radio', { name: /go to stored values/ }).check()
  await hop.getByRole('radio', { name: 'button' }).check()
  await expect(hop).toContainText(/throttle at half .*mode in position/)
  await hop.getByRole('button', { name: 'It is set so' }).click()
  await expect(hop).toContainText('The craft goes into its return mode.')
  await bencher.failsafe()
  await expectNoSidewaysScroll(page)
  await bencher.checkOut(READY)
  await bencher.sheet()
  await expect(page.getByText('the craft goes into its return mode.')).toBeVisible()
  await expectNoSidewaysScroll(page)
})

test('a relay on a mast: both powers told, the first hop lets go, and two tests', async ({ page }) => {
  const bencher = new Bencher(page)
  await bencher.begin({
    name: 'Across the water',
    kind: 'plane',
    handset: 'Ostrel 9',
    craft: 'Oystercatcher',
    channels: 4,
    relay: true,
    through: ['Weft R8t', 'Longshore 868', 'Sisal S4P'],
    functions: [
      ['throttle', 3],
      ['rudder', 4],
    ],
  })
  await bencher.tickSettings()
  await bencher.to('wiring')
  await page.getByLabel('Regulator of Longshore 868, V').fill('7.5')
  await page.getByLabel('Regulator of Longshore 868, V').press('Enter')
  await page.getByLabel('Regulator of Weft R8t, V').fill('5')
  await page.getByLabel('Regulator of Weft R8t, V').press('Enter')
  await expect(page.getByRole('row', { name: /Weft R8t a regulator, 5 V/ })).toContainText('fits')
  await bencher.prepare([988, 1500, 2012])
  await bencher.to('timing')
  await page.getByRole('button', { name: 'They are held' }).click()
  await expect(page.getByText('Its unused channels are held at 988 µs.')).toBeVisible()
  await bencher.failsafe()
  await bencher.checkOut(READY)
  await bencher.sheet()
  await expect(page.getByText('a regulator, 7.5 V; takes 6–12 V')).toBeVisible()
})

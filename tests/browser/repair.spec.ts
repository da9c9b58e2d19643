import type { Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import type { EntryKind } from '../../core/visit/entry'
import { post } from '../server/serve'
import { called } from './called'
import { closeStep, title, until } from './repair-steps'
import { expect, fixClock, keptAt, NOW, test, type StandingShop } from './shop'

/** Writes the decision as the Decide page would, for repairs that stand far down its list. */
async function decide(url: string, visitId: string, option: string): Promise<void> {
  await write(url, visitId, 'decision', new Date(NOW.getTime() + 1), { option })
}

async function write(url: string, visitId: string, kind: EntryKind, at: Date, body: object): Promise<void> {
  const entry = { id: uuidv7(), visitId, kind, at: at.toISOString(), author: 'test', body }
  expect((await post(`${url}/api/entries`, { entries: [entry] })).status).toBe(200)
}

/** A well with a sealed pump, its capacitor inside, as a visit of its own. */
const sealedWell = (url: string) =>
  called(url, {
    machine: {
      name: 'meadow well',
      kind: 'well-two-wire',
      construction: 'submersible-sealed',
      nameplate: { volts: 230, hertz: 60, motorType: 'permanent-split', horsepower: 0.5 },
      installation: { wellDepthMetres: 30, onlySupply: true },
    },
    complaints: [],
    says: 'hums, no water',
    customer: { name: 'Upper Meadow', place: 'Sheep Lane' },
  })

for (const [name, machine, option, tag] of [
  ['a seal on the nursery’s circulation pump', 'raceway 3', 'replace-shaft-seal', '@desk'],
  ['a motor swap on a band-clamp pump', 'filter pump 2', 'swap-motor', '@desk'],
  ['bearings on the bench', 'filter pump 2', 'bearings-and-seal', '@both'],
  ['a sump pump with another outlet', 'cellar sump', 'swap-sump-pump', '@both'],
  ['a well motor, the string up', 'deep well', 'replace-two-wire-motor', '@desk'],
  ['a sealed submersible’s capacitor', 'meadow well', 'sealed-capacitor', '@desk'],
] as const) {
  test(
    `${name}: down, a stuck joint, a damage, an unequal count, left and taken up again, and an empty tray`,
    { tag },
    async ({ page, standing, problems }) => {
      await fixClock(page)
      const visit = machine === 'meadow well' ? await sealedWell(standing.url) : await standing.visit(machine)
      await decide(standing.url, visit, option)
      await page.goto(`${standing.url}/visits/${visit}/repair`)
      await expect(page.getByTestId('tray')).toContainText('empty')
      await expect(page.getByTestId('repair-ahead')).toContainText(/water back in \d+:\d\d/)
      // The first joint that can stick does: its freeing is the next step, and the way goes on from there.
      const stuck = page.getByTestId('step-stuck')
      for (let turn = 0; turn < 40 && !(await stuck.isVisible()); turn++) await closeStep(page)
      await stuck.click()
      await expect(title(page)).toContainText(/will not|sticks|holds|rusted|galls|seized/)
      await closeStep(page)
      // Left here: another page shows the same step and the same tray.
      const [step, tray] = [await title(page).innerText(), await page.getByTestId('tray').innerText()]
      await closeStep(page)
      await page
        .getByRole('button', { name: /^undo step/ })
        .last()
        .click()
      await expect(title(page)).toHaveText(step)
      await page.reload()
      await expect(title(page)).toHaveText(step)
      expect(await page.getByTestId('tray').innerText()).toBe(tray)
      // A damage met on the way: the part is on the list at once, and the way goes on from here.
      await page.getByTestId('step-damaged').click()
      if (await page.getByTestId('damage-otherwise').isVisible()) await page.getByTestId('damage-otherwise').click()
      await page.getByRole('button', { name: /Tools, parts/ }).click()
      await expect(page.getByTestId('repair-ahead')).toContainText('found damaged')
      await expect(title(page)).toHaveText(step)
      // To the end; the first count that could disagree does, and wants its reason.
      let disagreed = false
      for (let turn = 0; turn < 140; turn++) {
        if ((await title(page).innerText()) === 'Everything is back') break
        const more = page.getByTestId('lamp').getByRole('radio', { name: '1', exact: true })
        if (
          !disagreed &&
          (await page.getByTestId('lamp').innerText()).includes('How many go in?') &&
          (await more.isVisible()) &&
          (await more.getAttribute('aria-checked')) === 'false'
        ) {
          await more.click()
          await expect(page.getByTestId('step-done')).toBeDisabled()
          await page.getByTestId('count-reason').fill('one stripped, renewed tomorrow')
          disagreed = true
        }
        await closeStep(page)
      }
      expect(disagreed).toBe(true)
      await expect(page.getByTestId('tray')).toContainText('empty')
      expect(problems).toEqual([])
    },
  )
}

/** A visit of the demo with its repair chosen, at the lamp. */
async function repairing(
  page: Page,
  shop: Pick<StandingShop, 'url' | 'visit'>,
  machine: string,
  option: string,
): Promise<string> {
  const visit = await shop.visit(machine)
  await decide(shop.url, visit, option)
  await page.goto(`${shop.url}/visits/${visit}/repair`)
  return visit
}

test(
  'the left-handed lock screw is said in words and by its arrow; a damage found is on the list; what is left in ' +
    'the tray is asked for at the hand-over',
  async ({ page, shop }) => {
    await fixClock(page)
    const visit = await repairing(page, shop, 'garden pool pump', 'replace-shaft-seal')
    await until(page, 'Lock screw out')
    await expect(page.getByTestId('thread-turn')).toContainText('clockwise')
    await expect(page.getByTestId('thread-turn')).toContainText('left-handed')
    await page.getByTestId('step-damaged').click()
    await page.getByRole('button', { name: /Tools, parts/ }).click()
    await expect(page.getByTestId('repair-ahead')).toContainText('found damaged')
    await page.goto(`${shop.url}/visits/${visit}/hand-over`)
    await expect(page.getByTestId('left-over')).toContainText('Cover bolts out')
    await page.getByTestId('hand-over').click()
    await expect(page.getByRole('alert').first()).toContainText('why it stays out')
    await page.getByTestId('left-over').locator('input').fill('parts on order')
    await page.getByTestId('hand-over').click()
    await expect(page.getByTestId('sheet')).toContainText('Still out at the hand-over')
  },
)

test(
  'a count that is otherwise than usual is remembered by the machine',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    const visit = await repairing(page, standing, 'garden pool pump', 'renew-housing-o-ring')
    await until(page, 'Cover bolts out')
    // Two more short ones than usual: each place is counted on its own, and asked for on its own on the way back.
    for (let turn = 0; turn < 2; turn++) await page.getByRole('button', { name: 'one more, short' }).click()
    await page.getByTestId('step-done').click()
    const joints = async () => (await keptAt(standing.url, visit, 'machine-set')).at(-1)?.body.machine.joints
    await expect.poll(joints).toEqual([
      {
        joint: 'cover-bolts',
        count: 8,
        places: [
          { place: 'short', count: 6 },
          { place: 'long, with nuts', count: 2 },
        ],
      },
    ])
    await expect(page.getByTestId('tray')).toContainText('short: 6 · long, with nuts: 2')
    await until(page, 'All cover bolts started')
    await page.getByRole('button', { name: 'one less, short' }).click()
    await page.getByRole('button', { name: 'one more, long, with nuts' }).click()
    await expect(page.getByTestId('lamp')).toContainText('Not where they came out.')
    await expect(page.getByTestId('step-done')).toBeDisabled()
    await page.getByRole('button', { name: 'one more, short' }).click()
    await page.getByRole('button', { name: 'one less, long, with nuts' }).click()
    await page.getByTestId('step-done').click()
    await expect(title(page)).not.toContainText('All cover bolts started')
  },
)

test(
  'a cracked plate met on the way is a finding: its work and its price join, and what was written stands in the ' +
    'tray and at the way back',
  async ({ page, standing }) => {
    await fixClock(page)
    const visit = await repairing(page, standing, 'garden pool pump', 'replace-shaft-seal')
    await until(page, 'Cover bolts out')
    await page.getByTestId('step-note').fill('the long one at the left is bent')
    await page.getByTestId('step-done').click()
    await expect(page.getByTestId('tray')).toContainText('the long one at the left is bent')
    await until(page, 'Motor-to-plate bolts out')
    await page.getByTestId('step-damaged').click()
    await page.getByTestId('damage-choice').getByRole('button', { name: 'cracked' }).click()
    await expect(page.getByTestId('damage-choice')).toBeHidden()
    await page.getByRole('button', { name: /Tools, parts/ }).click()
    await expect(page.getByTestId('repair-ahead')).toContainText('seal plate found damaged')
    await until(page, 'New plate')
    await until(page, 'All cover bolts started')
    await expect(page.getByTestId('lamp')).toContainText('You wrote: the long one at the left is bent')
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await expect(page.getByTestId('journal')).toContainText('seal plate, look')
    await page.goto(`${standing.url}/visits/${visit}/hand-over`)
    await expect(page.getByTestId('sheet')).toContainText('Seal plate, found damaged')
  },
)

test('nothing moves away from a finger when the clock of the repair is read', async ({ page, standing }) => {
  await fixClock(page)
  // The page learns its clock from a worker, which is held here until the page has been measured.
  let release = () => {}
  const held = new Promise<void>((resolve) => (release = resolve))
  await page.route(/repair\.worker/, async (route) => {
    await held
    await route.continue()
  })
  await repairing(page, standing, 'raceway 3', 'replace-shaft-seal')
  const ahead = page.getByTestId('repair-ahead')
  const places = async () => [
    await page.getByTestId('spare-first').boundingBox(),
    await ahead.getByRole('button', { name: /Tools, parts/ }).boundingBox(),
  ]
  await expect(page.getByTestId('spare-first')).toBeDisabled()
  // Words in the fallback’s letters have other widths.
  await page.evaluate(() => document.fonts.ready)
  const before = await places()
  release()
  await expect(page.getByTestId('spare-first')).toBeEnabled()
  await expect(ahead).toContainText(/water back in \d+:\d\d/)
  expect(await places()).toEqual(before)
})

test('the page stays at the lamp from step to step', async ({ page, standing }) => {
  await fixClock(page)
  await repairing(page, standing, 'garden pool pump', 'swap-motor')
  await until(page, 'Diffuser off')
  await expect(page.getByTestId('step-done')).toBeInViewport()
  await expect(title(page)).toBeInViewport()
})

test(
  'the nursery: water off first of all, a spare in at once, the rest on the bench, and the plan on paper',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    await repairing(page, standing, 'raceway 3', 'replace-shaft-seal')
    await expect(page.getByTestId('downtime')).toContainText('Fish first')
    await page.clock.setFixedTime(new Date(NOW.getTime() + 60_000))
    await page.getByTestId('spare-first').click()
    await expect(page.getByTestId('spare-first')).toHaveAttribute('aria-pressed', 'true')
    await expect(page.getByTestId('repair-ahead')).toContainText(/all done in \d+:\d\d/)
    await until(page, 'Spare pump in its place')
    await expect(page.getByTestId('exploded')).toHaveAttribute('aria-label', /flooded circulation/)
    await until(page, 'Volute bolts out')
    // The swap is closed and the water back before the pump is opened.
    await expect(page.getByTestId('tray')).not.toContainText('Plug the overflow')
    await page.getByTestId('paper-plan').click()
    await expect(page.getByTestId('plan-paper')).toContainText('a spare in first')
    await expect(page.getByTestId('plan-paper')).toContainText('Lay each in its own cup')
    expect(problems).toEqual([])
  },
)

test(
  'another outlet height is measured where it is met, and its pipe, cement and cure are in the plan; it is ' +
    'different is remembered',
  async ({ page, standing }) => {
    await fixClock(page)
    await repairing(page, standing, 'cellar sump', 'swap-sump-pump')
    await until(page, 'Check valve open')
    await page.getByTestId('step-different').click()
    await page.getByLabel('tool', { exact: true }).fill('nut driver')
    await page.getByLabel('how it lies').fill('its arrow to the wall')
    await page.getByLabel('pieces besides').fill('a rubber sleeve under one clamp')
    await page.getByRole('button', { name: 'Remember it' }).click()
    await expect(page.getByTestId('lamp')).toContainText('Tool: nut driver')
    await expect(page.getByTestId('lamp')).toContainText('its arrow to the wall')
    await expect(page.getByTestId('lamp')).toContainText('a rubber sleeve under one clamp')
    // Everything else here lies behind it: there is no other order to choose.
    await page.getByTestId('step-different').click()
    await expect(page.getByTestId('step-different-form')).toBeVisible()
    await expect(page.getByTestId('only-after')).toHaveCount(0)
    await page.getByRole('button', { name: 'Leave it' }).click()
    await until(page, 'Measure the new pump')
    await page.getByLabel('new outlet higher by (− if lower), in').fill('about two')
    await page.getByRole('button', { name: 'Measured' }).click()
    await expect(page.getByRole('alert').first()).toContainText('a number such as 1.5')
    await page.getByLabel('new outlet higher by (− if lower), in').fill('−1.5')
    await page.getByLabel('pipe, nominal in').fill('1.5')
    await page.getByLabel('cold, °F').fill('40')
    await page.getByRole('button', { name: 'Measured' }).click()
    await expect(page.getByTestId('repair-ahead')).toContainText('the cement cures: 1.5 in at 40 °F: 60 min')
    await until(page, 'Piece between pump and check valve')
    await expect(page.getByTestId('lamp')).toContainText('1.5 in longer')
  },
)

test(
  'the shop’s way is set once, and the steps, the paper and the sheet follow; its own times stand beside the ' +
    'estimate',
  { tag: '@desk' },
  async ({ page, shop }) => {
    await fixClock(page)
    await page.goto(`${shop.url}/shop`)
    await page.getByTestId('practice-threads').getByRole('radio', { name: 'thread compound', exact: true }).click()
    await expect(
      page.getByTestId('practice-threads').getByRole('radio', { name: 'thread compound', exact: true }),
    ).toHaveAttribute('aria-checked', 'true')
    await expect(page.getByTestId('own-times')).toContainText('timed')
    const visit = await repairing(page, shop, 'spray jet pump', 'pressure-gauge')
    await until(page, 'Gauge on')
    await expect(title(page)).toHaveText('Gauge on: thread compound')
    await page.getByTestId('step-done').click()
    await page.goto(`${shop.url}/visits/${visit}/hand-over`)
    await page.getByTestId('show-record').click()
    await expect(page.getByTestId('sheet-practices')).toContainText('Pipe threads: thread compound')
    await page.goto(`${shop.url}/visits/${visit}/decide`)
    // The agreed job stands among the jobs of the visit, with what it adds.
    await expect(page.getByTestId('job-pressure-gauge')).toContainText('Agreed')
  },
)

import type { Page } from '@playwright/test'
import type { Machine } from '../../core/visit/entry'
import { called } from './called'
import { choose, closeStep, title, until } from './repair-steps'
import { expect, fixClock, keptAt, NOW, say, test } from './shop'

/** Agrees a job of the catalogue, or one that was wished for. */
async function agree(page: Page, job: string): Promise<void> {
  const row = page.getByTestId(`job-${job}`)
  await expect(row.or(page.getByTestId('other-jobs')).first()).toBeVisible()
  if (!(await row.isVisible())) await page.getByTestId('other-jobs').click()
  await row.getByRole('button', { name: /^agree: |: agree$/ }).click()
  await expect(page.getByTestId(`job-${job}`).getByRole('button', { name: /: agreed$/ })).toBeVisible()
}

/** To the end; every step once. */
async function toTheEnd(page: Page): Promise<void> {
  await until(page, 'Everything is back')
  await expect(page.getByTestId('tray')).toContainText('empty')
}

test('a motor swap by wish, its new plate read, matched and judging; left over a night', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  const visit = await called(standing.url, {
    machine: {
      name: 'pool pump of the lido',
      kind: 'pool',
      construction: 'band-clamp',
      installedOn: '2017-05-01',
      nameplate: {
        volts: 230,
        hertz: 60,
        horsepower: 1.5,
        serviceFactor: 1.1,
        serviceFactorAmps: 9.6,
        frame: '56Y',
        motorType: 'permanent-split',
      },
    },
    complaints: ['trips-breaker'],
    says: 'motor condemned last week',
  })
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await say(page, 'mtr only, wet end stays')
  await say(page, 'brkr locked, blk dead, red dead')
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  // The wish stands among the ways of mending it.
  await choose(page, 'swap-motor')
  const price = await page.getByTestId('plan-price').innerText()
  await page.goto(`${standing.url}/visits/${visit}/repair`)
  // Before anything is opened the new one is held against the old.
  await expect(title(page)).toHaveText('Match the new motor')
  const plate = page.getByTestId('new-plate-motor')
  await plate.getByTestId('same-plate').click()
  await plate.getByTestId('new-otherVolts').fill('115')
  await plate.getByTestId('new-horsepower').fill('1')
  await plate.getByTestId('new-serviceFactor').fill('1.65')
  await plate.getByTestId('new-frame').fill('56J')
  await expect(page.getByTestId('match')).toContainText('It does not fit')
  await expect(page.getByTestId('match-flange')).toContainText('Another flange')
  await plate.getByTestId('new-frame').fill('56Y')
  await plate.getByTestId('new-serviceFactorAmps').fill('9.2')
  await expect(page.getByTestId('match-power')).toContainText('1 hp × 1.65 = 1.65')
  await expect(page.getByTestId('match')).toContainText('it fits in every point')
  await plate.getByTestId('keep-plate').click()
  await expect(page.getByTestId('new-part-motor')).toContainText('1 hp × 1.65, 230 V, 56Y')
  await expect(page.getByTestId('step-match')).toContainText('fits in every point')
  expect(await keptAt(standing.url, visit, 'fitted')).toEqual([])
  // What Safe has shut is not asked for again.
  await until(page, 'Draw the halves apart')
  // Left for the night: the next morning, on another page, everything is as it was.
  const [step, tray] = [await title(page).innerText(), await page.getByTestId('tray').innerText()]
  const morning = await page.context().newPage()
  await morning.clock.install({ time: new Date(NOW.getTime() + 22 * 3_600_000) })
  await page.close()
  await morning.goto(`${standing.url}/visits/${visit}/repair`)
  await expect(title(morning)).toHaveText(step)
  expect(await morning.getByTestId('tray').innerText()).toBe(tray)
  await toTheEnd(morning)
  // In its place its plate judges, written once.
  await expect
    .poll(async () =>
      (await keptAt(standing.url, visit, 'fitted')).map(({ body }) => [body.part, body.nameplate?.serviceFactorAmps]),
    )
    .toEqual([['motor', 9.2]])
  await morning.goto(`${standing.url}/visits/${visit}/prove`)
  await say(morning, 'running 9.4')
  await expect(morning.getByTestId('proof-amps')).toContainText('9.2')
  await morning.goto(`${standing.url}/visits/${visit}/decide`)
  await expect(morning.getByTestId('plan-price')).toHaveText(price)
  // The card has it: the next visit starts with the new plate and the date.
  const { machines } = (await (await fetch(`${standing.url}/api/machines`)).json()) as {
    machines: { machine: Machine }[]
  }
  const card = machines.find(({ machine }) => machine.name === 'pool pump of the lido')?.machine
  expect(card).toMatchObject({ nameplate: { horsepower: 1, serviceFactorAmps: 9.2 }, installedOn: '2017-05-01' })
  expect(card?.fitted?.map(({ part, until: left }) => [part, left === undefined])).toEqual([
    ['motor', false],
    ['motor', true],
  ])
  expect(problems).toEqual([])
})

test('a booster’s seal with a second job, the connectors, in one plan and one price', async ({ page, standing }) => {
  await fixClock(page)
  const visit = await called(standing.url, {
    machine: {
      name: 'terrace booster',
      kind: 'booster',
      construction: 'bracket-booster',
      nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'capacitor-start' },
    },
    complaints: ['leak-under-motor'],
    says: 'drips at the drain hole',
  })
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await say(page, 'drips at drain hole when on')
  await say(page, 'breaker off, proved dead, cap bled')
  await say(page, 'shaft oring rotted')
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  await choose(page, 'replace-shaft-seal')
  const alone = await page.getByTestId('plan-price').innerText()
  await agree(page, 'hose-connectors')
  await expect(page.getByTestId('plan-price')).not.toHaveText(alone)
  const both = await page.getByTestId('plan-price').innerText()
  await page.goto(`${standing.url}/visits/${visit}/repair`)
  await until(page, 'All four bracket bolts eased')
  await expect(page.getByTestId('lamp')).toContainText('lower long pair')
  await until(page, 'New connectors held against the old')
  await until(page, 'Ring on the shaft new')
  await toTheEnd(page)
  await page.goto(`${standing.url}/visits/${visit}/hand-over`)
  await expect(page.getByTestId('sheet')).toContainText(
    /The shaft seal was replaced, both halves\..*The hose connectors were replaced\./,
  )
  await expect(page.getByTestId('sheet')).toContainText(both)
})

test(
  'a sealed submersible on the bench: no well, no gates of a site, its capacitor tried before it is shut in',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    const visit = await called(standing.url, {
      machine: {
        name: 'cottage pump',
        kind: 'well-two-wire',
        construction: 'submersible-sealed',
        nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'permanent-split' },
      },
      complaints: ['hums-no-start'],
      says: 'pulled by the owner, hums',
      standing: 'bench',
    })
    await page.goto(`${standing.url}/visits/${visit}/safe`)
    await expect(page.getByTestId('gate-power-off')).toContainText('Plug out')
    await expect(page.getByTestId('gate-proved-dead')).toHaveCount(0)
    await page.getByTestId('gate-power-off').getByRole('button', { name: 'Done' }).click()
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await agree(page, 'sealed-capacitor')
    await page.goto(`${standing.url}/visits/${visit}/repair`)
    const ids = await page
      .locator('[data-testid^="step-down:"], [data-testid^="step-back:"]')
      .evaluateAll((rows) => rows.map((row) => (row as HTMLElement).dataset.testid ?? ''))
    expect(ids.filter((id) => /pull|well-installation|make-dead/.test(id))).toEqual([])
    await until(page, 'Temporary leads')
    await expect(page.getByTestId('lamp')).toContainText('One second of power, no longer')
    await toTheEnd(page)
  },
)

test(
  'a sump with two faults and an adapter that holds: sawn, dry-fitted, cemented, cured',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    const visit = await called(standing.url, {
      machine: {
        name: 'mill row sump',
        kind: 'sump',
        construction: 'sump-sealed',
        nameplate: { volts: 115, hertz: 60, horsepower: 0.33, motorType: 'split-phase' },
        installation: { liftMetres: 2.4384 },
      },
      complaints: ['alarm-sounding'],
      says: 'alarm on, main pump silent',
    })
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await say(page, 'outlet 118 v')
    await say(page, 'straight in: nothing')
    await say(page, 'backup float below main')
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await choose(page, 'swap-sump-pump')
    await page.getByTestId('option-set-float-heights').getByTestId('as-well').click()
    await expect(page.getByTestId('option-set-float-heights').getByTestId('as-well')).toHaveText('Agreed too')
    await page.goto(`${standing.url}/visits/${visit}/repair`)
    // By duty, not by horsepower: what reaches six feet does not lift eight.
    const plate = page.getByTestId('new-plate-pump')
    await plate.getByTestId('new-flow').fill('25')
    await plate.getByTestId('new-head').fill('6')
    await expect(page.getByTestId('match-duty')).toContainText('asked 8 ft → 25 gpm at 6 ft')
    await expect(page.getByTestId('match-duty')).toContainText('does not reach')
    await plate.getByTestId('new-head').fill('12')
    await expect(page.getByTestId('match-duty')).toContainText('It reaches')
    await plate.getByTestId('keep-plate').click()
    const held = page.getByTestId('step-stuck')
    for (
      let turn = 0;
      turn < 40 && !((await title(page).innerText()).match(/adapter/i) && (await held.isVisible()));
      turn++
    )
      await closeStep(page)
    await held.click()
    await expect(title(page)).toContainText('The adapter will not turn')
    // It holds still: the next rung is the saw.
    await held.click()
    await expect(title(page)).toContainText('glued or seized for good')
    await until(page, 'New adapter dry-fitted')
    await expect(page.getByTestId('repair-ahead')).toContainText('the cement cures')
    await toTheEnd(page)
    await page.goto(`${standing.url}/visits/${visit}/hand-over`)
    await expect(page.getByTestId('sheet')).toContainText(
      /main sump pump was replaced.*floats were set to their heights/,
    )
  },
)

test(
  'a vertical pump with shims and a bearing loose on its shaft: numbered, packed, back in their corners',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    const visit = await called(standing.url, {
      machine: {
        name: 'bottling shed pump',
        kind: 'utility',
        construction: 'vertical-shimmed',
        nameplate: { volts: 230, hertz: 60, horsepower: 1.5, motorType: 'permanent-split' },
      },
      complaints: ['noise-whine', 'runs-hot'],
      says: 'howls, hot',
      standing: 'bench',
    })
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await say(page, 'slack on top shaft, old and new')
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await choose(page, 'bearings-with-compound')
    await page.goto(`${standing.url}/visits/${visit}/repair`)
    // The numbers off the rings, each with the sizes it stands for; in their place once the way back is over them.
    await page.getByTestId('new-parts-open').click()
    await page.getByTestId('identity-bearings').fill('6204 top, 6205 bottom')
    const bearings = page.getByTestId('new-part-bearings')
    await expect(bearings).toContainText('6204: 20 × 47 × 14 mm')
    await bearings.getByRole('button', { name: 'Keep it' }).click()
    await expect(bearings.getByRole('button', { name: 'Keep it' })).toBeDisabled()
    await page.getByTestId('new-parts-open').click()
    expect(await keptAt(standing.url, visit, 'fitted')).toEqual([])
    await until(page, 'Number the four places')
    await closeStep(page)
    await until(page, 'Try old and new on the shaft')
    // It does not close without the figure that decides.
    await expect(page.getByTestId('step-done')).toBeDisabled()
    await page.getByTestId('step-measured').locator('input').first().fill('0.0016')
    await page.getByTestId('step-measured').getByRole('button', { name: 'Measured' }).click()
    await expect(page.getByTestId('step-done')).toBeEnabled()
    // 0.04 mm is packed: alcohol, dry fit, compound, and its cure.
    await expect(page.getByTestId('step-work:bearings:compound')).toBeVisible()
    await until(page, 'Shims back to their own corners')
    await toTheEnd(page)
    await expect
      .poll(async () => (await keptAt(standing.url, visit, 'fitted')).map(({ body }) => [body.part, body.identity]))
      .toEqual([['bearings', '6204 top, 6205 bottom']])
  },
)

test(
  'a variable-speed drive: matched, mounted, wired, bonded, primed, and only then set up',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await fixClock(page)
    const visit = await called(standing.url, {
      machine: {
        name: 'mill-owner’s pool pump',
        kind: 'pool',
        construction: 'bolted-seal-plate',
        nameplate: {
          volts: 230,
          hertz: 60,
          horsepower: 1.5,
          serviceFactor: 1.3,
          flange: 'square',
          motorType: 'permanent-split',
        },
      },
      complaints: ['high-bill'],
      says: 'wants a variable speed motor',
    })
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await agree(page, 'variable-speed-motor')
    await page.goto(`${standing.url}/visits/${visit}/repair`)
    const plate = page.getByTestId('new-plate-motor')
    await page.getByTestId('read-plate-motor').or(plate).or(page.getByTestId('new-parts-open')).first().waitFor()
    if (!(await plate.isVisible())) {
      if (!(await page.getByTestId('read-plate-motor').isVisible())) await page.getByTestId('new-parts-open').click()
      await page.getByTestId('read-plate-motor').click()
    }
    await plate.getByTestId('new-horsepower').fill('2.25')
    await plate.getByTestId('new-flange').fill('square')
    await plate.getByTestId('new-motorType').selectOption('electronic')
    await expect(page.getByTestId('match-power')).toContainText('the impeller stays')
    await expect(page.getByTestId('match-type')).toContainText('fits with')
    await plate.getByTestId('keep-plate').click()
    // On this machine the rear cap comes off only once the halves are free: said once, and the lamp goes there.
    await until(page, 'Rear cap off')
    await page.getByTestId('step-different').click()
    await page.getByTestId('only-after').selectOption({ label: 'Cover bolts out' })
    await page.getByRole('button', { name: 'Remember it' }).click()
    await expect(title(page)).not.toHaveText('Rear cap off')
    await until(page, 'Cover bolts out')
    await until(page, 'Rear cap off')
    await until(page, 'Lock screw out')
    await expect(page.getByTestId('lamp')).toContainText('left-handed')
    const ids = await page
      .locator('[data-testid^="step-"]')
      .evaluateAll((rows) => rows.map((row) => (row as HTMLElement).dataset.testid ?? ''))
    const at = (id: string) => ids.findIndex((each) => each.endsWith(id))
    expect(at('back:make-dead')).toBeGreaterThan(at('back:bonding'))
    expect(at(':display')).toBeGreaterThan(at('back:make-dead'))
    expect(at(':schedule')).toBeGreaterThan(at(':display'))
    await toTheEnd(page)
    await page.goto(`${standing.url}/visits/${visit}/prove`)
    await expect
      .poll(async () => (await keptAt(standing.url, visit, 'fitted')).map(({ body }) => body.nameplate?.motorType))
      .toEqual(['electronic'])
  },
)

test(
  'an old motor opened and its rings read: what came out stands on the card, the job ends open',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    const visit = await called(standing.url, {
      machine: {
        name: 'irrigation motor',
        kind: 'utility',
        construction: 'motor-bench',
        nameplate: { volts: 230, hertz: 60, horsepower: 1, motorType: 'capacitor-start' },
      },
      complaints: ['noise-whine'],
      says: 'howls, strip for bearings',
      standing: 'bench',
    })
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await agree(page, 'strip-motor')
    await page.goto(`${standing.url}/visits/${visit}/repair`)
    await until(page, 'Index marks')
    await expect(page.getByTestId('lamp')).toContainText('How many were set?')
    await until(page, 'Windings looked at')
    // A word answers the step at hand, and stands beside it.
    await say(page, 'sound')
    await expect(page.getByTestId('step-reading')).toContainText('sound')
    await until(page, 'Numbers read off')
    await page.getByTestId('identity-read').getByRole('textbox').fill('6203 drive, far unreadable')
    await expect(page.getByTestId('identity-read')).toContainText('6203: 17 × 40 × 12 mm')
    await page.getByTestId('identity-read').getByRole('button', { name: 'Keep' }).click()
    await until(page, 'The tray counted')
    await expect(page.getByTestId('tray')).toContainText('Rotor')
    await expect
      .poll(async () => (await keptAt(standing.url, visit, 'machine-set')).at(-1)?.body.machine.fitted)
      .toEqual([{ part: 'bearings', identity: '6203 drive, far unreadable' }])
    expect(problems).toEqual([])
  },
)

test(
  'an old well set opened for its cause: nothing is put together again',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    const visit = await called(standing.url, {
      machine: {
        name: 'set of the upper well',
        kind: 'well-three-wire',
        construction: 'submersible-joined',
        installedOn: '1988-05-01',
        nameplate: { volts: 230, hertz: 60, horsepower: 0.5, motorType: 'capacitor-start' },
      },
      complaints: ['dead'],
      says: 'quit after 38 years, why?',
      standing: 'bench',
    })
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await say(page, 'shaft wont turn mtr, head turns')
    await say(page, 'conn seal cracked')
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await agree(page, 'post-mortem')
    await page.goto(`${standing.url}/visits/${visit}/repair`)
    await until(page, 'Lead plug photographed')
    await expect(page.getByTestId('step-reading')).toContainText('cracked')
    await until(page, 'Parts sorted')
    await expect(page.getByTestId('tray')).not.toContainText('empty')
    await until(page, 'Opened and sorted')
    await expect(page.getByTestId('tray')).toContainText('empty')
    expect(problems).toEqual([])
  },
)

test('a technician who knows what he came for: both halves by wish, and a repair the lamp does not offer', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  const visit = await called(standing.url, {
    machine: {
      name: 'tower pump',
      kind: 'well-three-wire',
      construction: 'submersible-joined',
      nameplate: { volts: 230, hertz: 60, horsepower: 3, motorType: 'capacitor-start-run' },
    },
    complaints: ['dead'],
    says: 'old motor failed',
    standing: 'bench',
  })
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await say(page, 'wants both new')
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  // What was wished for stands beside the lamp’s ways.
  await expect(page.getByTestId('option-replace-pump-end')).toContainText('the owner’s wish')
  await choose(page, 'replace-pump-end')
  // The card speaks of what was agreed, and not with the words of the lamp’s best.
  await expect(page.getByTestId('decide-lamp')).toContainText('Pull, and replace the pump end')
  await expect(page.getByTestId('decide-lamp')).toContainText('the motor gets a new head')
  const alone = await page.getByTestId('plan-price').innerText()
  await page.getByTestId('other-repairs').click()
  await page
    .getByTestId('job-clear-intake')
    .getByRole('button', { name: /^agree: / })
    .click()
  await expect(page.getByTestId('job-clear-intake').getByRole('button', { name: /: agreed$/ })).toBeVisible()
  await expect(page.getByTestId('plan-price')).not.toHaveText(alone)
  expect(problems).toEqual([])
})

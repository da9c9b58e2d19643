import { v7 as uuidv7 } from 'uuid'
import { lineOf } from '../../core/visit/line-subject'
import { PARTS, type Complaint, type Fault, type Kind } from '../../core/knowledge/vocabulary'
import { WIRING_VIEWS } from '../../core/knowledge/electrical/wiring'
import type { Asked } from '../../core/diagnosis/finding'
import { answer } from '../../core/virtual/answer'
import { buildMachine } from '../../core/virtual/build'
import { complaintsOfMachine } from '../../core/virtual/complaint'
import { breakMachine } from '../../core/virtual/faults'
import type { VirtualMachine } from '../../core/virtual/machine'
import { chance } from '../../core/quantity/random'
import { ANOTHER_DAY, expect, NOW, say, test } from './shop'

/** One virtual pump of each kind with one fault; the technician at the page reads it off and never knows. */
const CASES: { kind: Kind; fault: Fault; seed: number }[] = [
  { kind: 'pool', fault: 'run-capacitor-failed', seed: 4 },
  { kind: 'booster', fault: 'start-capacitor-failed', seed: 2 },
  { kind: 'spa', fault: 'run-capacitor-failed', seed: 3 },
  { kind: 'well-two-wire', fault: 'pressure-switch-failed', seed: 6 },
  { kind: 'well-three-wire', fault: 'start-capacitor-failed', seed: 23 },
  { kind: 'jet', fault: 'start-capacitor-failed', seed: 7 },
  { kind: 'sump', fault: 'float-switch-failed', seed: 8 },
  { kind: 'circulation', fault: 'winding-to-ground', seed: 11 },
  { kind: 'utility', fault: 'start-capacitor-failed', seed: 10 },
]
const MOST_READINGS = 24

/** The first seed from here on whose machine behaves so that somebody calls. */
function called(
  kind: Kind,
  fault: Fault,
  from: number,
): { machine: VirtualMachine; complaints: Complaint[]; seed: number } {
  for (let seed = from; seed < from + 400; seed++) {
    const dice = chance(seed)
    const machine = buildMachine(kind, dice)
    breakMachine(machine, fault, dice)
    const complaints = complaintsOfMachine(machine, false, dice)
    if (complaints.length > 0) return { machine, complaints, seed }
  }
  throw new Error(`nobody calls about ${kind} ${fault}`)
}

function questionOf(key: string): Asked {
  const [check, ...rest] = key.split(':') as [string, ...string[]]
  const one = <T extends string>(test: (value: string) => boolean) => rest.find(test) as T | undefined
  const leads = one((value) => value.includes('common'))
  return {
    check,
    part: one((value) => Object.hasOwn(PARTS, value) && value !== 'motor'),
    leads: leads && (leads.includes('start') ? 'start-common' : 'run-common'),
    setup: one((value) => /alone|cable|surface/.test(value)),
    half: one((value) => value === 'motor' || value === 'pump-end'),
  }
}

/** On a phone the same lines are typed and the same points tapped: a pump above ground, one below and one in a pit. */
const ON_A_PHONE: readonly Kind[] = ['pool', 'well-three-wire', 'sump']

for (const { kind, fault, seed } of CASES) {
  const tag = ON_A_PHONE.includes(kind) ? [] : ['@desk']
  test(
    `a ${kind} visit from the call to settled, by the reading line and by the test points`,
    { tag },
    async ({ page, standing, problems }) => {
      const { machine, complaints, seed: found } = called(kind, fault, seed)
      const visitId = uuidv7()
      const customer = { id: uuidv7(), name: 'Weir Cottage', place: 'Lower Leat 4' }
      const entry = (kindOf: string, body: object) => ({
        id: uuidv7(),
        visitId,
        kind: kindOf,
        at: new Date(NOW.getTime() + 1000).toISOString(),
        author: 'technician',
        body,
      })
      const entries = [
        entry('visit-opened', {
          customer,
          machine: {
            id: uuidv7(),
            customerId: customer.id,
            name: `the ${kind}`,
            kind,
            construction: machine.construction,
            installedOn: new Date(NOW.getTime() - machine.ageYears * 365.25 * 86_400_000).toISOString().slice(0, 10),
            nameplate: machine.nameplate,
            installation: machine.installation,
          },
          scheduledAt: ANOTHER_DAY.toISOString(),
          plannedMinutes: 60,
          callerSays: 'as told',
        }),
        entry('call', { complaints, alreadyReplaced: [], callerSays: 'as told' }),
      ]
      expect(
        (
          await fetch(`${standing.url}/api/entries`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ entries }),
          })
        ).status,
      ).toBe(200)
      await page.goto(`${standing.url}/visits/${visitId}/test`)
      const dice = chance(found + 77)
      const lamp = page.getByTestId('lamp')
      let tapped = 0
      let last = ''
      for (let reading = 0; reading < MOST_READINGS; reading++) {
        await expect
          .poll(
            async () =>
              (await lamp.getAttribute('data-settled')) !== null
                ? 'settled'
                : ((await lamp.getAttribute('data-check')) ?? last),
            { timeout: 15_000 },
          )
          .not.toBe(last)
        if ((await lamp.getAttribute('data-settled')) !== null) break
        const key = (await lamp.getAttribute('data-check')) as string
        last = key
        const question = questionOf(key)
        const line = lineOf(question, answer(machine, question, dice))
        const place = WIRING_VIEWS.flatMap((view) =>
          view.kinds.includes(kind) ? view.points.map((point) => ({ view, point })) : [],
        ).find(({ point }) =>
          point.checks.some(
            (check) =>
              check.check === question.check &&
              check.part === question.part &&
              check.leads === question.leads &&
              check.half === question.half &&
              (check.setup === question.setup || question.setup === 'surface-motor'),
          ),
        )
        if (place) {
          await page.getByTestId('show-wiring').click()
          await page.getByTestId(`point-${place.view.id}-${place.point.id}`).click()
          const panel = page.getByTestId('point-panel')
          await expect(panel).toContainText('Leads:')
          await panel.locator('.button-lit').click()
          tapped++
        }
        // With the breaker locked for the readings before, a live one asks for it first.
        const button = page.getByTestId('lamp-do')
        if ((await button.textContent())?.trim() === 'Power is on') await button.click()
        await say(page, line)
      }
      await expect(lamp).toHaveAttribute('data-settled', '')
      await expect(page.getByTestId(`suspect-${fault}`)).toBeVisible()
      expect(tapped, 'at least one reading by a test point').toBeGreaterThan(0)
      expect(problems).toEqual([])
    },
  )
}

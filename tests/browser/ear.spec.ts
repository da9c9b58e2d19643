import type { Page } from '@playwright/test'
import { v7 as uuidv7 } from 'uuid'
import { ANOTHER_DAY, expect, fixClock, keptAt, NOW, say, test } from './shop'

const field = (page: Page) => page.getByLabel('a reading, a note')
const understood = (page: Page) => page.getByTestId('understood')
const heard = (page: Page) => page.getByTestId('heard')
const lines = (page: Page) => page.getByTestId('journal-line')

async function open(page: Page, url: string, visit: string): Promise<void> {
  await fixClock(page)
  await page.goto(`${url}/visits/${visit}/test`)
  await expect(field(page)).toBeVisible()
}

/** A visit to a well of three wires, which the demo has none of today. */
async function threeWire(url: string): Promise<string> {
  const visitId = uuidv7()
  const customer = { id: uuidv7(), name: 'Upper Orchard', place: 'Leat Lane 9' }
  const opened = {
    id: uuidv7(),
    visitId,
    kind: 'visit-opened',
    at: NOW.toISOString(),
    author: 'technician',
    body: {
      customer,
      machine: {
        id: uuidv7(),
        customerId: customer.id,
        name: 'orchard well',
        kind: 'well-three-wire',
        construction: 'submersible-joined',
        nameplate: { volts: 230, motorType: 'capacitor-start', horsepower: 1 },
      },
      scheduledAt: ANOTHER_DAY.toISOString(),
      plannedMinutes: 60,
      callerSays: 'trips',
    },
  }
  const response = await fetch(`${url}/api/entries`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ entries: [opened] }),
  })
  expect(response.status).toBe(200)
  return visitId
}

test(
  'a denial turns the meaning round, and is read back before Enter',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    const visit = await standing.visit('filter pump 2')
    await open(page, standing.url, visit)
    await field(page).fill('weep not dripping')
    await expect(heard(page)).toContainText('weep hole dry')
    await expect(heard(page)).toContainText('weep not dripping')
    await page.keyboard.press('Enter')
    await expect(lines(page).first()).toContainText('weep hole')
    await expect(lines(page).first()).toContainText('dry')
    await expect
      .poll(async () => (await keptAt(standing.url, visit, 'finding')).map(({ body }) => body))
      .toMatchObject([{ check: 'weep-hole', outcome: 'dry' }])
    expect(problems).toEqual([])
  },
)

test(
  'three leads in one line are three findings of one act, undone together',
  { tag: '@desk' },
  async ({ page, standing }) => {
    const visit = await threeWire(standing.url)
    await open(page, standing.url, visit)
    await field(page).fill('meg y 0.2 b 14 r 0.3')
    await expect(heard(page)).toHaveCount(3)
    await page.keyboard.press('Enter')
    await expect(field(page)).toHaveValue('')
    for (const lead of ['yellow', 'black', 'red'])
      await expect(lines(page).filter({ hasText: `, ${lead}` })).toHaveCount(1)
    await expect(page.getByTestId('typed').first()).toHaveText('meg y 0.2 b 14 r 0.3')
    await page.getByTestId('undo').click()
    await expect(lines(page).filter({ hasText: 'insulation' })).toHaveCount(0)
  },
)

test('a wrong one in the middle of a line is taken back alone', { tag: '@desk' }, async ({ page, standing }) => {
  const visit = await standing.visit('filter pump 2')
  await open(page, standing.url, visit)
  await say(page, 'supply 236, shaft gritty, weep dry')
  const wrong = lines(page).filter({ hasText: 'shaft, by hand' })
  await wrong.getByRole('button', { name: /^correct/ }).click()
  await expect(field(page)).toHaveValue('shaft gritty')
  await page.getByRole('button', { name: 'take back' }).click()
  await expect(wrong).toHaveCount(0)
  await expect(lines(page).filter({ hasText: 'supply at rest' })).toHaveCount(1)
  await expect(lines(page).filter({ hasText: 'weep hole' })).toHaveCount(1)
})

test(
  'a question is answered by its digit, and nothing is kept before',
  { tag: '@desk' },
  async ({ page, standing }) => {
    const visit = await standing.visit('filter pump 2')
    await open(page, standing.url, visit)
    const before = await lines(page).count()
    await field(page).fill('supply 23.6 v')
    await expect(page.getByTestId('asked')).toContainText('supply at rest of 23.6 V?')
    await page.keyboard.press('Enter')
    await expect(page.getByTestId('asked')).toContainText('Nothing is kept before it is answered')
    await expect(lines(page)).toHaveCount(before)
    await page.keyboard.press('1')
    await expect(field(page)).toHaveValue('')
    await expect(lines(page).first()).toContainText('236 V')
    await expect(page.getByTestId('typed').first()).toHaveText('supply 23.6 v')
  },
)

test('a question is answered by a tap', async ({ page, standing }) => {
  const visit = await standing.visit('filter pump 2')
  await open(page, standing.url, visit)
  await field(page).fill('shaft does not turn free')
  const asked = page.getByTestId('asked')
  await asked
    .getByRole('button', { name: /tight|seized/ })
    .first()
    .click()
  await expect(asked).toHaveCount(0)
  await expect(heard(page)).toContainText('shaft, by hand')
  await page.keyboard.press('Enter')
  await expect(field(page)).toHaveValue('')
  await expect(lines(page).first()).toContainText('shaft, by hand')
})

test(
  'a gate, the plate, a wish and a thing left are said in the same line as readings',
  { tag: '@desk' },
  async ({ page, standing }) => {
    const visit = await standing.visit('filter pump 2')
    await open(page, standing.url, visit)
    await say(page, 'breaker off and locked')
    await expect(lines(page).first()).toContainText('power off')
    await say(page, 'plate 9.8 amps, shaft free, bearings replaced last year, customer wants a new motor')
    await expect(lines(page).filter({ hasText: 'wished for' })).toHaveCount(1)
    await say(page, 'left: cracked lid')
    await expect(lines(page).first()).toContainText('seen and left: cracked lid')
    await expect
      .poll(async () => (await keptAt(standing.url, visit, 'machine-set')).at(-1)?.body.machine.nameplate.fullLoadAmps)
      .toBe(9.8)
    expect((await keptAt(standing.url, visit, 'call')).at(-1)?.body.alreadyReplaced).toContain('bearings')
  },
)

test(
  'what is left over is plain to see, and a line that says nothing is kept as a note',
  { tag: '@desk' },
  async ({ page, standing }) => {
    await open(page, standing.url, await standing.visit('filter pump 2'))
    await field(page).fill('shaft free, terrier barking')
    await expect(page.getByTestId('left-over')).toContainText('terrier')
    await field(page).fill('dog is friendly')
    await expect(understood(page)).toContainText('Enter keeps it as a note')
  },
)

test('an empty Enter and ? show what can be said here, by part', async ({ page, standing }) => {
  await open(page, standing.url, await standing.visit('filter pump 2'))
  await field(page).focus()
  await page.keyboard.press('Enter')
  const help = page.getByTestId('say-help')
  await expect(help).toContainText('What can be said here')
  await expect(help.getByRole('region', { name: 'run capacitor' })).toContainText('bulged')
  await page.keyboard.press('Escape')
  await expect(help).toHaveCount(0)
  await field(page).focus()
  await page.keyboard.press('?')
  await help.getByRole('button', { name: 'breaker off and locked' }).click()
  await expect(field(page)).toHaveValue('breaker off and locked')
})

test('a chip answers the lit check in one tap', { tag: '@phone' }, async ({ page, standing }) => {
  await open(page, standing.url, await standing.visit('filter pump 2'))
  await expect(page.getByTestId('lamp-title')).toHaveText('Look at the weep hole')
  await page.getByRole('list', { name: 'answers to the lit check' }).getByRole('button', { name: 'dry' }).click()
  await expect(lines(page).first()).toContainText('weep hole')
  await expect(field(page)).toHaveValue('')
})

/** A recogniser that hears what it is told to, in the browser’s own shape. */
const FAKED = `
  window.SpeechRecognition = class {
    start() {
      const say = (transcript) => this.onresult?.({ results: [[{ transcript }]] })
      say('supply two thirty')
      say('supply two thirty six weep not dripping')
    }
    stop() { this.onend?.() }
    abort() { this.onend?.() }
  }
`

test('what is dictated while the key is held is read back, and kept by an act alone', async ({ page, standing }) => {
  await page.addInitScript(FAKED)
  await open(page, standing.url, await standing.visit('filter pump 2'))
  const before = await lines(page).count()
  const key = page.getByRole('button', { name: 'hold to dictate' })
  await key.focus()
  await page.keyboard.down('Space')
  await expect(field(page)).toHaveValue('supply two thirty six weep not dripping')
  await page.keyboard.up('Space')
  await expect(heard(page)).toHaveCount(2)
  await expect(heard(page).first()).toContainText('236 V')
  await expect(lines(page)).toHaveCount(before)
  await field(page).focus()
  await page.keyboard.press('Enter')
  await expect(lines(page)).toHaveCount(before + 2)
})

test('where the browser cannot listen there is no key for it', { tag: '@desk' }, async ({ page, standing }) => {
  await page.addInitScript('delete window.SpeechRecognition; delete window.webkitSpeechRecognition')
  await open(page, standing.url, await standing.visit('filter pump 2'))
  await expect(page.getByRole('button', { name: 'what can be said here' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'hold to dictate' })).toHaveCount(0)
})

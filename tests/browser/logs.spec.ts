import { chance } from '../../core/quantity/random'
import { buildMachine } from '../../core/virtual/build'
import { logCsv } from '../../core/virtual/csv'
import { virtualCurrentLog, virtualPressureLog } from '../../core/virtual/logs'
import { seriousOn } from './axe'
import { expect, fixClock, keptAt, test } from './shop'

/** A day of a house whose tank has taken water and which leaks a little, as its logger wrote it. */
function dayOfHouse(): string {
  const machine = buildMachine('well-two-wire', chance(4))
  machine.house.waterInTank = true
  machine.leaks.houseGallonsPerMinute = 0.03
  const log = virtualPressureLog(machine, { hours: 24, stepSeconds: 10, noisePsi: 0.2, drawsPerHour: 3 }, chance(8))
  // For an hour in the afternoon its battery was out.
  return logCsv(
    log.filter(({ seconds }) => seconds < 54_000 || seconds > 57_600),
    'pressure (psi)',
    '2026-05-11T00:00',
  )
}
const asFile = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

test('a day of pressure: read, drawn, its figures taken one by one, what it says written down', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  const visit = await standing.visit('deep well')
  await page.goto(`${standing.url}/visits/${visit}/test`)
  const checks = async () => (await keptAt(standing.url, visit, 'finding')).map(({ body }) => body.check)
  const [before, notes] = [await checks(), await keptAt(standing.url, visit, 'note')]
  await page.getByTestId('show-log').click()
  await page.getByTestId('log-input').setInputFiles(asFile('house.csv', dayOfHouse()))
  const read = page.getByTestId('log-read')
  await expect(read).toContainText('starts in 24 h')
  await expect(read).toContainText('At its quietest it still loses')
  await expect(read).toContainText('Nothing was written once')
  await expect(read.getByTestId('quiet-stretch')).toBeVisible()
  expect(await seriousOn(page)).toEqual([])
  // Nothing is kept before it is taken.
  expect((await checks()).length).toBe(before.length)
  await page.getByTestId('take-cut-in').press('Enter')
  await expect(page.getByTestId('offered').getByText('taken')).toHaveCount(1)
  await page.getByTestId('take-cycle-time').click()
  await expect.poll(checks).toEqual([...before, 'cut-in', 'cycle-time'])
  await page.getByTestId('note-log').click()
  await expect(page.getByTestId('note-log')).toBeDisabled()
  await expect.poll(() => keptAt(standing.url, visit, 'note')).toHaveLength(notes.length + 1)
  expect(problems).toEqual([])
})

test('a trace of the current says that the start switch slips; another file is said to be none', async ({
  page,
  standing,
}) => {
  const visit = await standing.visit('filter pump 2')
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await page.getByTestId('show-log').click()
  const runs = Array.from({ length: 3 }, () => ({ seconds: 25, rest: 8 }))
  const log = virtualCurrentLog(
    buildMachine('pool', chance(1)),
    { stepSeconds: 0.1, noiseAmps: 0.08, runs, comesBackPerMinute: 8 },
    chance(2),
  )
  await page.getByTestId('log-input').setInputFiles(asFile('clamp.csv', logCsv(log, 'current (A)')))
  await expect(page.getByTestId('log-read')).toContainText('3 runs in')
  await expect(page.getByTestId('log-read')).toContainText('the switch slips')
  await expect(page.getByTestId('take-running-current')).toBeVisible()
  await page.getByTestId('log-input').setInputFiles(asFile('list.csv', 'part,price\nseal,12\n'))
  await expect(page.getByTestId('log-view').getByRole('alert')).toContainText(
    'a line of names, one of them with its unit',
  )
  await expect(page.getByTestId('log-read')).toHaveCount(0)
})

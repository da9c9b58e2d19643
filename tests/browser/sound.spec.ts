import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium } from '@playwright/test'
import { CHROMIUM_LAUNCH } from '../../scripts/lib/system.mjs'
import { seriousOn } from './axe'
import { BEARING, recordedPump } from './recorded'
import { expect, fixClock, keptAt, test, type Page } from './shop'

const asFile = (buffer: Buffer, name = 'motor.wav') => ({ name, mimeType: 'audio/wav', buffer })
const listened = (page: Page) => page.getByTestId('listened')

test('a recording is taken, read, kept, heard again, laid beside the next, and taken back', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  const visit = await standing.visit('filter pump 2')
  await page.goto(`${standing.url}/visits/${visit}/test`)
  // On the part itself its sound is one of its checks.
  await page.getByTestId('part-bearings').press('Enter')
  await page.getByTestId('part-panel').getByRole('button', { name: 'record' }).click()
  await page.getByTestId('wav-input').setInputFiles(asFile(recordedPump('bearings-worn')))
  await expect(listened(page)).toContainText('Bearings: cannot tell')
  await expect(listened(page)).toContainText('number is not known')
  // With its number it is listened to once more.
  await page.getByTestId('sound-bearing').selectOption(BEARING)
  await expect(listened(page)).toContainText('Bearings: blows')
  await expect(listened(page)).toContainText('as of a damaged outer race')
  await expect(listened(page).locator('[data-line="outer race"]')).toHaveAttribute('data-heard', 'true')
  await expect(listened(page).locator('[data-line="inner race"]')).toHaveAttribute('data-heard', 'false')
  await expect(listened(page).locator('[data-line="one turn"]')).toHaveAttribute('data-heard', 'true')
  await expect(page.getByTestId('before-hiss')).toHaveText('none')
  expect(await seriousOn(page)).toEqual([])

  const suspect = page.getByTestId('suspect-bearings-worn')
  const before = await suspect.getByText('%').innerText()
  await page.getByTestId('keep-recording').click()
  await expect(page.getByTestId('next-recording')).toBeFocused()
  await expect(suspect.getByText('%').first()).not.toHaveText(before)
  await expect(suspect).toContainText('bearings, recorded')
  await expect.poll(() => keptAt(standing.url, visit, 'recording')).toHaveLength(1)
  const [line] = await keptAt(standing.url, visit, 'recording')
  expect(line?.body).toMatchObject({
    bearing: BEARING,
    side: 'motor',
    heard: { bearing: { is: 'blows', place: 'outer' } },
  })
  expect((await fetch(`${standing.url}/api/photos/${line?.body.hash}`)).status).toBe(200)

  // The next day: it is heard again, and a sound pump is laid beside it.
  await page.reload()
  await page.getByTestId('show-sound').click()
  await page.getByRole('button', { name: 'Listen again' }).click()
  await expect(listened(page)).toContainText('Kept in this visit.')
  await expect(listened(page)).toContainText('Bearings: blows')
  await page.getByTestId('next-recording').click()
  await page.getByTestId('wav-input').setInputFiles(asFile(recordedPump('nothing-wrong'), 'after.wav'))
  await expect(listened(page)).toContainText('Bearings: no blows')
  await expect(page.getByTestId('before-hiss')).toContainText('12 May 2026, as before')

  await page.getByRole('button', { name: 'take back: recorded: 10 s at the motor' }).click()
  await expect(page.getByTestId('journal-line').filter({ hasText: 'recorded' })).toHaveCount(0)
  await expect(suspect).not.toContainText('bearings, recorded')
  expect(problems).toEqual([])
})

test('what cannot be listened to is said in a sentence, and nothing is kept', async ({ page, standing }) => {
  const visit = await standing.visit('filter pump 2')
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await page.getByTestId('show-sound').click()
  const said = page.getByTestId('sound-view').getByRole('alert')
  await page.getByTestId('wav-input').setInputFiles(asFile(Buffer.from('no sound at all')))
  await expect(said).toContainText('a WAV file of plain samples')
  await page.getByTestId('wav-input').setInputFiles(asFile(Buffer.alloc(12_000_001), 'night.wav'))
  await expect(said).toContainText('night.wav is larger than 12 MB')
  await page.getByTestId('wav-input').setInputFiles(asFile(recordedPump('bearings-worn', { seconds: 2 })))
  await expect(listened(page)).toContainText('It is too short')
  await expect(said).toHaveCount(0)
  expect(await keptAt(standing.url, visit, 'recording')).toEqual([])
  // A pump in a well is not listened to.
  await page.goto(`${standing.url}/visits/${await standing.visit('deep well')}/test`)
  await expect(page.getByTestId('show-wiring')).toBeVisible()
  await expect(page.getByTestId('show-sound')).toHaveCount(0)
})

test('ten seconds are recorded with the microphone, by keyboard alone', async ({ standing }, info) => {
  const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-sound-'))
  const recording = join(folder, 'microphone.wav')
  writeFileSync(recording, recordedPump('bearings-worn', { hertz: 48_000, seconds: 12 }))
  const browser = await chromium.launch({
    ...CHROMIUM_LAUNCH,
    args: [
      ...CHROMIUM_LAUNCH.args,
      '--use-fake-device-for-media-stream',
      `--use-file-for-fake-audio-capture=${recording}`,
    ],
  })
  try {
    const { viewport, hasTouch } = info.project.use
    const context = await browser.newContext({ viewport, hasTouch, serviceWorkers: 'block' })
    const page = await context.newPage()
    const visit = await standing.visit('filter pump 2')
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await page.getByTestId('show-section').focus()
    await page.keyboard.press('ArrowRight')
    await page.keyboard.press('ArrowRight')
    const key = page.getByTestId('record')
    await page.getByTestId('sound-bearing').focus()
    await page.keyboard.type(BEARING)
    await expect(page.getByTestId('sound-bearing')).toHaveValue(BEARING)
    // Not allowed, it says what can be done instead.
    await key.press('Enter')
    await expect(page.getByTestId('sound-view').getByRole('alert')).toContainText('take a WAV file')
    await context.grantPermissions(['microphone'])
    await key.press('Enter')
    await expect(page.getByTestId('sound-view').getByRole('status')).toContainText('of 10 s')
    await expect(listened(page)).toContainText('Bearings: blows', { timeout: 45_000 })
    await expect(listened(page)).toContainText('as of a damaged outer race')
    await page.getByTestId('keep-recording').press('Enter')
    await expect.poll(() => keptAt(standing.url, visit, 'recording')).toHaveLength(1)
    expect((await keptAt(standing.url, visit, 'recording'))[0]?.body.seconds).toBeCloseTo(10, 1)
  } finally {
    await browser.close()
    rmSync(folder, { recursive: true })
  }
})

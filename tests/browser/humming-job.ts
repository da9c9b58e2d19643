import { execFileSync } from 'node:child_process'
import { expect, say, type Page } from './shop'

const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
)

/** The humming pool pump's job, from the Day to the sheet that is handed over. */
export async function hummingJob(page: Page): Promise<void> {
  await page.getByTestId('day-row-lit').getByRole('link').click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('filter pump 2, Millrace Lido')

  // Call
  await page.getByRole('button', { name: 'hums, will not turn' }).click()
  await expect(page.getByTestId('suspect-run-capacitor-failed')).toBeVisible()
  await page.getByTestId('stage-end').click()

  // Prepare: the capacitor by its rating, tied to its suspect
  await expect(page.getByTestId('load-part:run-capacitor')).toContainText('run capacitor 30 μF, 370 V or more')
  await page.getByTestId('load-part:run-capacitor').click()
  await expect(page.getByTestId('load-part:run-capacitor')).toHaveAttribute('aria-checked', 'true')
  await page.getByTestId('stage-end').click()

  // Safe: a line that is not dead is not passed; the bleed time is computed
  await page.getByTestId('gate-power-off').getByRole('button').click()
  const dead = page.getByTestId('gate-proved-dead')
  for (const [line, volts] of [
    ['line 1 to ground', '118'],
    ['line 2 to ground', '0'],
    ['line to line', '0.2'],
  ] as const)
    await dead.getByLabel(`${line}, volts`).fill(volts)
  await dead.getByRole('button', { name: 'Proved dead' }).click()
  await expect(dead.getByRole('alert')).toContainText('118 V is not dead')
  await dead.getByLabel('line 1 to ground, volts').fill('0')
  await dead.getByRole('button', { name: 'Proved dead' }).click()
  await expect(dead).toContainText('since 09:40')
  await expect(page.getByTestId('bleed-time')).toContainText('3 s through 20 kΩ: 30 μF from 523 V to 5 V')
  await page.getByTestId('gate-discharged').getByRole('button', { name: 'Done' }).click()
  await page.getByTestId('stage-end').click()

  // Test: the lamp lights the capacitor; what is typed is judged before Enter
  // Behind the lock there is no supply to read: it is asked, and the power was on for it
  await page.getByLabel('a reading, a note').fill('supply 236')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('asked')).toContainText('with the power locked off')
  await page.keyboard.press('1')
  await expect(page.getByLabel('a reading, a note')).toHaveValue('')
  await say(page, 'breaker off and locked, proved dead, cap bled')
  await say(page, 'shaft free')
  await expect(page.getByTestId('lamp-title')).toHaveText('Measure the run capacitor')
  const reading = page.getByLabel('a reading, a note')
  await reading.fill('run cap 45 F')
  await expect(page.getByTestId('understood')).toContainText('beyond')
  await page.keyboard.press('Enter')
  await expect(reading).toHaveValue('run cap 45 F')
  await page.getByTestId('lamp-do').click()
  await expect(reading).toHaveValue('run cap ')
  await reading.fill('run cap 27')
  await expect(page.getByTestId('understood')).toContainText('10 % under 30 μF, outside 28.2 to 31.8 μF. failed')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('lamp-title')).toHaveText('Replace the run capacitor')

  // Undo takes the reading and its consequence back; a reload in the middle keeps everything
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('lamp-title')).toHaveText('Measure the run capacitor')
  await say(page, 'run cap 27 uF')
  await say(page, 'left the foot is cracked')
  await page.reload()
  await expect(page.getByTestId('lamp-title')).toHaveText('Replace the run capacitor')
  await expect(page.getByTestId('journal')).toContainText('seen and left: the foot is cracked')

  // A photo on an entry
  const line = page.getByTestId('journal-line').filter({ hasText: '10 % under 30 μF' })
  await line.getByRole('button', { name: 'photo for run capacitor', exact: true }).click()
  await page.getByTestId('photo-input').setInputFiles({ name: 'swollen can.png', mimeType: 'image/png', buffer: PIXEL })
  await expect(line.getByRole('img', { name: 'swollen can.png' })).toBeVisible()
  await page.getByTestId('stage-end').click()

  // Decide: side by side, the technician chooses
  await expect(page.getByTestId('option-replace-run-capacitor')).toContainText('whole cure')
  await expect(page.getByTestId('option-swap-motor')).toBeVisible()
  await expect(page.getByTestId('decision-chart').locator('svg').first()).toBeVisible()
  await page.getByTestId('option-replace-run-capacitor').getByRole('radio').click()
  await page.getByTestId('stage-end').click()

  // Repair: every step ticked; a count that disagrees on the way back wants a reason
  const done = page.getByTestId('step-done')
  await expect(done).toBeVisible()
  for (;;) {
    const title = await page.getByTestId('lamp-title').innerText()
    if (title === 'Everything is back') break
    if (title.startsWith('Capacitor cover on')) {
      await page.getByTestId('lamp').getByRole('radio', { name: '1', exact: true }).click()
      await expect(done).toBeDisabled()
      await page.getByTestId('count-reason').fill('one screw stripped, longer one in the van')
    }
    await done.click()
    await expect(page.getByTestId('lamp-title')).not.toHaveText(title)
  }
  await expect(page.getByTestId('lamp-title')).toHaveText('Everything is back')
  await page.getByTestId('stage-end').click()

  // Prove
  for (const proof of [
    'shaft free',
    'prime holds',
    'pot full',
    'supply 237',
    'loaded 234',
    'running 6.7 a',
    'weep dry',
    'listen quiet',
    'run cap 30.2',
  ])
    await say(page, proof)
  await expect(page.getByTestId('lamp-title')).toHaveText('It is proved')
  await expect(page.getByTestId('proof-amps')).toContainText('6.7 A')
  await page.getByTestId('stage-end').click()

  // Hand over: the sheet as page and as PDF, with the same words
  await page.getByLabel('What to watch').fill('listen to it when the season opens')
  await page.getByLabel('Next visit').fill('2027-05-12')
  await page.getByTestId('hand-over').click()
  const sheet = page.getByTestId('sheet')
  for (const words of [
    'starts again.',
    'The run capacitor was replaced.',
    'Run capacitor: 27 μF, where 28.2 to 31.8 μF is right.',
    '30.2 μF',
    'The foot is cracked',
    'listen to it when the season opens',
    'Wednesday 12 May 2027',
    'local code',
    'Sheet, issue 1',
  ])
    await expect(sheet).toContainText(words)
}

/** The sheet of that job as PDF says what the page says, with its faces in it. */
export function expectSheet(file: string): void {
  const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
  for (const words of [
    'For Millrace Lido',
    'The filter pump 2 starts again.',
    '30.2 μF',
    '28.2 to 31.8 μF',
    'The foot is cracked',
    'The run capacitor was replaced.',
    'listen to it when the season opens',
    'Sheet, issue 1',
  ])
    expect(text).toContain(words)
  expect(
    execFileSync('pdffonts', [file], { encoding: 'utf8' })
      .split('\n')
      .slice(2)
      .filter(Boolean)
      .every((row) => row.includes(' yes yes ')),
  ).toBe(true)
}

// One current picture of each main view, from the demo data with the clock fixed. `npm run screenshots`, then look at
// them.
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildIfNeeded, installPackages, needNode, root, startServer } from './lib/setup.mjs'
import { isBlank } from './lib/blank.mjs'
import { watchRequests } from './lib/quiet.mjs'
import { seedDemo } from './lib/seed.mjs'
import { CHROMIUM_LAUNCH, installSystemPackages } from './lib/system.mjs'

needNode()
await installPackages()
await installSystemPackages()
await buildIfNeeded()
const NOW = new Date(2026, 4, 12, 10, 41)
const out = join(root, 'docs/screenshots')
const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-pictures-'))
const data = join(folder, 'demo')
mkdirSync(data)
mkdirSync(out, { recursive: true })
const entries = await seedDemo(NOW)
writeFileSync(join(data, 'journal.jsonl'), entries.map((entry) => `${JSON.stringify(entry)}\n`).join(''))
const visit = (machine) =>
  entries.filter((entry) => entry.kind === 'visit-opened' && entry.body.machine.name === machine).at(-1).visitId
const machine = (name) =>
  entries.find((entry) => entry.kind === 'visit-opened' && entry.body.machine.name === name).body.machine.id
const lido = visit('filter pump 2')
const { child, address } = await startServer({
  port: 4392,
  dataDir: data,
  stdio: 'ignore',
  env: { PIKE_LAMP_NOW: NOW.toISOString() },
})
// A picture that fails must not leave a server behind, which the next run would photograph.
process.once('exit', () => child.kill())
const { chromium } = await import('@playwright/test')
const browser = await chromium.launch(CHROMIUM_LAUNCH)
const wanted = process.argv.slice(2)
/** Pictures that could not be taken, with why: the one that is there stays, and the script fails. */
const failed = []

async function picture(name, path, { scheme = 'light', size = [1280, 800], before } = {}) {
  const context = await browser.newContext({
    viewport: { width: size[0], height: size[1] },
    colorScheme: scheme,
    hasTouch: size[0] < 600,
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  })
  const page = await context.newPage()
  const troubles = []
  page.on('pageerror', (error) => troubles.push(String(error)))
  page.on('console', (message) => {
    if (message.type() === 'error') troubles.push(message.text())
  })
  await page.clock.setFixedTime(NOW)
  let png
  // What breaks off one picture is said with its name, and the others are taken all the same.
  try {
    const quiet = watchRequests(page)
    await page.goto((path.startsWith('http') ? '' : address) + path)
    await quiet()
    await before?.(page)
    await quiet()
    await page.locator('main').first().waitFor()
    await page.evaluate(() => document.fonts.ready)
    await page.waitForTimeout(700)
    png = await page.screenshot()
    if (await isBlank(png)) troubles.push('the picture is blank')
  } catch (error) {
    troubles.push(String(error))
  }
  const isWanted = wanted.length === 0 || wanted.includes(name)
  if (troubles.length === 0 && isWanted) writeFileSync(join(out, `${name}.png`), png)
  else if (troubles.length > 0) failed.push(`${name}: ${troubles.join('; ')}`)
  await context.close()
}
const say = async (page, ...lines) => {
  for (const line of lines) {
    const field = page.getByLabel('a reading, a note')
    await field.fill(line)
    await field.press('Enter')
    // It is empty again once the line is taken: the next would be written over it.
    await page.waitForFunction((input) => input.value === '', await field.elementHandle())
  }
}

await picture('day-daylight', '/')
await picture('due-daylight', '/due', { before: (page) => page.getByTestId('choose-lit').click() })
await picture('call-daylight', `/visits/${lido}/call`, {
  before: async (page) => {
    await page.getByRole('button', { name: 'hums, will not turn' }).click()
    await page.getByTestId('stage-end').click()
    // Back before the page has gone on would be back before its first.
    await page.waitForURL('**/prepare')
    await page.goBack()
  },
})
await picture('safe-cellar', `/visits/${lido}/safe`, {
  scheme: 'dark',
  before: async (page) => {
    await page.getByTestId('gate-power-off').getByRole('button').click()
    for (const line of ['line 1 to ground', 'line 2 to ground', 'line to line'])
      await page.getByLabel(`${line}, volts`).fill('0')
    await page.getByRole('button', { name: 'Proved dead' }).click()
  },
})
await picture('test-daylight', `/visits/${lido}/test`, {
  before: async (page) => {
    await say(page, 'weep dry', 'shaft free')
    await page.getByLabel('a reading, a note').fill('run cap 27')
  },
})
await picture('test-phone', `/visits/${lido}/test`, { size: [390, 844] })
await picture('shop-daylight', '/shop')
await picture('pumps-cellar', '/pumps?q=weir', { scheme: 'dark' })
await picture('card-daylight', `/pumps/${machine('garden pool pump')}`)
await picture('workings-daylight', '/workings')
await picture('shelf-daylight', '/shelf', {
  before: (page) => page.getByTestId('shelf-query').fill('30 uF 370 V round'),
})
const come = async (page) => {
  await page.getByTestId('begin-case').click()
  await page.getByTestId('practice-head').waitFor()
  await page.getByRole('link', { name: 'Test' }).click()
  await page.getByTestId('bench').waitFor()
}
const shut = async (page, ...gates) => {
  for (const gate of gates) await page.getByTestId(`turn-${gate}`).click()
}
await picture('practice-daylight', '/practice/case/well-three-wire.one.2', {
  before: async (page) => {
    await page.getByTestId('choose-lamp-hint').click()
    await come(page)
    await shut(page, 'power-off', 'proved-dead', 'discharged', 'electronics-disconnected')
    await page.getByTestId('dial-volts-500').click()
    await page.getByTestId('terminal-r2').press('a')
    await page.getByTestId('terminal-ground').press('b')
    await page.getByTestId('take-reading').waitFor()
    await page.getByTestId('bench').evaluate((bench) => bench.scrollIntoView())
  },
})
await picture('lesson-daylight', '/practice/handbook/lesson-ohmmeter')
await picture('afterwards-cellar', '/practice/case/utility.one.1', {
  scheme: 'dark',
  before: async (page) => {
    await come(page)
    await page.getByTestId('hand-turn').click()
    await page.getByTestId('do-shaft-turn').click()
    await page.getByTestId('hand-listen').click()
    await page.getByTestId('do-listen').click()
    await page.getByTestId('take-reading').click()
    for (const repair of ['replace-shaft-seal', 'replace-run-capacitor']) {
      await page.getByTestId('stage-end').click()
      await page.getByTestId(`repair-${repair}`).getByRole('radio').click()
      await page.getByTestId('stage-end').click()
      await page.getByTestId('do-as-planned').click()
      await page.getByTestId('do-as-planned').waitFor({ state: 'hidden' })
      if (repair === 'replace-run-capacitor') break
      await page.getByTestId('stage-end').click()
      await page.getByTestId('jaw-jaw-one').press('Enter')
      await page.getByTestId('take-reading').click()
      await page.getByTestId('comeback').click()
      await shut(page, 'power-off', 'proved-dead', 'discharged')
      await page.getByTestId('part-run-can').click()
      await page.getByTestId('dial-microfarads').click()
      await page.getByTestId('terminal-rc1').press('a')
      await page.getByTestId('terminal-rc2').press('b')
      await page.getByTestId('take-reading').click()
    }
    await page.getByRole('link', { name: 'Hand over' }).click()
    await page.getByTestId('hand-over-practice').click()
    await page.getByTestId('it-was').waitFor()
  },
})
await picture('decide-daylight', `/visits/${lido}/decide`, {
  before: async (page) => {
    await say(page, 'run cap 27')
    await page.getByTestId('option-replace-run-capacitor').getByRole('radio').click()
    await page.getByTestId('decision-chart').locator('svg').first().waitFor()
  },
})
await picture('repair-daylight', `/visits/${visit('garden pool pump')}/decide`, {
  before: async (page) => {
    // Later than all that the demo has ticked by now.
    await page.clock.setFixedTime(new Date(NOW.getTime() + 30_000))
    await page.getByTestId('option-swap-motor').getByRole('radio').click()
    // Later than the decision: with a clock that stands still, steps and decision would sort by chance.
    await page.clock.setFixedTime(new Date(NOW.getTime() + 60_000))
    await page.goto(`${address}/visits/${visit('garden pool pump')}/repair`)
    for (
      let turn = 0;
      turn < 40 && !(await page.getByTestId('lamp-title').innerText()).startsWith('Lock screw');
      turn++
    ) {
      await page.getByTestId('step-done').click()
      await page.waitForTimeout(60)
    }
  },
})
const garden = visit('garden pool pump')
await picture('prove-daylight', `/visits/${garden}/prove`, {
  before: async (page) => {
    // Later than the steps that the picture of Repair has ticked.
    await page.clock.setFixedTime(new Date(NOW.getTime() + 120_000))
    await page.goto(`${address}/visits/${garden}/prove`)
    await say(page, 'shaft free', 'pot full', 'loaded 234', 'running 6.9')
    await page.getByTestId('proof-drip').getByText('from').waitFor()
  },
})
await picture('hand-over-daylight', `/visits/${lido}/prove`, {
  before: async (page) => {
    await page.clock.setFixedTime(new Date(NOW.getTime() + 180_000))
    await page.goto(`${address}/visits/${lido}/prove`)
    await say(page, 'power on', 'loaded 234', 'running 6.7', 'left: foot cracked on one side, sits firm')
    await page.goto(`${address}/visits/${lido}/hand-over`)
    await page.getByLabel('What to watch').fill('Listen to it when the season opens.')
    await page.getByLabel('Next visit').fill('2027-05-12')
    await page.getByTestId('hand-over').click()
    await page.getByTestId('sheet-issue').getByText('issue 1').waitFor()
  },
})
await new Promise((done) => {
  child.once('exit', done)
  child.kill()
})
const empty = await startServer({ port: 4393, dataDir: join(folder, 'empty'), stdio: 'ignore' })
await picture('first-day', `${empty.address}/`)
await browser.close()
empty.child.kill()
rmSync(folder, { recursive: true, force: true })
if (failed.length > 0) {
  console.error(`${failed.length} pictures failed\n${failed.join('\n')}`)
  process.exit(1)
}

import { v7 as uuidv7 } from 'uuid'
import { post } from '../server/serve'
import { closeStep, until } from './repair-steps'
import { expect, fixClock, NOW, test } from './shop'
test('look', async ({ page, standing }, info) => {
  await fixClock(page)
  const visit = await standing.visit('garden pool pump')
  const write = async (kind: string, body: object, n = 1) => {
    const entry = {
      id: uuidv7(),
      visitId: visit,
      kind,
      at: new Date(NOW.getTime() + n).toISOString(),
      author: 'test',
      body,
    }
    expect((await post(`${standing.url}/api/entries`, { entries: [entry] })).status).toBe(200)
  }
  await write('decision', { option: 'replace-shaft-seal' })
  await write('wish', { job: 'variable-speed-motor' })
  await write('job', { job: 'diffuser', state: 'agreed', from: 'open' })
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  await expect(page.getByTestId('one-plan')).toBeVisible()
  await page.screenshot({ path: `/tmp/shots/decide-${info.project.name}.png`, fullPage: info.project.name === 'phone' })
  await page.goto(`${standing.url}/visits/${visit}/repair`)
  await until(page, 'Look at the shaft')
  await page.screenshot({ path: `/tmp/shots/answer-${info.project.name}.png` })
  await page.getByTestId('answer-felt').click()
  await closeStep(page)
  await page.screenshot({ path: `/tmp/shots/felt-${info.project.name}.png` })
})

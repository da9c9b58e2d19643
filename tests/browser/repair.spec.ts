import type { Page } from '@playwright/test'
import { expect, fixClock, NOW, test, visitOf, type Shop } from './shop'

/** Writes the decision as the Decide page would, for repairs that stand far down its list. */
async function decide(shop: Shop, visitId: string, option: string): Promise<void> {
  const entry = { id: `0190b0b0-0000-7000-8000-${option.length.toString(16).padStart(12, '0')}`, visitId, kind: 'decision', at: new Date(NOW.getTime() + 1).toISOString(), author: 'test', body: { option } }
  const response = await fetch(`${shop.url}/api/entries`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify({ entries: [entry] }) })
  expect(response.status).toBe(200)
}

const title = (page: Page) => page.getByTestId('lamp-title')
async function until(page: Page, words: string): Promise<void> {
  for (let turn = 0; turn < 80; turn++) {
    const now = await title(page).innerText()
    if (now.startsWith(words)) return
    await page.getByTestId('step-done').click()
    await expect(title(page)).not.toHaveText(now)
  }
  throw new Error(`never came to ${words}`)
}

for (const [name, machine, option] of [
  ['a seal on the nursery’s circulation pump', 'raceway 3', 'replace-shaft-seal'], ['a motor swap on a band-clamp pump', 'filter pump 2', 'swap-motor'], ['bearings on the bench', 'filter pump 2', 'bearings-and-seal'], ['a sump pump with another outlet', 'cellar sump', 'swap-sump-pump'], ['a well motor, the string up', 'deep well', 'replace-two-wire-motor'],
] as const) {
  test(`${name}: down, a stuck joint, an unequal count, left and taken up again, and an empty tray`, async ({ page, shop, problems }) => {
    await fixClock(page)
    const visit = await visitOf(shop.url, machine)
    await decide(shop, visit, option)
    await page.goto(`${shop.url}/visits/${visit}/repair`)
    await expect(page.getByTestId('tray')).toContainText('empty')
    await expect(page.getByTestId('repair-ahead')).toContainText('water back in')
    // The first joint that can stick does: its freeing is the next step, and the way goes on from there.
    const stuck = page.getByTestId('step-stuck')
    for (let turn = 0; turn < 40 && !(await stuck.isVisible()); turn++) {
      const now = await title(page).innerText()
      await page.getByTestId('step-done').click()
      await expect(title(page)).not.toHaveText(now)
    }
    await stuck.click()
    await expect(title(page)).toContainText(/It will not|It sticks|The halves stick/)
    await page.getByTestId('step-done').click()
    // Left here: another page shows the same step and the same tray.
    const [step, tray] = [await title(page).innerText(), await page.getByTestId('tray').innerText()]
    await page.getByTestId('step-done').click()
    await page.getByRole('button', { name: /^undo step/ }).last().click()
    await expect(title(page)).toHaveText(step)
    await page.waitForTimeout(400)
    await page.reload()
    await expect(title(page)).toHaveText(step)
    expect(await page.getByTestId('tray').innerText()).toBe(tray)
    // To the end; the first count that could disagree does, and wants its reason.
    let disagreed = false
    for (let turn = 0; turn < 120; turn++) {
      const now = await title(page).innerText()
      if (now === 'Everything is back') break
      const more = page.getByTestId('lamp').getByRole('button', { name: '1', exact: true })
      if (!disagreed && (await page.getByTestId('lamp').innerText()).includes('How many go in?') && await more.isVisible() && (await more.getAttribute('aria-pressed')) === 'false') {
        await more.click()
        await expect(page.getByTestId('step-done')).toBeDisabled()
        await page.getByTestId('count-reason').fill('one stripped, renewed tomorrow')
        disagreed = true
      }
      await page.getByTestId('step-done').click()
      await expect(title(page)).not.toHaveText(now)
    }
    expect(disagreed).toBe(true)
    await expect(page.getByTestId('tray')).toContainText('empty')
    expect(problems).toEqual([])
  })
}

test('the left-handed lock screw is said in words and by its arrow; a damage found is on the list; what is left in the tray is asked for at the hand-over', async ({ page, shop }) => {
  await fixClock(page)
  const visit = await visitOf(shop.url, 'garden pool pump')
  await decide(shop, visit, 'replace-shaft-seal')
  await page.goto(`${shop.url}/visits/${visit}/repair`)
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
  await expect(page.getByTestId('sheet')).toContainText('still out at the hand-over')
})

test('a count that is otherwise than usual is remembered by the machine', async ({ page, shop }) => {
  await fixClock(page)
  const visit = await visitOf(shop.url, 'garden pool pump')
  await decide(shop, visit, 'renew-housing-o-ring')
  await page.goto(`${shop.url}/visits/${visit}/repair`)
  await until(page, 'Cover bolts out')
  await page.getByTestId('lamp').getByRole('button', { name: '8', exact: true }).click()
  await page.getByTestId('step-done').click()
  await expect.poll(async () => JSON.stringify(await (await fetch(`${shop.url}/api/visits/${visit}`)).json())).toMatch(/"joints":\[\{("count":8,"joint":"cover-bolts"|"joint":"cover-bolts","count":8)\}\]/)
})

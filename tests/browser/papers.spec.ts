import { join } from 'node:path'
import PostalMime from 'postal-mime'
import { serve, temporaryFolder } from '../server/serve'
import { called, type Call } from './called'
import { choose, title } from './repair-steps'
import { drawSignature } from './signature'
import { expect, fixClock, keptAt, say, test } from './shop'

const DRIPPING = {
  machine: {
    name: 'bell lane booster',
    kind: 'booster',
    construction: 'bracket-booster',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.75, motorType: 'permanent-split' },
    installedOn: '2022-05-12',
  },
  complaints: ['leak-under-motor'],
  says: 'drips at the drain hole',
} satisfies Call

test('offered to the owner, agreed, done, proved, signed, mailed into the outlet and paid', async ({
  page,
  standing,
  problems,
}) => {
  await fixClock(page)
  const visit = await called(standing.url, DRIPPING)
  await page.goto(`${standing.url}/visits/${visit}/test`)
  await say(page, 'weep drips')
  await page.goto(`${standing.url}/visits/${visit}/decide`)
  await page.getByTestId('show-owner').click()
  const offer = page.getByTestId('owner-offer')
  await expect(offer.locator('article')).toHaveCount(3)
  const way = page.getByTestId('way-replace-shaft-seal')
  await expect(way).toContainText('Shaft seal leaking')
  await expect(way).toContainText('lasts about')
  await expect(way).toContainText('with journey and tax')
  // What nobody chose is not agreed to.
  await expect(page.getByTestId('offer-agree')).toBeDisabled()
  await way.getByRole('radio').click()
  await page.getByTestId('offer-by').fill('N. Harrow')
  await expect(page.getByTestId('offer-agree')).toHaveText(/Agreed: \$\d+\.\d\d/)
  const agreed = /\$[\d.]+/.exec(await page.getByTestId('offer-agree').innerText())?.[0] as string
  // One price: the offer’s own line, the plan, and what is agreed to.
  await expect(way).toContainText(agreed)
  await page.getByTestId('offer-agree').click()
  await expect(page.getByTestId('offer-said')).toContainText(`N. Harrow agreed to ${agreed} at 09:40`)
  await page.getByTestId('offer-close').click()
  await expect(page.getByTestId('plan-price')).toHaveText(agreed)
  await page.goto(`${standing.url}/visits/${visit}/prove`)
  for (const line of ['shaft free', 'loaded 233', 'running 6.3', 'weep dry', 'joints dry', 'quiet'])
    await say(page, line)
  await expect(title(page)).toHaveText('It is proved')
  await page.goto(`${standing.url}/visits/${visit}/hand-over`)
  await page.getByTestId('hand-over').click()
  await expect(page.getByTestId('sheet-price')).toHaveText(agreed)

  await page.getByTestId('sign').click()
  await page.getByTestId('signature-keep').click()
  await expect(page.getByRole('alert')).toContainText('Nothing is drawn yet')
  await drawSignature(page)
  await page.getByTestId('signature-keep').click()
  await expect(page.getByTestId('signature').locator('path')).toHaveAttribute('d', /^M\d/)
  await expect(page.getByTestId('signature')).toContainText('N. Harrow')
  // A signature is no change of what was signed.
  await expect(page.getByTestId('sheet-issue')).toContainText('Sheet, issue 1')

  await page.getByTestId('mail-sheet').click()
  await page.getByTestId('mail-to').fill('harrow')
  await page.getByTestId('mail-send').click()
  await expect(page.getByTestId('mail-dialog').getByRole('alert')).toContainText('A mail address is needed')
  await page.getByTestId('mail-to').fill('harrow@bell-lane.example')
  await page.getByTestId('mail-note').fill('Thank you for the coffee.')
  await page.getByTestId('mail-send').click()
  await expect(page.getByTestId('mail-sent')).toContainText('harrow@bell-lane.example: it lies in the outlet')
  const [mailed] = await keptAt(standing.url, visit, 'mailed')
  const file = await page.request.get(`${standing.url}/api/mail/${mailed?.body.mail}/message.eml`)
  const mail = await new PostalMime().parse(await file.body())
  expect(mail.to?.[0]?.address).toBe('harrow@bell-lane.example')
  expect(mail.html).toContain('Thank you for the coffee.')
  expect(mail.html).toContain(agreed)
  expect(mail.text).toContain('The shaft seal was replaced')
  expect(mail.attachments.map(({ mimeType }) => mimeType)).toEqual(['application/pdf', 'text/calendar'])
  await page.getByTestId('mail-dialog').getByRole('button', { name: 'Done' }).click()
  await expect(page.getByTestId('mailed')).toContainText('harrow@bell-lane.example')

  await page.getByTestId('paid-amount').fill('50')
  await page.getByTestId('paid-keep').click()
  const left = `$${(Number(agreed.slice(1)) - 50).toFixed(2)}`
  await expect(page.getByTestId('still-open')).toHaveText(left)
  await expect(page.getByTestId('sheet-money')).toContainText(`Still to pay: ${left}.`)
  await expect.poll(() => keptAt(standing.url, visit, 'paid')).toHaveLength(1)
  await page.goto(`${standing.url}/ledger`)
  const row = page.getByTestId('ledger-row').filter({ hasText: 'bell lane booster' })
  await row.getByTestId('ledger-paid').click()
  await expect(row).toContainText('paid 2026-05-12')
  const csv = await (await page.request.get(`${standing.url}/api/ledger.csv?month=2026-05`)).text()
  expect(csv.split('\r\n')[0]).toBe(
    'number,on,customer,place,machine,parts,work,journey,other,taxes,total,paid,open,paidOn',
  )
  expect(csv).toContain(`,${agreed.slice(1)},${agreed.slice(1)},0,2026-05-12`)
  expect(problems).toEqual([])
})

const RETURNED = {
  machine: {
    name: 'garden jet',
    kind: 'jet',
    construction: 'jet-end',
    nameplate: { volts: 230, hertz: 60, horsepower: 0.5, motorType: 'capacitor-start' },
    installedOn: '2026-04-20',
    warrantyUntil: '2028-04-20',
  },
  complaints: ['noise-grind'],
  says: 'grinds since the second day',
} satisfies Call

test(
  'what goes back under its warranty has its claim, its parcel, and a place under the Day until it is back',
  { tag: '@desk' },
  async ({ page, standing, problems }) => {
    await fixClock(page)
    const visit = await called(standing.url, RETURNED)
    await page.goto(`${standing.url}/visits/${visit}/test`)
    await say(page, 'running 6.1')
    await say(page, 'grinds')
    await page.goto(`${standing.url}/visits/${visit}/decide`)
    await choose(page, 'return-under-warranty')
    // The second trip is in the sum.
    await expect(page.getByTestId('account')).toContainText('Second journey, to fit it again$55.00')
    await page.goto(`${standing.url}/visits/${visit}/hand-over`)
    await page.getByTestId('show-claim').click()
    await expect(page.getByTestId('claim-complaint')).toHaveValue('grinds since the second day')
    await expect(page.getByTestId('claim-until')).toHaveValue('2028-04-20')
    await page.getByTestId('claim-opened').check()
    await page.getByTestId('claim-write').click()
    await expect(page.getByRole('alert')).toContainText('It was opened: say why')
    await page.getByTestId('claim-opened').uncheck()
    await page.getByTestId('claim-identity').fill('J 4471-08')
    await page.getByTestId('claim-to').fill('The counter it came from')
    await page.getByTestId('claim-write').click()
    const paper = page.getByTestId('claim-paper')
    for (const words of [
      'J 4471-08',
      'Under warranty toThursday 20 April 2028',
      'No, as it was found',
      'Current6.1 A',
      'The whole pump as it was sold',
      'Pressure switch and gauge where they are not its own',
      'Drained and dry',
    ])
      await expect(paper).toContainText(words)
    await page.getByTestId('claim-sent').click()
    await expect(page.getByTestId('claim-stands')).toContainText('Out: it stands under the Day')
    await expect.poll(() => keptAt(standing.url, visit, 'claim-moved')).toHaveLength(1)
    const due = page.getByTestId('due')
    await page.goto(`${standing.url}/?day=2026-05-26`)
    await expect(due).toContainText('Pump under warranty: sent off, not back yet')
    await page.goto(`${standing.url}/visits/${visit}/hand-over`)
    await page.getByTestId('show-claim').click()
    await page.getByTestId('claim-back').click()
    await expect(page.getByTestId('claim-stands')).toContainText('Closed')
    await expect.poll(() => keptAt(standing.url, visit, 'claim-moved')).toHaveLength(2)
    await Promise.all([
      page.waitForResponse((response) => response.url().includes('/api/due?until=')),
      page.goto(`${standing.url}/?day=2026-05-26`),
    ])
    await expect(page.getByText('Pump under warranty')).toHaveCount(0)
    expect(problems).toEqual([])
  },
)

test(
  'without an address of its own a shop mails nothing, and its numbers are written as it writes them',
  { tag: '@desk' },
  async ({ page, problems }) => {
    const folder = temporaryFolder()
    const server = await serve(join(folder.path, 'shop'))
    await page.goto(`${server.url}/settings`)
    for (const [field, value] of [
      ['name', 'Weir Lane Pumps'],
      ['currency', 'EUR'],
      ['hourly', '80'],
      ['mail', 'weir lane'],
    ] as const)
      await page.getByTestId(`settings-${field}`).fill(value)
    await page.getByTestId('settings-numbers').selectOption('comma')
    await page.getByTestId('settings-keep').click()
    await expect(page.getByRole('alert')).toContainText('mail address: ')
    await page.getByTestId('settings-mail').fill('')
    await page.getByTestId('settings-keep').click()
    await expect(page).toHaveURL(`${server.url}/`)
    const visit = await called(server.url, DRIPPING)
    await page.goto(`${server.url}/visits/${visit}/decide`)
    await choose(page, 'replace-shaft-seal')
    await page.goto(`${server.url}/visits/${visit}/prove`)
    await say(page, 'running 6.35')
    await page.goto(`${server.url}/visits/${visit}/hand-over`)
    const sheet = page.getByTestId('sheet')
    await expect(sheet).toContainText('6,35 A')
    await expect(page.getByTestId('sheet-price')).toHaveText(/^\d+,\d\d\s€$/)
    await page.getByLabel('Not proved').fill('the owner had to leave')
    await page.getByTestId('hand-over').click()
    await page.getByTestId('mail-sheet').click()
    await page.getByTestId('mail-to').fill('harrow@bell-lane.example')
    await page.getByTestId('mail-send').click()
    await expect(page.getByTestId('mail-dialog').getByRole('alert')).toContainText('no mail address yet')
    expect(await keptAt(server.url, visit, 'mailed')).toHaveLength(0)
    expect(problems.filter((each) => !each.includes('409'))).toEqual([])
    await server.kill('SIGTERM')
    folder.remove()
  },
)

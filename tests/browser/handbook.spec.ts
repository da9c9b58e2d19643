import type { Page } from '@playwright/test'
import { seriousOn } from './axe'
import { kept } from './device'
import { expect, fixClock, test } from './shop'

const figure = (page: Page, id: string) => page.getByTestId(`figure-${id}`)

test('a lesson: its numbers are pushed by keys, and a pump in which it is so is come to', async ({
  page,
  standing,
}) => {
  await page.goto(`${standing.url}/practice`)
  await page
    .getByTestId('lessons')
    .getByRole('link', { name: /The tank that lost its air/ })
    .click()
  await expect(page.getByTestId('rule')).toContainText('full of water')
  await expect(figure(page, 'between')).toHaveText('30 s')
  await expect(page.getByTestId('live-says')).toContainText('all day')
  expect(await seriousOn(page)).toEqual([])
  // As far up as it goes: more air than the switch closes at.
  await page.getByTestId('push-air').focus()
  await page.keyboard.press('End')
  await expect(page.getByTestId('live-says')).toContainText('empty before the pump is asked')
  for (let press = 0; press < 4; press++) await page.keyboard.press('PageDown')
  await expect(page.getByTestId('live-says')).not.toContainText('empty before')
  await expect(page.getByTestId('handbook-lesson-tank-air')).toContainText('Charge it with the tank empty')

  await page.getByTestId('choose-lamp-hint').click()
  await page.getByTestId('to-pump').click()
  await expect(page.getByTestId('practice-head')).toContainText('well pump, 2-wire')
})

test('a figure, a caution and a harm each lead to the page that says why; a word finds it', async ({
  page,
  standing,
}) => {
  await page.goto(`${standing.url}/workings/sources`)
  await page.getByRole('listitem').filter({ hasText: 'IEEE 43: 500 V DC' }).getByTestId('handbook-link').click()
  await expect(page.getByTestId('handbook-insulation')).toBeVisible()
  await expect(page.getByTestId('page-sources')).toContainText('IEEE 43: 500 V DC')
  await expect(page.getByTestId('page-harms')).toContainText('1000 V on a small motor')

  await page.goto(`${standing.url}/visits/${await standing.visit('filter pump 2')}/safe`)
  await page.getByTestId('caution').getByTestId('handbook-link').click()
  await expect(page.getByTestId('page-cautions')).toContainText('Lock out, or guard the panel')
  await page.goBack()
  await expect(page).toHaveURL(/\/safe$/)

  await page.goto(`${standing.url}/practice/handbook`)
  await page.getByTestId('handbook-find').fill('absorbtion')
  await expect(page.getByTestId('handbook-found')).toContainText('Insulation and its limits')
  await page.getByTestId('handbook-find').fill('zebra')
  await expect(page.getByTestId('handbook-found')).toContainText('No page has that')
  expect(await seriousOn(page)).toEqual([])
  await page.goto(`${standing.url}/practice/handbook/nothing`)
  await expect(page.getByRole('main')).toContainText('no such page')
})

test('skills of everybody, and a course that is set, seen by whom it is for, and worked at', async ({ page, shop }) => {
  await fixClock(page)
  await page.goto(`${shop.url}/practice/skills`)
  await page.getByTestId('person-technician').click()
  await expect(page.getByTestId('person')).toContainText('8 tries')
  await expect(page.getByTestId('skill-splitting').first()).toContainText(/\d+ to \d+/)
  expect(await seriousOn(page)).toEqual([])
  await page.getByTestId('course-save').click()
  await expect(page.getByRole('alert')).toContainText('title')
  await page.getByTestId('course-title').fill('Cans and switches')
  await page.getByTestId('course-draw').click()
  await page.getByTestId('course-link').fill('boat.one.4')
  await page.getByTestId('course-link').press('Enter')
  await expect(page.getByRole('alert')).toContainText('is no case')
  await page.getByTestId('course-link').fill(`${shop.url}/practice/case/utility.one.1`)
  await page.getByTestId('course-link').press('Enter')
  await page.getByTestId('course-save').click()
  await expect(page.getByTestId('course-form')).toContainText('2 cases, for everybody')

  await page.goto(`${shop.url}/practice`)
  const course = page.getByTestId('courses').locator('details').filter({ hasText: 'Cans and switches' })
  // The one that the technician of the demo had found before it was set.
  await expect(course).toContainText('1 of 2')
  await expect(page.getByTestId('next-up')).toContainText('Next: half-splitting')
  await course.getByRole('link').first().click()
  await expect(page.getByRole('heading', { name: 'A case was set for you' })).toBeVisible()
})

test('what a try came to is told once it is over, and moves what comes next', async ({ page, shop }) => {
  await fixClock(page)
  await page.goto(`${shop.url}/practice`)
  await expect(page.getByTestId('own-skills')).toContainText('From 8 tries')
  await page.getByTestId('begin-next').click()
  await expect(page.getByTestId('practice-head')).toBeVisible()
  const id = page.url().split('/').at(-2) as string
  await page.goto(`${shop.url}/practice/${id}/hand-over`)
  await page.getByTestId('give-up').click()
  await expect(page.getByTestId('it-was')).toBeVisible()
  await expect(page.getByTestId('own-skills')).toContainText('From 9 tries')
  const lines = async () => {
    const { lines: all } = (await (await page.request.get(`${shop.url}/api/practice`)).json()) as {
      lines: { id: string; body: { ended?: string } }[]
    }
    return all.filter((line) => line.id === id).map(({ body }) => body.ended)
  }
  await expect.poll(lines).toEqual(['given-up'])
  await page.reload()
  await expect(page.getByTestId('own-skills')).toContainText('From 9 tries')
  expect(await lines()).toEqual(['given-up'])
  await page.getByTestId('lesson-page').click()
  await expect(page.getByTestId('rule')).toBeVisible()
})

test.describe('without a signal', () => {
  test.use({ serviceWorkers: 'allow' })
  test('the handbook is read, its numbers pushed, and searched', async ({ page, context, shop }) => {
    await fixClock(page)
    await page.goto(shop.url)
    await kept(page)
    await page.close()
    await shop.stop()
    const cellar = await context.newPage()
    await fixClock(cellar)
    await cellar.goto(`${shop.url}/practice/handbook`)
    await cellar.getByTestId('handbook-find').fill('bubbles')
    await cellar
      .getByTestId('handbook-found')
      .getByRole('link', { name: /The suction side/ })
      .click()
    await cellar.getByTestId('push-block').focus()
    await cellar.keyboard.press('End')
    await expect(cellar.getByTestId('figure-vacuum')).toHaveText(/inHg/)
    await cellar.goto(`${shop.url}/practice`)
    await expect(cellar.getByTestId('own-skills')).toContainText('Nobody answers now')
    await cellar.close()
    await shop.restart()
  })
})

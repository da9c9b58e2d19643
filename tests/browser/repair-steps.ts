import type { Page } from '@playwright/test'
import { expect } from './shop'

/** The step at hand, as the lamp names it. */
export const title = (page: Page) => page.getByTestId('lamp-title')

/** Writes the figure that a step waits for, where it waits for one. */
async function decideFigure(page: Page): Promise<void> {
  const form = page.getByTestId('step-measured')
  if (!(await form.isVisible()) || (await page.getByTestId('step-done').isEnabled())) return
  await form.locator('input').first().fill('0')
  await form.getByRole('button', { name: 'Measured' }).click()
  await expect(page.getByTestId('step-done')).toBeEnabled()
}

/** Closes the step at hand as a technician does: its figure written, what it asks answered, or plainly done. */
export async function closeStep(page: Page): Promise<void> {
  const now = await title(page).innerText()
  const answer = page.locator('[data-testid^="answer-"]').first()
  if (await answer.isVisible()) await answer.click()
  else {
    await decideFigure(page)
    await page.getByTestId('step-done').click()
  }
  await expect(title(page)).not.toHaveText(now)
}

/** Step by step to the one that begins with these words. */
export async function until(page: Page, words: string): Promise<void> {
  for (let turn = 0; turn < 120; turn++) {
    if ((await title(page).innerText()).startsWith(words)) return
    await closeStep(page)
  }
  throw new Error(`never came to ${words}`)
}

/** Chooses a way of mending under Decide. */
export async function choose(page: Page, option: string): Promise<void> {
  await page.getByTestId(`option-${option}`).getByRole('radio').click()
  await expect(page.getByTestId(`option-${option}`).getByRole('radio')).toHaveText('Chosen')
}

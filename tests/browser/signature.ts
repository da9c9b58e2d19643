import type { Page } from '@playwright/test'

/** Draws something in the field to sign in, as a hand does. */
export async function drawSignature(page: Page): Promise<void> {
  const field = page.getByTestId('signature-field')
  const box = (await field.boundingBox()) as { x: number; y: number; width: number; height: number }
  const at = (x: number, y: number) => [box.x + x * box.width, box.y + y * box.height] as const
  await page.mouse.move(...at(0.2, 0.7))
  await page.mouse.down()
  for (const [x, y] of [
    [0.3, 0.2],
    [0.4, 0.8],
    [0.5, 0.3],
    [0.6, 0.6],
  ] as const)
    await page.mouse.move(...at(x, y), { steps: 4 })
  await page.mouse.up()
}

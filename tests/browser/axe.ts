import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** Below it a screen is a phone’s, pixels. */
const PHONE = 600

/** What axe finds that is serious, as words; the charts' own drawing is the library's. */
export async function seriousOn(page: Page, rules?: string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).exclude('.apexcharts-canvas')
  // Colours do not hang on the size of the screen: at the desk they are held against each other.
  const isPhone = (page.viewportSize()?.width ?? 0) < PHONE
  const asked = rules ? axe.withRules(rules) : isPhone ? axe.disableRules(['color-contrast']) : axe
  const { violations } = await asked.analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 3)
          .map(({ html, failureSummary }) => `${html.slice(0, 160)} ${failureSummary?.slice(0, 160)}`)
          .join(' | ')}`,
    )
}

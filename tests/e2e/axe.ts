import AxeBuilder from '@axe-core/playwright'
import type { Page } from '@playwright/test'

/** What axe finds that is serious or worse, each with the first place of it. */
export async function grave(page: Page): Promise<string[]> {
  // No page holds frames, so the whole check runs in the page itself; of what passes, nothing is kept.
  const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] })
  const { violations } = await axe.analyze()
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes[0]?.html ?? ''}`)
}

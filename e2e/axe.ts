/** What axe finds on a page, held against WCAG. */
import { AxeBuilder } from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** @param rules Only these; all where none are named. @returns A line a rule that is broken, with where. */
export async function foundByAxe(page: Page, rules: readonly string[] = []): Promise<readonly string[]> {
  // Pages have no frames, and what is as it should be is not asked for: that takes a fifth of the time.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  const { violations } = await (
    rules.length > 0
      ? axe.withRules([...rules])
      : // A text that can be written is called by its first words on the slide, which are broken into lines there.
        axe.disableRules(['label-content-name-mismatch'])
  ).analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
}

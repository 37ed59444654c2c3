import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** Places of one fault that are named. */
const NAMED = 3;

/**
 * What is wrong with a screen for people who read it by other means, each as a line: every rule as the screen stands,
 * and in the dark theme those about colour again, as nothing else differs there. The screen is left as it was found.
 */
export async function faultsOf(page: Page, screen: string): Promise<string[]> {
  // No part of a screen is a frame of another host, so all of it can be looked at in one go.
  // Only faults are worked out in full: what passes is not shown, and would take half the time.
  const look = (rules: string[] = []) =>
    new AxeBuilder({ page })
      .setLegacyMode(true)
      .options({
        resultTypes: ['violations'],
        ...(rules.length > 0 ? { runOnly: { type: 'rule', values: rules } } : {}),
      })
      .analyze();
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  const light = await look();
  await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
  const dark = await look(['color-contrast', 'link-in-text-block']);
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  const linesOf = (theme: string, { violations }: typeof light) =>
    violations.map(
      ({ id, nodes }) =>
        `${screen} (${theme}): ${id} ${nodes.slice(0, NAMED).map((node) => node.target.join(' '))}`,
    );
  return [...linesOf('light', light), ...linesOf('dark', dark)];
}

import { expect, test } from '@playwright/test';
import { foreignWords, textsOfPage } from '../../test-support/foreign';
import { openSheet, planner, SHEETS, VIEWS } from '../support/views';

/**
 * What the demo's bakery calls its own: kinds of dough, a customer, teams, what sends readings; and languages, each called
 * by its own name. `do` is a German Thursday.
 */
const OWN = [
  ...['crescent', 'danish', 'shop', 'nights', 'mixing', 'lamination', 'english', 'do'],
  ...['probes', 'scale', 'demo', 'device'],
] as const;
/** How the demo's handover begins: it is in the words of whoever wrote it. */
const HANDED_OVER = 'Poppy filling for both danishes';

for (const language of ['de', 'fr'] as const)
  test(`nothing is said in English where ${language} is read`, async ({ browser }) => {
    test.setTimeout(600_000);
    const page = await planner(browser, language);
    const found: string[] = [];
    const look = async (name: string) => {
      const foreign = foreignWords(
        (await page.evaluate(textsOfPage)).filter((text) => !text.includes(HANDED_OVER)),
        language,
        OWN,
      );
      found.push(...foreign.map((text) => `${name}: ${text}`));
    };
    for (const view of VIEWS) {
      await page.goto(view);
      await page.waitForLoadState('networkidle');
      await look(view);
    }
    for (const sheet of SHEETS) await look(await openSheet(page, language, sheet));
    await page.context().close();
    expect(found).toEqual([]);
  });

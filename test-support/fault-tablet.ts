import type { Browser, BrowserContext, Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';

/** A tap that was made on a tablet: its words, and who was at it. */
export interface MadeTap {
  text: string;
  person: string;
}

const PATIENCE = 60_000;
const pinOf = (name: string) => PEOPLE.find((one) => one.name === name)?.pin ?? '';

/**
 * A tablet of the floor in a real browser, with the shipped application in it. Its fingers press what a baker presses;
 * whatever the network does, it waits until the button is there again, as a baker would.
 */
export class FaultTablet {
  readonly made: MadeTap[] = [];
  person: string;
  private page: Page;

  private constructor(
    readonly nth: number,
    private readonly context: BrowserContext,
    page: Page,
    person: string,
  ) {
    this.page = page;
    this.person = person;
  }

  /** The tab that is in front. */
  get shown(): Page {
    return this.page;
  }

  /** A new tablet at which somebody has signed in. */
  static async open(browser: Browser, address: string, nth: number, person: string): Promise<FaultTablet> {
    const context = await browser.newContext({ baseURL: address, viewport: { width: 1024, height: 768 } });
    const page = await context.newPage();
    const tablet = new FaultTablet(nth, context, page, person);
    await page.goto('/sign-in');
    await page.getByRole('button', { name: new RegExp(`^${person}`) }).click({ timeout: PATIENCE });
    await tablet.givePin(person);
    await page.waitForURL(/\/(bench|plan)$/, { timeout: PATIENCE });
    await page.goto('/bench');
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    return tablet;
  }

  private async givePin(person: string): Promise<void> {
    await this.page.locator('input[type=password]').first().fill(pinOf(person), { timeout: PATIENCE });
    await this.page.keyboard.press('Enter');
  }

  /** Writes a note on the step that is to do. */
  async tap(text: string): Promise<void> {
    const now = this.page.getByRole('region', { name: 'Now' });
    const said = this.page.getByRole('dialog');
    const until = Date.now() + PATIENCE;
    while (!(await said.isVisible())) {
      if (Date.now() > until) throw new Error(`Tablet ${this.nth} has no note to press.`);
      await now
        .getByRole('button', { name: 'Note', exact: true })
        .click({ timeout: 2_000 })
        .catch(() => undefined);
      await said.waitFor({ timeout: 2_000 }).catch(() => undefined);
    }
    await said.getByLabel('In your own words').fill(text);
    await said.getByRole('button', { name: 'Say it' }).click();
    await said.waitFor({ state: 'hidden' });
    this.made.push({ text, person: this.person });
  }

  /** The tab is closed, and another one opened. */
  async reopen(): Promise<void> {
    await this.page.close();
    this.page = await this.context.newPage();
    await this.page.goto('/bench').catch(() => undefined);
  }

  /** In a second tab somebody else gives their PIN; the first tab, still open, is not theirs. */
  async takenOverInAnotherTab(by: string): Promise<void> {
    const other = await this.context.newPage();
    await other.goto('/bench').catch(() => undefined);
    const own = this.page;
    this.page = other;
    await this.takeOver(by);
    await other.close();
    this.page = own;
  }

  /** The next one takes the tablet over, or who was there comes back; what waits for their PIN is confirmed by it. */
  async takeOver(by: string): Promise<void> {
    const sheet = this.page.getByRole('dialog');
    const until = Date.now() + 3 * PATIENCE;
    const isThere = this.page.getByRole('button', { name: new RegExp(`^${by} is at this tablet`) });
    for (;;) {
      if (Date.now() > until) throw new Error(`${by} could not take tablet ${this.nth} over.`);
      if (new URL(this.page.url()).pathname === '/sign-in') {
        await this.page
          .getByRole('button', { name: new RegExp(`^${by}`) })
          .click({ timeout: 2_000 })
          .catch(() => undefined);
      } else if (!(await sheet.isVisible())) {
        await this.page
          .getByRole('button', { name: / is at this tablet/ })
          .click({ timeout: 2_000 })
          .catch(() => undefined);
      }
      await sheet
        .getByRole('button', { name: new RegExp(`^${by}`) })
        .click({ timeout: 2_000 })
        .catch(() => undefined);
      const pin = this.page.locator('input[type=password]').first();
      if (await pin.isVisible()) {
        await pin.fill(pinOf(by)).catch(() => undefined);
        await this.page.keyboard.press('Enter');
      }
      await this.page.waitForTimeout(700);
      if (
        /\/(bench|plan)$/.test(new URL(this.page.url()).pathname) &&
        (await isThere.isVisible().catch(() => false))
      ) {
        if (!(await sheet.isVisible())) break;
      }
    }
    await this.page.goto('/bench').catch(() => undefined);
    this.person = by;
  }

  /** True where the tablet is of use: its bench is there, its line is open and nothing waits in it. */
  async isUsable(): Promise<boolean> {
    const status = this.page.getByRole('status').filter({ hasText: /^Live/ });
    const note = this.page
      .getByRole('region', { name: 'Now' })
      .getByRole('button', { name: 'Note', exact: true });
    return (await status.isVisible().catch(() => false)) && note.isVisible().catch(() => false);
  }

  /** What the tablet says that waits in it. */
  async waiting(): Promise<number> {
    const words =
      (await this.page
        .getByRole('status')
        .first()
        .textContent()
        .catch(() => null)) ?? '';
    return Number(/(\d+) to send/.exec(words)?.[1] ?? 0);
  }

  /** What was refused here and nobody has seen yet. */
  async refused(): Promise<string[]> {
    return this.page.getByRole('region', { name: 'Not recorded' }).getByRole('listitem').allTextContents();
  }

  close(): Promise<void> {
    return this.context.close();
  }
}

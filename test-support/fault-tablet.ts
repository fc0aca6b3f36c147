import type { Browser, BrowserContext, Page } from '@playwright/test';
import { PEOPLE } from '@/server/demo/bakery';

/** A tap that was made on a tablet: its words, and who was at it. */
export interface MadeTap {
  text: string;
  person: string;
}

const PATIENCE = 180_000;
const PRESSED = 'presses';

/** Counts in a page what is pressed on a sheet, over all reloads of its tab. */
const countPresses = (key: string): void =>
  document.addEventListener(
    'click',
    ({ target }) => {
      if (target instanceof Element && target.closest('[role=dialog] button'))
        sessionStorage.setItem(key, String(Number(sessionStorage.getItem(key) ?? 0) + 1));
    },
    true,
  );

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
    await context.addInitScript(countPresses, PRESSED);
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

  /**
   * Writes a note on the step that is to do, under the name that the page shows. A page that is made anew while somebody
   * writes takes the sheet away, and the words are written once more.
   */
  async tap(text: string): Promise<void> {
    const said = this.page.getByRole('dialog');
    const until = Date.now() + PATIENCE;
    for (;;) {
      if (Date.now() > until)
        throw new Error(`Tablet ${this.nth} has no note to press: ${await this.looks()}`);
      // Who is asked who they are says so, as a baker would.
      if (new URL(this.page.url()).pathname === '/sign-in') await this.takeOver(this.person);
      if (!(await this.openNote())) continue;
      const person = await this.shownPerson();
      const before = await this.presses();
      const pressed = await said
        .getByLabel('In your own words')
        .fill(text, { timeout: 6_000 })
        .then(() => said.getByRole('button', { name: 'Record' }).click({ timeout: 6_000 }))
        .then(
          () => true,
          () => false,
        );
      // On a busy machine a press that was done may be told as one that failed: it is not done twice.
      if (!pressed && (await this.presses()) === before) continue;
      await said.waitFor({ state: 'hidden' });
      this.made.push({ text, person });
      return;
    }
  }

  /** How often a button of a sheet was pressed in this tab; asked again where the page is being made anew. */
  private async presses(): Promise<string | null> {
    for (;;)
      try {
        return await this.page.evaluate((key) => sessionStorage.getItem(key), PRESSED);
      } catch {
        await this.page.waitForTimeout(200);
      }
  }

  /** True where the sheet to write on is there; another sheet, which a change of person has left, is closed first. */
  private async openNote(): Promise<boolean> {
    const words = this.page.getByRole('dialog').getByLabel('In your own words');
    if (await words.isVisible()) return true;
    if (await this.page.getByRole('dialog').isVisible()) await this.page.keyboard.press('Escape');
    const note = this.page
      .getByRole('region', { name: 'Now' })
      .getByRole('button', { name: 'Note', exact: true });
    await note.click({ timeout: 6_000 }).catch(() => undefined);
    return words.waitFor({ timeout: 6_000 }).then(
      () => true,
      () => false,
    );
  }

  /** Whose page it is, by what it says. */
  private async shownPerson(): Promise<string> {
    const name = await this.page
      .getByLabel(/ is signed in here/)
      .getAttribute('aria-label', { timeout: 6_000 })
      .catch(() => null);
    return / is signed in here/.test(name ?? '')
      ? ((name ?? '').split(' is signed in')[0] ?? this.person)
      : this.person;
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
    const until = Date.now() + 3 * PATIENCE;
    while (!(await this.isDone(by))) {
      if (Date.now() > until)
        throw new Error(`${by} could not take tablet ${this.nth} over: ${await this.looks()}`);
      await this.oneStepTowards(by);
      await this.page.waitForTimeout(400);
    }
    this.person = by;
  }

  private readonly button = (name: string | RegExp) => this.page.getByRole('button', { name });

  /** Somebody is at the tablet, in a session of their own, and nothing of theirs waits for a PIN. */
  private async isDone(by: string): Promise<boolean> {
    const open = [
      this.page.getByRole('dialog'),
      this.button('Show their page'),
      this.button('Confirm with PIN'),
      // They went on by their name alone while the line was down: the page is another's.
      this.button(`PIN of ${by}`),
    ];
    for (const one of open) if (await one.isVisible()) return false;
    return this.button(new RegExp(`^${by} is signed in here`)).isVisible();
  }

  /** Presses what is next; what is not there by then is pressed the next time. */
  private async oneStepTowards(by: string): Promise<void> {
    const press = (button: ReturnType<Page['getByRole']>) =>
      button.click({ timeout: 6_000 }).catch(() => undefined);
    const pin = this.page.getByLabel(`PIN of ${by}`, { exact: true }).and(this.page.locator('input'));
    const sheet = this.page.getByRole('dialog');
    if (await this.button('Show their page').isVisible()) return press(this.button('Show their page'));
    if (await pin.isVisible()) {
      await pin.fill(pinOf(by), { timeout: 6_000 }).catch(() => undefined);
      await this.page.keyboard.press('Enter');
      return void (await pin.waitFor({ state: 'detached', timeout: 12_000 }).catch(() => undefined));
    }
    const name = this.button(new RegExp(`^${by}(?! is signed in)`));
    if (await sheet.isVisible()) {
      if (await sheet.getByRole('button', { name: new RegExp(`^${by}`) }).isVisible())
        return press(sheet.getByRole('button', { name: new RegExp(`^${by}`) }));
      return this.page.keyboard.press('Escape');
    }
    if (new URL(this.page.url()).pathname === '/sign-in') return press(name);
    if (await this.button(`PIN of ${by}`).isVisible()) return press(this.button(`PIN of ${by}`));
    const isThere = await this.button(new RegExp(`^${by} is signed in here`)).isVisible();
    if (isThere) return press(this.button('Confirm with PIN'));
    return press(this.button(/ is signed in here/));
  }

  /** Where the tablet is and what it shows, for who has to find out why it is stuck. */
  async looks(): Promise<string> {
    const text = await this.page
      .locator('body')
      .innerText()
      .catch(() => 'nothing');
    const sheets = await this.page
      .getByRole('dialog')
      .allInnerTexts()
      .catch(() => []);
    return `${this.page.url()}: ${text.replace(/\s+/g, ' ').slice(0, 600)}; sheets: ${sheets.join(' | ')}; waiting: ${await this.kept()}`;
  }

  /** What waits in the browser's own database, as text. */
  private kept(): Promise<string> {
    return this.page
      .evaluate(
        () =>
          new Promise<string>((told) => {
            const opened = indexedDB.open('hefeteig-outbox');
            opened.onerror = () => told('not to be read');
            opened.onsuccess = () => {
              const all = opened.result.transaction('events').objectStore('events').getAll();
              all.onsuccess = () => told(JSON.stringify(all.result));
            };
          }),
      )
      .catch(() => 'not to be read');
  }

  /** True where what waits asks for somebody's PIN. */
  asksForPin(): Promise<boolean> {
    return this.page
      .getByRole('region', { name: 'To be confirmed' })
      .isVisible()
      .catch(() => false);
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

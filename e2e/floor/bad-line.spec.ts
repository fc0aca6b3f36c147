import { expect, test, type Browser, type Page } from '@playwright/test';
import { faultProxy, type FaultProxy, type Mischief } from '../../test-support/fault-proxy';
import { FaultTablet } from '../../test-support/fault-tablet';
import { keptForOffline, TABLET } from '../support/floor';
import { address, everybodyLeaves, signIn } from '../support/people';

/** What the network does to requests, by a word in their address or the header of a page made anew. */
const bad = new Map<string, Mischief>();
let proxy: FaultProxy;
test.beforeAll(async () => {
  proxy = await faultProxy(address, ({ url = '', headers }) => {
    const kind = headers.rsc === '1' ? 'made anew' : url;
    return [...bad].find(([word]) => kind.includes(word))?.[1];
  });
});
test.afterEach(async () => {
  bad.clear();
  await everybodyLeaves();
});
test.afterAll(() => proxy.close());

const line = (page: Page) => page.getByRole('status').filter({ hasText: /^(Live|Offline)/ });
const note = async (page: Page, words: string) => {
  await page.getByRole('region', { name: 'Now' }).getByRole('button', { name: 'Note', exact: true }).click();
  await page.getByRole('dialog').getByLabel('In your own words').fill(words);
  await page.getByRole('dialog').getByRole('button', { name: 'Record' }).click();
};
const tabletOf = async (browser: Browser, person: string) => {
  const tablet = await FaultTablet.open(browser, proxy.address, 1, person);
  return { tablet, page: tablet.shown };
};

test('a feed that is answered by a proxy’s status comes back by itself, and tells what was missed', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Jonas');
  await page.goto('/handover');
  await expect(line(page)).toHaveText('Live');
  bad.set('/api/feed', 'status');
  proxy.cut('/api/feed');
  await expect(line(page)).toHaveText('Offline');
  const ida = await signIn(browser, 'Ida', TABLET);
  await note(ida, 'said while nobody heard');
  await expect(page.getByText('said while nobody heard')).toHaveCount(0);
  bad.clear();
  await expect(line(page)).toHaveText('Live');
  await expect(page.getByText('said while nobody heard')).toBeVisible();
  await page.context().close();
});

test('answers that never come do not hold up what waits: it is counted, though the line is live, and sent again', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Jonas');
  bad.set('/api/commands', 'swallowed');
  await note(page, 'swallowed once');
  await note(page, 'and what came after it');
  await expect(line(page)).toContainText('2 to send');
  bad.clear();
  await expect(line(page)).toHaveText('Live', { timeout: 30_000 });
  await page.goto('/handover');
  await expect(page.getByRole('main').getByText('swallowed once')).toBeVisible();
  await expect(page.getByRole('main').getByText('and what came after it')).toBeVisible();
  await page.context().close();
});

test('five taps that a database refuses to store wait on the tablet and are stored when it can', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Selma');
  bad.set('/api/commands', 'foreign');
  for (let i = 1; i <= 5; i++) await note(page, `not lost ${i}`);
  await expect(line(page)).toContainText('5 to send');
  await page.reload();
  await expect(line(page)).toContainText('5 to send');
  bad.set('/api/commands', 'status');
  await expect(page.getByRole('region', { name: 'Not recorded' })).toHaveCount(0);
  bad.clear();
  await expect(line(page)).toHaveText('Live', { timeout: 30_000 });
  await page.goto('/handover');
  for (let i = 1; i <= 5; i++) await expect(page.getByText(`not lost ${i}`)).toHaveCount(1);
  await page.context().close();
});

test('a page that cannot be made anew keeps what it shows, says so, and is brought up to date by itself', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Jonas');
  await page.goto('/handover');
  bad.set('made anew', 'status');
  const ida = await signIn(browser, 'Ida', TABLET);
  await ida.goto('/handover');
  const say = async (words: string) => {
    await ida.getByRole('textbox', { name: 'What the next shift needs to know' }).fill(words);
    await ida.getByRole('button', { name: 'Leave note' }).click();
    await expect(ida.getByText(`“${words}”`)).toBeVisible();
  };
  await say('The retarder hums.');
  await expect(line(page)).toHaveText('Offline');
  await expect(page.getByRole('textbox', { name: 'What the next shift needs to know' })).toBeVisible();
  await expect(page.getByText('“The retarder hums.”')).toHaveCount(0);
  bad.clear();
  await expect(page.getByText('“The retarder hums.”')).toBeVisible();
  await expect(line(page)).toHaveText('Live');
  await page.context().close();
});

test('a proxy’s error page is neither shown nor kept: the bench as it was last seen, or a page that asks again', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Jonas');
  await page.goto('/bench');
  await expect(page.getByRole('region', { name: 'Now' })).toBeVisible();
  bad.set('/bench', 'status');
  bad.set('/formulas', 'status');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Now' })).toBeVisible();
  await page.goto('/formulas');
  await expect(page.getByRole('heading', { name: 'The bakery’s computer is not answering' })).toBeVisible();
  bad.clear();
  await expect(page.getByRole('heading', { name: 'Formulas' })).toBeVisible();
  await page.goto('/bench');
  await expect(page.getByText('Bad Gateway')).toHaveCount(0);
  await page.context().close();
});

test('whoever signs out without a line leaves no page behind, and is signed out when there is one', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Anton');
  await page.goto('/bench');
  await page.goto('/handover');
  const cookies = await page.context().cookies();
  const cookie = cookies.map(({ name, value }) => `${name}=${value}`).join('; ');
  await page.context().setOffline(true);
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('heading', { name: 'The bakery’s computer is not answering' })).toBeVisible({
    timeout: 30_000,
  });
  await page.goto('/bench');
  await expect(page.getByRole('region', { name: 'Now' })).toHaveCount(0);
  await page.context().setOffline(false);
  await expect(page).toHaveURL(/\/sign-in/, { timeout: 30_000 });
  await expect
    .poll(async () => (await fetch(`${address()}/api/session`, { headers: { cookie } })).status)
    .toBe(401);
  await page.context().close();
});

test('what was recorded in one tab under the session of another person waits for the PIN, which lists it', async ({
  browser,
}) => {
  const { page, tablet } = await tabletOf(browser, 'Jonas');
  await page.goto('/bench');
  await tablet.takenOverInAnotherTab('Ida');
  await note(page, 'written by Jonas, with Ida signed in');
  await expect(page.getByText('Somebody else has signed in on this tablet.')).toBeVisible();
  await page.getByRole('button', { name: 'Show their page' }).click();
  const open = page.getByRole('region', { name: 'To be confirmed' });
  await expect(open).toContainText('1 recorded here by Jonas');
  await open.getByRole('button', { name: 'PIN of Jonas' }).click();
  await expect(page.getByRole('group', { name: 'Confirm with your PIN' })).toContainText(
    'written by Jonas, with Ida signed in',
  );
  await page.locator('input[type=password]').fill('1203');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Jonas is signed in here/ })).toBeVisible();
  await expect(line(page)).toHaveText('Live');
  await page.goto('/handover');
  await expect(
    page.getByRole('listitem').filter({ hasText: 'written by Jonas, with Ida signed in' }),
  ).toContainText('Jonas');
  await page.context().close();
});

test('what is refused for good is listed with its reason until somebody has seen it, after the session too', async ({
  browser,
}) => {
  const { page } = await tabletOf(browser, 'Piet');
  await page.goto('/bench');
  await keptForOffline(page);
  await page.context().setOffline(true);
  await note(page, 'from long ago');
  await expect(line(page)).toContainText('1 to send');
  // As by a clock that is wrong by weeks: no house can take that.
  await page.evaluate(
    () =>
      new Promise<void>((done) => {
        const open = indexedDB.open('hefeteig-outbox');
        open.onsuccess = () => {
          const store = open.result.transaction('events', 'readwrite').objectStore('events');
          const all = store.openCursor();
          all.onsuccess = () => {
            const cursor = all.result;
            if (!cursor) return done();
            const kept = cursor.value as { event: { at: number } };
            kept.event.at -= 40 * 24 * 3_600_000;
            cursor.update(kept);
            cursor.continue();
          };
        };
      }),
  );
  await page.context().setOffline(false);
  const list = page.getByRole('region', { name: 'Not recorded' });
  await expect(list).toContainText('from long ago');
  await expect(list).toContainText('too long ago');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page).toHaveURL(/\/sign-in$/);
  await expect(list).toContainText('Not recorded, Piet');
  await list.getByRole('button', { name: 'Seen' }).click();
  await expect(list).toHaveCount(0);
  await page.reload();
  await expect(list).toHaveCount(0);
  await page.context().close();
});

test('a tap on a page that is shown but not awake yet is done when it is', async ({ browser }) => {
  const page = await signIn(browser, 'Jonas', TABLET);
  // A slow line: the page is there some seconds before what makes it work.
  await page.context().route('**/_next/static/**/*.js', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 3_000));
    await route.continue().catch(() => undefined);
  });
  await page.goto('/bench', { waitUntil: 'commit' });
  await page.getByRole('button', { name: 'Jonas is signed in here; change' }).click();
  await expect(page.getByRole('dialog', { name: 'Who takes over?' })).toBeVisible({ timeout: 30_000 });
});

import { expect, test } from '@playwright/test';
import { address, signIn } from './support/people';

test('the planner looks at a fortnight, at one hour, and takes the plan along', async ({ browser }) => {
  const page = await signIn(browser, 'Mara');
  await page.goto('/plan');
  const span = page.getByRole('status').filter({ hasText: 'under way' });
  await expect(span).toContainText('4 days');
  await expect(async () => {
    await page.keyboard.press('-');
    await expect(span).toContainText('14 days', { timeout: 500 });
  }).toPass();
  await expect(page.getByRole('button', { name: 'Zoom out' })).toBeDisabled();
  const closer = page.getByRole('button', { name: 'Zoom in' });
  for (let step = 0; step < 8; step++) await closer.click();
  await expect(span).toContainText('1 hour');
  await expect(closer).toBeDisabled();

  await page.keyboard.press('f');
  const files = page.getByRole('dialog', { name: 'Export the plan' });
  await expect(files.getByRole('link')).toHaveCount(4);
  const download = page.waitForEvent('download');
  await files.getByRole('link', { name: /^Calendar/ }).click();
  expect((await download).suggestedFilename()).toBe('plan.ics');

  const calendar = await (await page.request.get('/api/plan?as=calendar')).text();
  expect(calendar.match(/BEGIN:VEVENT/g)?.length ?? 0).toBeGreaterThan(20);
  const table = await (await page.request.get('/api/plan?as=csv')).text();
  expect(table.split('\n')[0]).toBe('dough,step,product,kind,start,end,minutes,people,holds');
  const problem = (await (await page.request.get('/api/plan?as=problem')).json()) as { format: string };
  expect(problem.format).toBe('hefeteig-plan-problem/1');
  expect((await page.request.get('/api/plan?as=picture')).status()).toBe(404);
});

test('the plan is nobody’s who is not signed in', async ({ request }) => {
  expect((await request.get(`${address()}/api/plan?as=csv`)).status()).toBe(401);
});

import { expect, freshNumber, script, test } from './fixture';

test('after an outage what the network kept is compared, taken in at its own time, and found in its script', async ({ office }) => {
  await office.change(office.lead, { role: 'LEAD', permissions: ['TEXT'] });
  const number = freshNumber();
  // Long enough ago that the program does not ask for it by itself.
  const at = new Date((await office.now()) - 2 * 3_600_000);
  await office.untold(number, 'Nobody heard me at nine.', at);
  const page = await office.pageOf();
  await page.getByRole('link', { name: 'Office' }).click();
  await page.getByRole('link', { name: 'After an outage' }).click();
  await page.getByRole('button', { name: 'Compare' }).click();
  const row = page.getByRole('row', { name: /Nobody heard me at nine/ });
  await expect(row).toContainText('missing');
  await expect(row).toContainText(at.toISOString().slice(0, 10));
  await page.getByRole('button', { name: /^Take in/ }).click();
  await row.getByRole('link', { name: 'taken in' }).click();
  await expect(script(page).locator('[aria-current=true]')).toContainText('Nobody heard me at nine.');

  await page.goBack();
  await page.getByRole('button', { name: 'Compare' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^0 missing/ })).toBeVisible();
  await expect(row).toHaveCount(0);
});

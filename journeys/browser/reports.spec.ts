import { expect, open, reply, script, test } from './fixture';

test('a report leads from its chart to the conversations behind it, and the week is drawn', async ({ office }) => {
  await office.change(office.lead, { role: 'LEAD', permissions: ['TEXT'] });
  const page = await office.pageOf();
  const number = await office.text('Is the crane free on Friday?');
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('r');
  await expect(reply(page)).toBeFocused();
  await page.keyboard.type('It is, from ten.');
  await page.keyboard.press('Control+Enter');
  await expect.poll(() => office.arrivedOn(number)).toEqual(['It is, from ten.']);

  await page.getByRole('link', { name: 'Office' }).click();
  await page.getByRole('link', { name: 'Reports' }).click();
  await page.getByRole('button', { name: /^Rows/ }).click();
  await page.getByRole('menuitem', { name: 'by line' }).click();
  await expect(page.getByRole('button', { name: /^1 answers, all/ })).toBeVisible();
  const chart = page.getByTestId('chart');
  await expect(chart.getByText(office.lineName)).toBeVisible();
  const box = await chart.boundingBox();
  if (!box) throw new Error('Nothing is drawn');
  await page.mouse.click(box.x + box.width / 2, box.y + box.height / 2);
  const behind = page.getByRole('region', { name: 'Conversations behind this figure' });
  await behind.getByRole('link').click();
  await expect(script(page).locator('[aria-current=true]')).toContainText('It is, from ten.');

  await page.goBack();
  await page.getByRole('button', { name: /^Figures/ }).click();
  await page.getByRole('menuitem', { name: 'customers waiting through the week' }).click();
  await expect(page.getByRole('img', { name: /How many customers wait at each hour/ })).toBeVisible();
});

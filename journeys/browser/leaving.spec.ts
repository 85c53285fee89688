import { expect, open, reply, script, shown, test } from './fixture';

test('a text is taken back before it leaves, also from the next conversation, and its words are there again', async ({ office }) => {
  await office.lead.ask('PUT', '/api/me/sending', { pauseSeconds: 20, looksFirst: false });
  const page = await office.pageOf();
  const first = await office.text('Is the lift free on Friday?');
  const second = await office.text('And the crane?');
  await open(page, first);
  await reply(page).fill('Yes, at nine.');
  await page.keyboard.press('Alt+Enter');
  await expect(reply(page)).toHaveValue('');
  await open(page, second);
  await reply(page).focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('z');
  await expect(page.getByLabel(`Reply to ${shown(first)}`)).toHaveValue('Yes, at nine.');
  await expect(script(page)).toContainText('takes back a text before it leaves.');
  await expect(script(page)).not.toContainText('Yes, at nine.');
  await expect(page.getByRole('button', { name: 'No answer needed' })).toBeVisible();

  await office.lead.ask('PUT', '/api/me/sending', { pauseSeconds: 0, looksFirst: false });
  await reply(page).fill('Yes, at ten.');
  await page.keyboard.press('Control+Enter');
  await expect.poll(() => office.arrivedOn(first)).toEqual(['Yes, at ten.']);
});

import { expect, freshNumber, open, reply, script, shown, test } from './fixture';

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

test('who looks first sees what the customer will see, and that is what arrives', async ({ office }) => {
  const line = `/api/setup/lines/${office.lineId}`;
  const setup = await office.lead.ask<{ sending: object }>('GET', line);
  await office.lead.ask('PUT', line, { ...setup, sending: { ...setup.sending, signature: office.lineName } });
  await office.lead.ask('PUT', '/api/me/sending', { pauseSeconds: 0, looksFirst: true });
  const page = await office.pageOf();
  const number = await office.text('Is the gate open?');
  await open(page, number);
  await reply(page).fill('Until nine.');
  await expect(page.getByText(`Added below: ${office.lineName}`)).toBeVisible();
  await page.keyboard.press('Control+Enter');
  const look = page.getByRole('region', { name: 'Look before sending' });
  await expect(look).toContainText(`Until nine.\n${office.lineName}`);
  await expect(look).toContainText(shown(number));
  await page.keyboard.press('Control+Enter');
  await expect.poll(() => office.arrivedOn(number)).toEqual([`Until nine.\n${office.lineName}`]);
});

test('over an allowance the button refuses before it is pressed and says who can allow more', async ({ office }) => {
  const costs = await office.lead.ask<{ allowances: object[] }>('GET', '/api/setup/costs');
  const own = { staffId: office.lead.id, span: 'DAY', parts: 1 };
  await office.lead.ask('PUT', '/api/setup/costs', { ...costs, allowances: [...costs.allowances, own] });
  const page = await office.pageOf();
  await open(page, await office.text('Is the gate open?'));
  await expect(page.getByText('1 part left today')).toBeVisible();
  await reply(page).fill('It is. '.repeat(30));
  await expect(page.getByRole('status', { name: 'Before it is sent' })).toContainText(
    `${office.lead.name} has 1 part left today, and this takes 2 parts. A lead can allow more.`,
  );
  await expect(page.getByRole('button', { name: 'Send 2 parts' })).toBeDisabled();
  await reply(page).fill('It is.');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByText('no parts left today', { exact: true })).toBeVisible();
});

test('begun words go along to another line, by key, and leave from there', async ({ office }) => {
  const { version: _, ...line } = await office.lead.ask<{ version: number; name: string }>('GET', `/api/setup/lines/${office.lineId}`);
  const pier = `Pier ${office.tag}`;
  await office.lead.ask('POST', '/api/setup/lines', { ...line, name: pier, number: freshNumber() });
  const page = await office.pageOf();
  const number = await office.text('Do you store boats?');
  await open(page, number);
  await reply(page).fill('We do, from October.');
  await page.keyboard.press('Alt+f');
  const there = page.getByRole('menuitem', { name: `From ${pier} to ${shown(number)}` });
  await expect(there).toContainText('new conversation');
  await there.press('Enter');
  await expect(page.getByRole('button', { name: `From ${pier} to ${shown(number)}` })).toBeVisible();
  await expect(reply(page)).toHaveValue('We do, from October.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('We do, from October.');
  await expect.poll(() => office.arrivedOn(number)).toEqual(['We do, from October.']);
  await page.goBack();
  await expect(reply(page)).toHaveValue('');
});

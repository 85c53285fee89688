import { expect, goTo, HANDSETS, list, notices, open, reply, script, test, withoutBarriers } from './fixture';

test('no serious violation of accessibility in a conversation, at sign-in and on the handsets', async ({ office }) => {
  const number = await office.text('look at this');
  await office.misbehave(number, { failWith: 'undeliverable' });
  const page = await office.pageOf();
  await open(page, number);
  await reply(page).fill('It does not arrive');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('× not delivered');
  await reply(page).fill('It’s “dear” …');
  await expect(page.getByRole('status', { name: 'Part meter' })).toContainText('cost extra');
  await withoutBarriers(page);
  await page.getByRole('button', { name: 'Note', exact: true }).click();
  await withoutBarriers(page);
  await goTo(page, '/nowhere');
  await expect(page.getByRole('heading', { name: 'There is nothing at this address' })).toBeVisible();
  await withoutBarriers(page);
  await page.context().clearCookies();
  await page.goto('/');
  await expect(page.getByLabel('Name')).toBeVisible();
  await withoutBarriers(page);
  await page.goto(HANDSETS);
  await page.getByRole('button', { name: new RegExp(number.slice(1)) }).click();
  await withoutBarriers(page);
});

test('no serious violation of accessibility in lists, dialogs and places', async ({ office }) => {
  await office.text('look at us');
  await office.text('look at us too');
  const page = await office.pageOf();
  await expect(list(page).getByRole('link').first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(script(page)).toBeVisible();
  await page.keyboard.press('s');
  await expect(page.getByRole('toolbar')).toBeVisible();
  await withoutBarriers(page);
  await page.keyboard.press('w');
  await page.keyboard.type('lantern');
  await expect(page.getByRole('dialog')).toBeVisible();
  await withoutBarriers(page);
  await page.keyboard.press('Escape');
  await notices(page).click();
  await withoutBarriers(page, '[role="dialog"]');
  await page.keyboard.press('Escape');
  for (const place of [`lines/${office.lineId}`, 'topics', 'sites', 'kept-aside', 'mail', 'costs', 'sign-ins']) {
    await goTo(page, `/setup/${place}`);
    await expect(page.getByRole('navigation', { name: 'Set-up' })).toBeVisible();
    await expect(page.getByRole('main')).toBeVisible();
    await withoutBarriers(page);
  }
  for (const place of ['profile', 'plan', 'notices', 'security']) {
    await goTo(page, `/me/${place}`);
    await expect(page.getByRole('main')).toBeVisible();
    await withoutBarriers(page);
  }
  await goTo(page, '/office');
  await expect(page.getByRole('row', { name: office.lead.name })).toBeVisible();
  await withoutBarriers(page);
});

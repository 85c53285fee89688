import { expect, freshNumber, HANDSETS, reply, script, shown, test, withoutBarriers } from './fixture';

test('a group of three handsets: all see each text, a reply to us alone stays apart, and who opts out leaves', async ({ office }) => {
  const page = await office.pageOf();
  const [ada, ben, cleo] = [freshNumber(), freshNumber(), freshNumber()];
  await page.keyboard.press('w');
  const dialog = page.getByRole('dialog', { name: 'Write to someone' });
  await dialog.getByRole('button', { name: /^To one or to a group/ }).click();
  await page.getByRole('menuitem', { name: 'a group' }).click();
  for (const number of [ada, ben, cleo]) {
    await dialog.getByLabel('To', { exact: true }).fill(number);
    await expect(dialog.getByRole('button', { name: `Add ${shown(number)}` })).toBeVisible();
    await page.keyboard.press('Enter');
  }
  await dialog.getByRole('button', { name: 'Write to these 3 as a group' }).click();
  await expect(page.getByRole('region', { name: 'In this group' })).toContainText('All 3 see each other’s numbers and texts.');

  await reply(page).fill('All three berths are ready.');
  await expect(page.getByText("This begins a group: all 3 see each other's numbers and texts.")).toBeVisible();
  // It may still be said of the empty paper: the button confirms it all the same.
  const anyway = page.getByRole('button', { name: 'Send to 3 anyway' });
  await expect(anyway).toBeVisible();
  await page.keyboard.press('Control+Enter');
  await anyway.click();
  for (const number of [ada, ben, cleo]) {
    await expect.poll(() => office.arrivedOn(number)).toEqual(['All three berths are ready.']);
  }
  await withoutBarriers(page);

  // The handset of one of them, as somebody plays it.
  const phone = await (await office.browserOf()).newPage();
  await phone.goto(`${HANDSETS}/`);
  await phone.getByLabel('Find or type a number').fill(ben);
  await phone.keyboard.press('Enter');
  await phone.getByRole('button', { name: 'Reply to all' }).click();
  await phone.getByLabel('Text from this handset').fill('Thanks from all of us');
  await phone.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('Thanks from all of us');
  await office.text('Only between us: is mine the small one?', ben);
  await expect(script(page)).not.toContainText('Only between us');

  await office.keyword(cleo, 'STOP');
  await expect(script(page)).toContainText(`${shown(cleo)} opted out and gets no more texts of this group; the others go on.`);
  await expect(page.getByRole('region', { name: 'In this group' })).toContainText('2 of 3 get your texts');
  await reply(page).fill('The gate opens at six.');
  await expect(page.getByText(`Left out: ${shown(cleo)} (opted out). The other 2 get it.`)).toBeVisible();
  await page.keyboard.press('Control+Enter');
  for (const number of [ada, ben]) {
    await expect.poll(async () => (await office.arrivedOn(number)).at(-1)).toBe('The gate opens at six.');
  }
  expect(await office.arrivedOn(cleo)).not.toContain('The gate opens at six.');
});

import { expect, open, reply, script, test, withoutBarriers } from './fixture';

test('a text that is sent later repeats, is changed, skipped and sent now, and another goes at its time', async ({ office }) => {
  const number = await office.text('When is the lift free?');
  const page = await office.pageOf();
  await open(page, number);
  await reply(page).focus();
  await page.keyboard.type('Please read the meter on the pier.');
  await page.keyboard.press('Alt+l');
  const dialog = page.getByRole('dialog', { name: 'Send later' });
  await dialog.getByLabel('When').fill('in 2 days');
  await dialog.getByRole('button', { name: /^How often/ }).click();
  await page.getByRole('menuitem', { name: 'every month', exact: true }).click();
  await dialog.getByRole('button', { name: /^On which day/ }).click();
  await page.getByRole('menuitem', { name: 'the last day', exact: true }).click();
  await expect(dialog.getByRole('status')).toContainText('every month on the last day');
  await withoutBarriers(page, '[role=dialog]');
  await dialog.getByRole('button', { name: /^Send from/ }).click();
  await expect(dialog).toHaveCount(0);
  await expect(reply(page)).toHaveValue('');
  const planned = page.getByRole('region', { name: 'Planned' });
  await expect(planned).toContainText('Please read the meter on the pier.');
  await expect(script(page)).toContainText('planned a text for');

  await planned.getByRole('button', { name: 'Change…' }).click();
  const change = page.getByRole('dialog', { name: 'Change the planned text' });
  await change.getByLabel('Text').fill('Please read both meters.');
  await change.getByRole('button', { name: /^How often/ }).click();
  await page.getByRole('menuitem', { name: 'every 2 weeks', exact: true }).click();
  await change.getByRole('button', { name: /^Save the change/ }).click();
  await expect(planned).toContainText('every 2 weeks');
  const before = await planned.getByRole('listitem').getAttribute('aria-label');
  await planned.getByRole('button', { name: 'Skip this one' }).click();
  await expect(planned.getByRole('listitem')).not.toHaveAccessibleName(before ?? '');
  await planned.getByRole('button', { name: 'Send now' }).click();
  await expect.poll(() => office.arrivedOn(number)).toEqual(['Please read both meters.']);

  await page.getByRole('link', { name: 'all planned texts' }).click();
  await expect(page.getByRole('heading', { name: 'Planned texts', exact: true })).toBeVisible();
  const place = page.getByRole('main');
  await expect(place.getByRole('listitem')).toContainText('Please read both meters.');
  await withoutBarriers(page, 'main');
  await place.getByRole('button', { name: 'Cancel…' }).click();
  await place.getByRole('button', { name: 'Cancel all future texts' }).click();
  await expect(place).toContainText('Nothing is planned here.');

  await office.text('And the key?', number);
  const list = await office.lead.ask<{ rows: { id: number; lastAt: string }[] }>('GET', '/api/conversations?group=OUR_TURN');
  const [row] = list.rows;
  const at = new Date(Date.parse(row?.lastAt ?? '') + 8_000).toISOString();
  await office.lead.ask('POST', `/api/conversations/${row?.id ?? 0}/planned`, {
    reference: `journey-${office.tag}`,
    text: {
      words: 'It lies on the desk.',
      at,
      whenClosed: 'SEND',
      unlessWritten: false,
      comesToMe: false,
      confirmed: ['night', 'day-off'],
    },
  });
  await open(page, number);
  await expect(planned).toContainText('It lies on the desk.');
  await expect(script(page)).toContainText('It lies on the desk.');
  await expect(planned).toHaveCount(0);
  await expect.poll(() => office.arrivedOn(number)).toEqual(['Please read both meters.', 'It lies on the desk.']);
});

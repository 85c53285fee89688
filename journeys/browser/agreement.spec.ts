import { expect, open, reply, script, test } from './fixture';

test('who texts STOP gets one confirmation and nothing more, until START; what waits then is held back', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('Is the lift free on Friday?');
  await open(page, number);
  await reply(page).fill('Yes, at nine.');
  await office.keyword(number, 'Stop!');
  await expect(script(page)).toContainText('The customer opts out of texts.');
  await expect(page.getByText('The customer has opted out of texts.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send', exact: true })).toBeDisabled();
  await reply(page).focus();
  await page.keyboard.press('Control+Enter');
  await expect(reply(page)).toHaveValue('Yes, at nine.');

  await office.keyword(number, 'START');
  await expect(page.getByText('The customer has opted out of texts.')).toBeHidden();
  await reply(page).focus();
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('Yes, at nine.');
  await expect(async () => {
    const arrived = await office.arrivedOn(number);
    expect(arrived).toHaveLength(3);
    expect(arrived[0]).toContain('you will get no more texts from us');
    expect(arrived[1]).toContain('you will get our texts again');
    expect(arrived[2]).toBe('Yes, at nine.');
  }).toPass();

  await office.lead.ask('PUT', '/api/me/sending', { pauseSeconds: 20, looksFirst: false });
  await reply(page).fill('Until ten.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page).getByRole('button', { name: 'Take back' })).toBeVisible();
  await office.keyword(number, 'STOP');
  await expect(script(page)).toContainText('not delivered: The customer opted out before it went.');
  await expect(script(page).getByRole('button', { name: 'Take back' })).toBeHidden();
  expect((await office.arrivedOn(number)).join(' ')).not.toContain('Until ten.');
});

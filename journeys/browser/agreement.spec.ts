import { expect, open, reply, script, test } from './fixture';

test('who texts STOP gets one confirmation and nothing more, until START', async ({ office }) => {
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
});

test('the same text twice is asked about before it goes', async ({ office }) => {
  const page = await office.pageOf();
  const number = await office.text('Did you get my message?');
  await open(page, number);
  for (const pressed of [1, 2]) {
    await reply(page).fill('We did, thank you.');
    if (pressed === 2) {
      await expect(page.getByRole('status', { name: 'Before it is sent' })).toContainText('sent the same text to this number a moment ago');
      await page.keyboard.press('Control+Enter');
      await expect(page.getByRole('status', { name: 'Before it is sent' })).toContainText('Press the same keys again');
    }
    await page.keyboard.press('Control+Enter');
    await expect(reply(page)).toHaveValue('');
  }
  await expect.poll(() => office.arrivedOn(number)).toEqual(['We did, thank you.', 'We did, thank you.']);
});

test('what waits for a customer who texts STOP is held back, and its writer reads why', async ({ office }) => {
  await office.lead.ask('PUT', '/api/me/sending', { pauseSeconds: 20, looksFirst: false });
  const page = await office.pageOf();
  const number = await office.text('Is the gate open?');
  await open(page, number);
  await reply(page).fill('Until nine.');
  await page.keyboard.press('Control+Enter');
  await expect(script(page).getByRole('button', { name: 'Take back' })).toBeVisible();
  await office.keyword(number, 'STOP');
  await expect(script(page)).toContainText('not delivered: The customer opted out before it went.');
  await expect(script(page).getByRole('button', { name: 'Take back' })).toBeHidden();
  const arrived = await office.arrivedOn(number);
  expect(arrived.join(' ')).not.toContain('Until nine.');
});

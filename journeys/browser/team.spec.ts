import { expect, goTo, HANDSETS, list, notices, open, reply, script, shown, test } from './fixture';

test('who writes shows to the other, and an answer that crosses a colleague’s stops and keeps its words', async ({ office }) => {
  const ben = await office.person('Ben');
  const number = await office.text('Is there a berth tonight?');
  const page = await office.pageOf();
  const bens = await office.pageOf(ben);
  await open(page, number);
  await open(bens, number);
  const here = page.getByRole('status', { name: 'Who else is here' });
  await expect(here).toContainText('Ben is reading');
  await script(bens).focus();
  await bens.keyboard.press('r');
  await bens.keyboard.type('Yes, B7 is free');
  await expect(here).toContainText('Ben is writing…');

  await script(page).focus();
  await page.keyboard.press('r');
  await page.keyboard.type('No, we are full');
  await page.keyboard.press('Control+Enter');
  await expect(script(bens)).toContainText('No, we are full');
  const before = bens.getByRole('status', { name: 'Before it is sent' });
  await expect(before).toContainText(`${office.lead.name} answered while you were writing.`);
  await reply(bens).focus();
  await bens.keyboard.press('Control+Enter');
  await expect(before).toContainText('Press the same keys again to send it anyway.');
  await expect(reply(bens)).toHaveValue('Yes, B7 is free');
  await expect(script(bens)).not.toContainText('B7');
  await bens.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('Yes, B7 is free');

  await bens.context().close();
  await expect(here).toBeEmpty();
});

test('handing over by keyboard tells the other, who reads a summary and answers in place', async ({ office }) => {
  const ben = await office.person('Ben');
  const number = await office.text('Which pontoon is the pump-out on?');
  const page = await office.pageOf();
  const bens = await office.pageOf(ben);
  const me = office.lead.name;
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('t');
  await expect(script(page)).toContainText(`(${me} takes it.)`);
  const handOver = async () => {
    await page.keyboard.press('h');
    await page.getByLabel('To whom').fill('ben');
    await page.getByLabel('Reason (kept as a note)').fill('You were there this morning.');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.press('Enter');
  };
  await handOver();
  await expect(script(page)).toContainText(`(${me} hands it over to ${ben.name}.)`);
  await page.keyboard.press('z');
  await expect(script(page)).toContainText(`(${me} undoes handing it over.)`);
  await handOver();

  await bens.keyboard.press('g');
  const told = bens.getByRole('dialog', { name: 'Notices' });
  await told.getByText(`${me} handed it to you.`).first().click();
  const summary = bens.getByRole('complementary', { name: 'Hand-over summary' });
  await expect(summary).toContainText(`${me} handed it over`);
  await expect(summary).toContainText('Which pontoon is the pump-out on?');
  await expect(summary).toContainText('You were there this morning.');
  await expect(summary).toContainText('answer due today');
  // Who writes and what was handed over both want room; the words and the way to send stay in sight.
  await expect(script(bens).getByText('You were there this morning.').last()).toBeInViewport();
  await expect(bens.getByRole('button', { name: 'Send', exact: true })).toBeInViewport();

  await reply(bens).fill('On the outer one.');
  await bens.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText('On the outer one.');
});

test('a note names a colleague, is changed, and is withdrawn with its trace', async ({ office }) => {
  const ben = await office.person(`Q${office.tag}`);
  const number = await office.text('About the fenders');
  const page = await office.pageOf();
  const bens = await office.pageOf(ben);
  await open(page, number);
  await script(page).focus();
  await page.keyboard.press('n');
  await page.keyboard.type(`Do you know more, @Q${office.tag}`);
  await page.keyboard.press('Tab');
  await page.keyboard.type('?');
  await page.keyboard.press('Control+Enter');
  await expect(script(page)).toContainText(`Do you know more, @${ben.name} ?`);
  await notices(bens).click();
  await expect(bens.getByRole('dialog', { name: 'Notices' })).toContainText(`${office.lead.name}: “Do you know more, @${ben.name} ?”`);

  await script(page).getByText('Do you know more').hover();
  await page.getByRole('button', { name: 'Change this note' }).click();
  await page.getByLabel('The note').fill('Settled.');
  await page.getByRole('button', { name: 'Save the note' }).click();
  await expect(script(page)).toContainText('Settled.');
  await script(page).getByText('Settled.').hover();
  await page.getByRole('button', { name: 'Change this note' }).click();
  await page.getByRole('button', { name: 'Withdraw the note' }).click();
  await expect(script(page)).toContainText('withdrawn');
  await page.getByRole('button', { name: /^earlier wording/ }).click();
  await expect(page.getByRole('list', { name: 'Earlier wording' })).toContainText('Do you know more');

  await page.keyboard.press('n');
  await page.keyboard.type('@Eli Castellanos could you?');
  await page.keyboard.press('Control+Enter');
  await expect(page.getByRole('alert')).toContainText('Eli Castellanos does not see this conversation');
  await expect(page.getByLabel('Note for the team')).toHaveValue('@Eli Castellanos could you?');
});

test('a colleague is invited by mail, joins once, and leaves again', async ({ office }) => {
  const page = await office.pageOf();
  const name = `Ada Birch ${office.tag}`;
  await goTo(page, '/setup/people/new');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('E-mail address, used to sign in').fill(`ada.${office.tag}@quillhaven.example`);
  await page.getByRole('button', { name: 'Send the invitation' }).click();
  await expect(page.getByRole('note')).toContainText('Invited, not joined yet.');

  const ada = await (await office.browserOf()).newPage();
  const mail = ada.getByRole('article', { name: 'Join the front office' }).filter({ hasText: `Hello ${name}` });
  await office.invitationTo(`ada.${office.tag}@quillhaven.example`);
  await ada.goto(`${HANDSETS}/mail`);
  await ada.getByRole('button', { name: `to ada.${office.tag}@quillhaven.example` }).click();
  await mail.getByRole('link').click();
  await ada.getByLabel('Choose a password').fill('password1234');
  await ada.getByRole('radio', { name: 'bell' }).click();
  await ada.getByRole('button', { name: 'Join' }).click();
  await expect(ada.getByText('This password is too common.')).toBeVisible();
  const link = ada.url();
  await ada.getByLabel('Choose a password').fill('seven small boats');
  await ada.getByRole('button', { name: 'Join' }).click();
  await expect(ada.getByRole('button', { name: `${name}, in` })).toBeVisible();
  await ada.goto(link);
  await expect(ada.getByRole('alert')).toContainText('This link was used already.');

  await page.reload();
  await page.getByRole('button', { name: 'Deactivate…' }).click();
  await page.getByRole('button', { name: 'Deactivate Ada' }).click();
  await expect(page.getByRole('note')).toContainText('Deactivated');
  await goTo(page, '/setup/record');
  await expect(page.getByRole('table', { name: 'Access log' })).toContainText(`${name}switched off`);
});

test('a lead sees who has what, moves work by dragging and by key, and answers a late one in its notice', async ({ office }) => {
  const [ben, cora] = [await office.person('Ben'), await office.person('Cora')];
  const number = await office.text('For the lead to give away');
  const page = await office.pageOf();
  await page.getByRole('link', { name: 'Office', exact: true }).click();
  const row = (name: string) => page.getByRole('row', { name });
  const has = row(ben.name).getByRole('cell').nth(1);
  await expect(has).toHaveText('0');
  await page
    .getByRole('listitem')
    .filter({ hasText: shown(number) })
    .dragTo(row(ben.name));
  await expect(has).toHaveText('1');

  await row(ben.name).click();
  const his = page.getByRole('region', { name: `On our turn, ${ben.name}’s` });
  await expect(his).toContainText('For the lead to give away');
  await page.keyboard.press('h');
  await page.getByRole('menuitem', { name: cora.name }).click();
  await expect(has).toHaveText('0');
  await page.keyboard.press('z');
  await expect(has).toHaveText('1');

  const bens = await office.pageOf(ben);
  await notices(bens).click();
  const told = bens
    .getByRole('dialog', { name: 'Notices' })
    .getByRole('listitem')
    .filter({ hasText: shown(number) })
    .first();
  await told.getByRole('button', { name: 'Answer here' }).click();
  await bens.getByLabel(`Reply to ${shown(number)}`).fill('Given to me.');
  await bens.keyboard.press('Control+Enter');
  await expect.poll(() => office.arrivedOn(number)).toEqual(['Given to me.']);
});

test('what one may not do or see is shown, and what changes of that holds at once on every page', async ({ office }) => {
  const noor = await office.person('Noor', 'VIEWER');
  await office.text('For everyone to read');
  const viewer = await office.pageOf(noor);
  await list(viewer).getByRole('link').first().click();
  await expect(viewer.getByRole('button', { name: 'Take', exact: true })).toBeDisabled();
  await viewer.getByRole('button', { name: 'Done', exact: true }).hover();
  await expect(viewer.getByRole('tooltip')).toContainText(/You may not change conversations\. .* can allow it\./);
  await expect(viewer.getByRole('button', { name: 'Send', exact: true })).toBeDisabled();
  await expect(viewer.getByRole('link', { name: 'Office', exact: true })).toHaveCount(0);
  await viewer.getByLabel('Jump to a customer, a number or words').fill('Lantern');
  await expect(viewer.getByRole('option')).toHaveText(['Texts that say “Lantern”']);

  const page = await office.pageOf();
  await goTo(page, `/setup/people/${noor.id}`);
  await page.getByRole('button', { name: 'Role: viewer' }).click();
  await page.getByRole('menuitem', { name: 'staff' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(viewer.getByRole('button', { name: 'Take', exact: true })).toBeEnabled();

  await office.change(noor, { teams: [] });
  await expect(viewer.getByText(/you do not see it any more: its line, your teams or your permissions have changed/)).toBeVisible();
  await expect(viewer.getByText('For everyone to read')).toHaveCount(0);
});

test('going away shows what one owns and hands over what is picked', async ({ office }) => {
  const [ben, cora] = [await office.person('Ben'), await office.person('Cora')];
  const [number, other] = [await office.text('I am Ben’s'), await office.text('I am Ben’s as well')];
  const bens = await office.pageOf(ben);
  for (const each of [other, number]) {
    await open(bens, each);
    await script(bens).focus();
    await bens.keyboard.press('t');
    await expect(script(bens)).toContainText(`(${ben.name} takes it.)`);
  }
  await bens.getByRole('button', { name: `${ben.name}, in` }).click();
  await bens.getByRole('menuitem', { name: 'Set as away…' }).click();
  await bens.getByRole('button', { name: /^What happens to them/ }).click();
  await bens.getByRole('menuitem', { name: `hand them over to ${cora.name}` }).click();
  for (const box of await bens.getByRole('dialog').getByRole('checkbox').all()) await box.uncheck();
  await bens.getByRole('checkbox', { name: shown(number) }).check();
  await bens.getByRole('button', { name: 'Move 1, and go away' }).click();
  await expect(bens.getByRole('button', { name: `${ben.name}, away` })).toBeVisible();
  await expect(script(bens)).toContainText(`(${ben.name} hands it over to ${cora.name}.)`);
  await bens.getByRole('button', { name: `${ben.name}, away` }).click();
  await bens.getByRole('menuitem', { name: 'I’m back' }).click();
  await expect(bens.getByRole('button', { name: `${ben.name}, in` })).toBeVisible();
});

test('texts of a newcomer wait for a colleague, who changes and sends one and returns another with a word', async ({ office }) => {
  const nia = await office.person('Nia');
  await office.change(nia, { secondLook: true });
  const theirs = await office.pageOf(nia);
  const page = await office.pageOf();
  const number = await office.text('Is berth nine free?');
  await open(theirs, number);
  await reply(theirs).fill('Yes it is.');
  await theirs.getByRole('button', { name: 'Ask for a second look' }).click();
  await expect(theirs.getByRole('region', { name: 'Second look' })).toContainText('Your text waits for a second look');
  await expect(reply(theirs)).toHaveValue('');

  await page.getByRole('button', { name: /^To do/ }).click();
  await page.getByRole('dialog', { name: 'To do and drafts' }).getByText('Yes it is.').click();
  const band = page.getByRole('region', { name: 'Second look' });
  await band.getByRole('button', { name: 'Change' }).click();
  await band.getByRole('textbox').fill('Yes, berth nine is free.');
  await band.getByRole('button', { name: 'Send for Nia' }).click();
  await expect.poll(() => office.arrivedOn(number)).toEqual(['Yes, berth nine is free.']);
  await expect(script(theirs)).toContainText(`looked at this text by ${nia.name}, changed it and sent it.`);

  await reply(theirs).fill('Cheers!');
  await theirs.keyboard.press('Control+Enter');
  await expect(band).toContainText('Cheers!');
  await band.getByRole('button', { name: 'Return to Nia…' }).click();
  await band.getByLabel('A word to Nia').fill('Say what it costs');
  await band.getByRole('button', { name: 'Return to Nia' }).click();
  await expect(script(theirs)).toContainText('returns a text to its writer: Say what it costs');
  await expect(reply(theirs)).toHaveValue('Cheers!');
  expect(await office.arrivedOn(number)).toHaveLength(1);
});

// @vitest-environment happy-dom
import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { cloneElement, createRef } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { type Dossier, keys } from '../../shared/api';
import { checked, dock, dossierWith, maren, priya, session } from '../../testing/data';
import { lastOffer, withdrawOffer, WORDS_BACK, type WordsBack } from '../../shared/ui';
import { type Answers, type Asked, No, show } from '../../testing/show';
import { type WritingHandle, WritingPlace } from './WritingPlace';

const dossier = dossierWith({ lost: [17] });

const CHECK = 'POST /api/conversations/7/texts/check';
const ANSWERS: Answers = {
  [CHECK]: checked,
  'GET /api/staff': [maren, priya],
  'GET /api/conversations/7/templates/short-names': ['lift', 'hrs'],
  'GET /api/conversations/7/suggestions': [],
  'GET /api/conversations/7/templates': { templates: [], all: 0 },
  'GET /api/conversations/7/agreement': {
    number: 'GOOD',
    service: { answer: 'AGREED', ground: 'WROTE_FIRST', since: '2026-06-03T19:05:00Z' },
    news: { answer: 'NOT_SAID' },
    history: [],
  },
  'PUT /api/conversations/7/drafts/REPLY': undefined,
  'PUT /api/conversations/7/drafts/NOTE': undefined,
};
const NOTED = 'POST /api/conversations/7/agreement';
const TEXTS = 'POST /api/conversations/7/texts';

function lay(answers: Answers = {}, me = session, about = dossier) {
  const onFinish = vi.fn();
  const ref = createRef<WritingHandle>();
  const place = (
    <WritingPlace ref={ref} dossier={about} line={dock} me={maren.id} onFinish={onFinish} onWriting={() => undefined} />
  );
  const page = show(place, { ...ANSWERS, ...answers }, me);
  page.queries.setQueryData(keys.dossier(7), about);
  return { ...page, onFinish, ref, place };
}

const paper = () => screen.getByRole<HTMLTextAreaElement>('textbox', { name: /^Reply to|^Note/ });
const write = (words: string) => fireEvent.change(paper(), { target: { value: words } });
const press = (key: string, more = {}) => fireEvent.keyDown(paper(), { key, ...more });
const send = (more = {}) => press('Enter', { ctrlKey: true, ...more });

/** An answer that is given when the test says so. */
function later() {
  let give: (body: unknown) => void = () => undefined;
  const answer = new Promise((resolve) => (give = resolve));
  return { answer: () => answer, give: (body?: unknown) => act(async () => give(await body)) };
}

/** Until what speaks against the words was answered. */
const answered = (page: ReturnType<typeof lay>) =>
  waitFor(() => {
    expect(page.told('POST', '/api/conversations/7/texts/check')).not.toEqual([]);
    expect(page.queries.isFetching({ queryKey: ['check'] })).toBe(0);
  });

describe('the writing place', () => {
  const against = (code: string, severity: string, sentence: string) => ({
    [CHECK]: {
      ...checked,
      verdict: severity === 'REFUSE' ? 'MAY_NOT_GO' : 'NEEDS_CONFIRMATION',
      objections: [{ code, severity, sentence }],
    },
  });

  const asked = (page: ReturnType<typeof lay>) =>
    page
      .told('POST', '/api/conversations/7/texts/check')
      .map((told) => (told as { words: string }).words)
      .filter((words) => words !== '');

  it('asks about the first key at once, and about those before the answer together', async () => {
    const first = later();
    let held = false;
    const page = lay({ [CHECK]: () => (held ? first.answer() : checked) });
    await answered(page);
    held = true;
    write('A');
    await waitFor(() => expect(asked(page)).toEqual(['A']));
    write('Ad');
    write('Ada');
    held = false;
    await first.give(checked);
    await waitFor(() => expect(asked(page)).toEqual(['A', 'Ada']));
  });

  it('asks about the next words when an answer does not come', async () => {
    let held = false;
    const page = lay({ [CHECK]: () => (held ? new Promise(() => undefined) : checked) });
    await answered(page);
    held = true;
    write('A');
    await waitFor(() => expect(asked(page)).toEqual(['A']));
    write('Ada');
    await waitFor(() => expect(asked(page)).toEqual(['A', 'Ada']));
  });

  it('says before one presses why no text can go, also of an empty paper, and sends none', async () => {
    const page = lay({ ...against('opted-out', 'REFUSE', 'The customer has opted out of texts.'), [TEXTS]: {} });
    await screen.findByText('The customer has opted out of texts.');
    write('Are you sure?');
    send();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Send' }).disabled).toBe(true);
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([]);
    expect(paper().value).toBe('Are you sure?');
  });

  it('sends with Enter alone for those who chose so, and never in the middle of a character', async () => {
    const page = lay({ [TEXTS]: { parts: 1, pauseSeconds: 0, waitsForLook: false } });
    write('Yes.');
    press('Enter');
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([]);
    cleanup();
    const quick = { ...session, page: { ...session.page, enterSends: true } };
    const other = lay({ [TEXTS]: { parts: 1, pauseSeconds: 0, waitsForLook: false } }, quick);
    write('Yes.');
    press('Enter', { shiftKey: true });
    press('Enter', { isComposing: true });
    expect(other.told('POST', '/api/conversations/7/texts')).toEqual([]);
    press('Enter');
    await waitFor(() => expect(paper().value).toBe(''));
    expect(other.told('POST', '/api/conversations/7/texts')).toHaveLength(1);
  });

  it('has its spelling checked in the language of the customer, and a note in that of the team', () => {
    const customer = { id: 3, name: 'Inés', language: 'es', details: [], otherNumbers: [], openJobs: [] };
    const place = { onFinish: vi.fn(), onWriting: () => undefined, line: dock, me: maren.id, ref: null };
    show(<WritingPlace {...place} dossier={{ ...dossier, customer }} />, ANSWERS, session);
    expect(paper().lang).toBe('es');
    fireEvent.click(screen.getByRole('button', { name: /^Note/ }));
    expect(paper().lang).toBe('');
  });

  it('puts an emoji where the cursor is, found by a word', async () => {
    lay();
    write('See you at the .');
    paper().setSelectionRange(15, 15);
    press('e', { altKey: true });
    const find = await screen.findByRole('combobox', { name: 'Find an emoji' });
    fireEvent.change(find, { target: { value: 'anchor' } });
    await screen.findByRole('option', { name: 'anchor' });
    fireEvent.keyDown(find, { key: 'Enter' });
    expect(paper().value).toBe('See you at the ⚓.');
  });

  it('asks for a second look where texts wait for one, and is not done with it', async () => {
    const newcomer = { ...session, page: { ...session.page, secondLook: true } };
    const page = lay({ [TEXTS]: { parts: 1, pauseSeconds: 0, waitsForLook: true } }, newcomer);
    write('Yes.');
    expect(screen.queryByRole('button', { name: 'Send and done' })).toBeNull();
    expect(screen.getByRole('button', { name: 'Ask for a second look' })).toBeTruthy();
    send({ altKey: true });
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.onFinish).not.toHaveBeenCalled();
  });

  it('does not come back with words that were taken off it, when the conversation was read meanwhile', async () => {
    const told = later();
    const page = lay({ 'PUT /api/conversations/7/drafts/REPLY': told.answer });
    write('Begun');
    write('');
    cleanup();
    const stale = { paper: 'REPLY' as const, words: 'Begun', at: '2026-06-09T19:00:00Z', reference: 'begun' };
    page.queries.setQueryData(keys.dossier(7), { ...dossier, drafts: [stale] });
    await told.give();
    await waitFor(() => expect(page.queries.getQueryData<Dossier>(keys.dossier(7))?.drafts).toEqual([]));
  });

  it('is not stopped by what was said of the words of a moment ago', async () => {
    const tooLong = {
      ...checked,
      objections: [{ code: 'too-many-parts', severity: 'REFUSE', sentence: 'Shorten it.' }],
    };
    const page = lay({
      [CHECK]: ({ body }: Asked) => {
        const { words } = body as { words: string };
        if (words === 'Yes.') return new Promise(() => undefined);
        return words === '' ? checked : tooLong;
      },
      [TEXTS]: { parts: 1 },
    });
    write('Far too long.');
    await screen.findByText('Shorten it.');
    send();
    write('Yes.');
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toMatchObject([{ words: 'Yes.' }]);
  });

  it('the button that says anyway confirms what is shown, also while the newest words are still looked at', async () => {
    const page = lay({
      [CHECK]: ({ body }: Asked) =>
        (body as { words: string }).words === ''
          ? against('night', 'ASK', 'It is 23:10 there.')[CHECK]
          : new Promise(() => undefined),
      [TEXTS]: {},
    });
    await screen.findByText('It is 23:10 there.');
    write('Yes.');
    fireEvent.click(screen.getByRole('button', { name: 'Send anyway' }));
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toMatchObject([{ words: 'Yes.', confirmed: ['night'] }]);
  });

  it('asks nothing about words that went out, as if they were to be sent again', async () => {
    const page = lay({ [TEXTS]: { parts: 1, pauseSeconds: 0, waitsForLook: false } });
    write('Yes.');
    await waitFor(() => expect(asked(page)).toEqual(['Yes.']));
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    await answered(page);
    expect(asked(page)).toEqual(['Yes.']);
  });

  it('goes at once when the reason for which the keys were pressed is gone', async () => {
    const same = against('same-text', 'ASK', 'Priya sent the same text 3 minutes ago.')[CHECK];
    const page = lay({
      [CHECK]: ({ body }: Asked) => ((body as { words: string }).words === 'Yes.' ? same : checked),
      [TEXTS]: { parts: 1, pauseSeconds: 0, waitsForLook: false },
    });
    write('Yes.');
    await screen.findByRole('button', { name: 'Send anyway' });
    send();
    await screen.findByText('Press the same keys again to send it anyway.');
    write('Yes, today.');
    await waitFor(() => expect(screen.queryByText('Priya sent the same text 3 minutes ago.')).toBeNull());
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toMatchObject([{ words: 'Yes, today.' }]);
  });

  it('asks only when there is a reason; the same keys again send it anyway, and say what was confirmed', async () => {
    const same = against('same-text', 'ASK', 'Priya sent the same text 3 minutes ago.')[CHECK];
    const page = lay({
      [CHECK]: ({ body }: Asked) => ((body as { words: string }).words === '' ? checked : same),
      [TEXTS]: {},
    });
    write('Yes.');
    await screen.findByRole('button', { name: 'Send anyway' });
    send();
    await screen.findByText('Press the same keys again to send it anyway.');
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([]);
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([
      { words: 'Yes.', reference: expect.any(String) as string, seen: 40, confirmed: ['same-text'], attachments: [] },
    ]);
  });

  it('shows what is added below the words, what they cost and what is left, before one presses', async () => {
    const is = {
      ...checked,
      leaving: 'Yes.\nQuillhaven Boatyard',
      cost: { amount: 0.0079, currency: 'USD' },
      allowances: [{ whose: 'Maren Oduya', span: 'today', limit: 40, used: 12 }],
    };
    lay({ [CHECK]: is });
    await screen.findByText('28 parts left today');
    write('Yes.');
    expect(await screen.findByText('Added below: Quillhaven Boatyard')).toBeTruthy();
    expect(screen.getByText('$0.0079')).toBeTruthy();
  });

  it('lets one look first at what the customer will see, and sends exactly that', async () => {
    const leaving = 'Yes.\nQuillhaven Boatyard';
    const looker = { ...session, page: { ...session.page, looksFirst: true } };
    const page = lay({ [CHECK]: { ...checked, leaving, pauseSeconds: 3 }, [TEXTS]: { parts: 1 } }, looker);
    write('Yes.');
    await screen.findByText('Added below: Quillhaven Boatyard');
    send();
    const look = await screen.findByRole('region', { name: 'Look before sending' });
    expect(look.textContent).toContain(leaving);
    expect(look.textContent).toContain('3 s after you send it');
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([]);
    fireEvent.keyDown(look, { key: 'Escape' });
    expect(paper().value).toBe('Yes.');
    send();
    fireEvent.click(await screen.findByRole('button', { name: 'Send' }));
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toMatchObject([{ words: 'Yes.', looked: leaving }]);
  });

  it('offers to take a text back for as long as the server says, also when it was sent before anything was checked', async () => {
    lay({
      [CHECK]: () => new Promise(() => undefined),
      [TEXTS]: { parts: 1, text: 55, pauseSeconds: 20 },
    });
    write('Yes, at nine.');
    send();
    await waitFor(() => expect(lastOffer()).toMatchObject({ back: { text: 55 }, forMs: 20_000 }));
    withdrawOffer();
  });

  it.each([
    ['here', []],
    [
      'from elsewhere, before the paper was there',
      [{ paper: 'REPLY' as const, words: 'At nine.', at: '2026-06-09T19:00:00Z' }],
    ],
  ])('puts a text that is taken back %s onto the paper once, however late the server says so', (_, drafts) => {
    const page = lay({}, session, { ...dossier, drafts });
    const detail: WordsBack = { conversation: 7, words: 'At nine.' };
    if (drafts.length === 0) act(() => void window.dispatchEvent(new CustomEvent(WORDS_BACK, { detail })));
    expect(paper().value).toBe('At nine.');
    write('At ten.');
    // It was asked before the person wrote on, and is answered now.
    const heard = { ...dossier, drafts: [{ paper: 'REPLY' as const, words: 'At nine.', at: '2026-06-09T19:00:02Z' }] };
    page.again(cloneElement(page.place, { dossier: heard }));
    expect(paper().value).toBe('At ten.');
    const other = {
      ...dossier,
      drafts: [{ paper: 'REPLY' as const, words: 'No.\nAt ten.', at: '2026-06-09T19:00:03Z' }],
    };
    page.again(cloneElement(page.place, { dossier: other }));
    expect(paper().value).toBe('No.\nAt ten.');
  });

  it('puts the same words back once more when they were sent again', async () => {
    const page = lay({ [TEXTS]: { parts: 1 } });
    const detail: WordsBack = { conversation: 7, words: 'At nine.' };
    act(() => void window.dispatchEvent(new CustomEvent(WORDS_BACK, { detail })));
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    const drafts = [{ paper: 'REPLY' as const, words: 'At nine.', at: '2026-06-09T19:00:02Z' }];
    page.again(cloneElement(page.place, { dossier: { ...dossier, drafts } }));
    expect(paper().value).toBe('At nine.');
  });

  it('puts a text that is taken back onto the paper again, above what was begun since', async () => {
    lay();
    write('And bring the key.');
    const detail: WordsBack = { conversation: 7, words: 'Come at five.' };
    act(() => void window.dispatchEvent(new CustomEvent(WORDS_BACK, { detail })));
    await waitFor(() => expect(paper().value).toBe('Come at five.\nAnd bring the key.'));
    const other: WordsBack = { conversation: 8, words: 'Not here.' };
    act(() => void window.dispatchEvent(new CustomEvent(WORDS_BACK, { detail: other })));
    expect(paper().value).toBe('Come at five.\nAnd bring the key.');
  });

  it('goes to another line or number with the words that were begun', async () => {
    const way = {
      lineId: 1,
      line: 'Dock office',
      address: '+13125550107',
      number: '(312) 555-0107',
      agreement: 'AGREED',
    };
    const page = lay({
      'GET /api/conversations/7/ways': [
        { ...way, here: true, conversation: 7 },
        { ...way, here: false, lineId: 2, line: 'Yard and lift' },
      ],
      'POST /api/write-to': { id: 12 },
    });
    write('Come at five.');
    press('f', { altKey: true });
    fireEvent.click(await screen.findByRole('menuitem', { name: /From Yard and lift.*new conversation/ }));
    await waitFor(() => expect(page.address()).toBe('/inbox/12'));
    expect(page.told('POST', '/api/write-to')).toEqual([{ line: 2, number: '+13125550107', makeCustomer: false }]);
    expect(paper().value).toBe('');
  });

  it('proposes to opt out who asks for no more texts in a sentence, and does it when told to', async () => {
    const agreement = 'GET /api/conversations/7/agreement';
    const page = lay({ [agreement]: { ...(ANSWERS[agreement] as object), asksToStop: 40 }, [NOTED]: undefined });
    fireEvent.click(await screen.findByRole('button', { name: 'Opt them out' }));
    await waitFor(() =>
      expect(page.told('POST', '/api/conversations/7/agreement')).toEqual([
        { given: false, kinds: ['SERVICE', 'NEWS'], words: 'asked by text' },
      ]),
    );
    fireEvent.click(screen.getByRole('button', { name: 'No, they mean something else' }));
    expect(screen.queryByText(/wants no more texts/)).toBeNull();
  });

  it('that they agreed is noted in one step, where it is not known', async () => {
    const page = lay({ ...against('no-agreement', 'TELL', 'It is not noted that they agree.'), [NOTED]: undefined });
    fireEvent.click(await screen.findByRole('button', { name: 'Note that they agreed' }));
    await waitFor(() =>
      expect(page.told('POST', '/api/conversations/7/agreement')).toEqual([{ given: true, kinds: ['SERVICE'] }]),
    );
  });

  it('a reason that came up only on sending is said, and can be confirmed there', async () => {
    const stopped = new No(409, 'needs-confirmation', 'It is 23:40. Nothing was sent.', [
      { field: 'night', why: 'It is 23:40.' },
    ]);
    const page = lay({
      [TEXTS]: ({ body }: { body: unknown }) => (JSON.stringify(body).includes('night') ? {} : stopped),
    });
    write('Yes.');
    send();
    fireEvent.click(await screen.findByRole('button', { name: 'Send anyway' }));
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toHaveLength(2);
  });

  it('a reason that stands below the paper already is not said again when the server stops the text for it', async () => {
    const stopped = new No(409, 'needs-confirmation', 'It is 23:40. Nothing was sent; your words are kept.', [
      { field: 'night', why: 'It is 23:40.' },
    ]);
    lay({ ...against('night', 'ASK', 'It is 23:40.'), [TEXTS]: stopped });
    write('Yes.');
    await screen.findByText('It is 23:40.');
    fireEvent.click(screen.getByRole('button', { name: 'Send anyway' }));
    expect(await screen.findByText('Nothing was sent; your words are kept.')).toBeTruthy();
    expect(screen.getAllByText(/It is 23:40/)).toHaveLength(1);
  });

  it('sends what is on the paper under one reference, against the newest line that stood there, and is empty then', async () => {
    const page = lay({ [TEXTS]: {} });
    write('Yes, berth 12.');
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([
      { words: 'Yes, berth 12.', reference: expect.any(String) as string, seen: 40, attachments: [] },
    ]);
    expect(page.onFinish).not.toHaveBeenCalled();
    expect(localStorage).toHaveLength(0);
  });

  it('keeps what one writes on while the first words are on their way, and sends it by itself', async () => {
    const slow = later();
    const page = lay({ [TEXTS]: slow.answer });
    write('Yes.');
    send();
    write('Yes.\nAnd bring the key');
    await slow.give({});
    expect(paper().value).toBe('And bring the key');
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    const [first, second] = page.told('POST', '/api/conversations/7/texts') as { words: string; reference: string }[];
    expect([first?.words, second?.words]).toEqual(['Yes.', 'And bring the key']);
    expect(second?.reference).not.toBe(first?.reference);
  });

  it('leaves no draft behind when one goes on to another conversation while it sends, and finishes what was to be', async () => {
    const slow = later();
    const page = lay({ [TEXTS]: slow.answer });
    write('Yes.');
    press('Enter', { altKey: true });
    page.again(<p>another conversation</p>);
    await slow.give({});
    await waitFor(() => expect(page.onFinish).toHaveBeenCalledTimes(1));
    expect(page.onFinish).toHaveBeenCalledWith({ newest: 40, lost: [17] });
    expect(page.told('PUT', '/api/conversations/7/drafts/REPLY')).toEqual([]);
    page.again(page.place);
    expect(paper().value).toBe('');
  });

  it('keeps words that crossed a colleague’s, and sends them as well when told to', async () => {
    const no = new No(409, 'answered-meanwhile', 'Priya Nandakumar answered meanwhile.');
    const page = lay({ [TEXTS]: ({ body }: { body: unknown }) => ((body as { seen?: number }).seen ? no : {}) });
    write('Yes.');
    press('Enter', { altKey: true });
    expect(await screen.findByText(/Priya Nandakumar answered meanwhile/)).toBeTruthy();
    expect(paper().value).toBe('Yes.');
    expect(page.onFinish).not.toHaveBeenCalled();
    fireEvent.click(screen.getByRole('button', { name: 'Send mine too' }));
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.onFinish).toHaveBeenCalledTimes(1);
    const [first, second] = page.told('POST', '/api/conversations/7/texts') as { reference: string; seen?: number }[];
    expect(second?.reference).toBe(first?.reference);
    expect(second?.seen).toBeUndefined();
  });

  it('tries again under the same reference when no answer came, and under another once that went out otherwise', async () => {
    const page = lay({ [TEXTS]: () => new No(503, 'busy', 'Try again in a moment.') });
    write('Yes.');
    send();
    expect(await screen.findByText(/Try again in a moment/)).toBeTruthy();
    page.answers[TEXTS] = new No(409, 'sent-with-other-words', 'It went out with other words.');
    write('Yes, do.');
    send();
    expect(await screen.findByText(/with other words/)).toBeTruthy();
    page.answers[TEXTS] = {};
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    const told = page.told('POST', '/api/conversations/7/texts') as { reference: string; words: string }[];
    expect(told.map(({ words }) => words)).toEqual(['Yes.', 'Yes, do.', 'Yes, do.']);
    expect(new Set(told.map(({ reference }) => reference)).size).toBe(2);
  });

  it('has a second paper for the team, each with its own words, and completes a colleague’s name', async () => {
    const page = lay({ 'POST /api/conversations/7/notes': {} });
    write('Half a reply');
    fireEvent.click(screen.getByRole('button', { name: 'Note' }));
    expect(paper().value).toBe('');
    expect(screen.getByRole('button', { name: 'Reply (draft)' })).toBeTruthy();
    await waitFor(() => expect(page.asked.some(({ path }) => path === '/api/staff')).toBe(true));
    write('Ask @pri');
    paper().setSelectionRange(8, 8);
    act(() => void document.dispatchEvent(new Event('selectionchange')));
    expect(await screen.findByRole('group', { name: 'Colleagues to mention' })).toBeTruthy();
    press('Tab');
    expect(paper().value).toBe('Ask @Priya Nandakumar ');
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/notes')).toMatchObject([{ words: 'Ask @Priya Nandakumar ' }]);
    act(() => page.ref.current?.begin('REPLY', 'and more'));
    expect(paper().value).toBe('Half a reply\nand more');
  });

  it('sends later by key, and the paper is empty then', async () => {
    const address = '/api/conversations/7/planned';
    const page = lay({
      [`GET ${address}/time`]: { at: '2026-06-11T19:30:00Z', open: true },
      [`POST ${address}/check`]: {
        words: 'Tomorrow then.',
        dates: ['2026-06-11T19:30:00Z'],
        zone: 'America/Chicago',
        theirZone: 'America/Chicago',
        objections: [],
      },
      [`POST ${address}`]: { id: 4 },
    });
    press('l', { altKey: true });
    expect(screen.queryByRole('dialog')).toBeNull();
    write('Tomorrow then.');
    press('l', { altKey: true });
    fireEvent.change(await screen.findByLabelText('When'), { target: { value: 'Thu 14:30' } });
    const go = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Send Thu 11 Jun 14:30' });
    await waitFor(() => expect(go().disabled).toBe(false));
    fireEvent.click(go());
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', address)).toMatchObject([{ text: { words: 'Tomorrow then.', whenClosed: 'SEND' } }]);
    expect(page.told('POST', '/api/conversations/7/texts')).toEqual([]);
  });

  it('keeps a Tab for a name until the colleagues are known, and what was typed behind it; a second Tab goes on', async () => {
    const staff = later();
    lay({ 'GET /api/staff': staff.answer });
    fireEvent.click(screen.getByRole('button', { name: 'Note' }));
    write('Ask @pri');
    paper().setSelectionRange(8, 8);
    expect(press('Tab')).toBe(false);
    expect(press('Tab')).toBe(true);
    write('Ask @pri?');
    paper().setSelectionRange(9, 9);
    await staff.give([maren, priya]);
    await waitFor(() => expect(paper().value).toBe('Ask @Priya Nandakumar ?'));
    expect(paper().selectionStart).toBe(23);
  });

  it('sends a note behind a Tab that is still kept with the name it stands for; asked twice, as it is', async () => {
    const staff = later();
    const page = lay({ 'GET /api/staff': staff.answer, 'POST /api/conversations/7/notes': {} });
    const ask = () => {
      write('Ask @pri');
      paper().setSelectionRange(8, 8);
      expect(press('Tab')).toBe(false);
      write('Ask @pri?');
      paper().setSelectionRange(9, 9);
      send();
    };
    fireEvent.click(screen.getByRole('button', { name: 'Note' }));
    ask();
    send();
    await waitFor(() => expect(paper().value).toBe(''));
    ask();
    await staff.give([maren, priya]);
    await waitFor(() => expect(paper().value).toBe(''));
    expect(page.told('POST', '/api/conversations/7/notes').map((note) => (note as { words: string }).words)).toEqual([
      'Ask @pri?',
      'Ask @Priya Nandakumar ?',
    ]);
  });

  describe('with attachments', () => {
    const plan = {
      id: 5,
      kind: 'PDF' as const,
      name: 'plan.pdf',
      mediaType: 'application/pdf',
      octets: 84_000,
      words: '',
      state: 'HERE' as const,
      preview: false,
      shown: true,
    };
    const layWith = (answers: Answers = {}) => {
      const page = lay({ [TEXTS]: { parts: 1, pauseSeconds: 0, text: 44 }, ...answers }, session, {
        ...dossier,
        attached: [plan],
      });
      return page;
    };

    it('sends them without words, and they are off the paper then', async () => {
      const page = layWith();
      await screen.findByText('plan.pdf');
      await waitFor(() => expect(page.told('POST', CHECK.slice(5))).toMatchObject([{ words: '', attachments: [5] }]));
      send();
      await waitFor(() => expect(page.told('POST', TEXTS.slice(5))).toMatchObject([{ words: '', attachments: [5] }]));
      await waitFor(() => expect(page.queries.getQueryData<Dossier>(keys.dossier(7))?.attached).toEqual([]));
    });

    it('removes one, and shows it again where that failed', async () => {
      const page = layWith({ 'DELETE /api/conversations/7/attachments/5': undefined });
      fireEvent.click(await screen.findByRole('button', { name: 'Remove plan.pdf' }));
      expect(page.queries.getQueryData<Dossier>(keys.dossier(7))?.attached).toEqual([]);
      await waitFor(() => expect(page.asked.some(({ method }) => method === 'DELETE')).toBe(true));
    });

    describe('dropped and pasted', () => {
      /** Takes everything and answers nothing: what was added stays on its way. */
      class Silent {
        upload = {};
        open = () => undefined;
        setRequestHeader = () => undefined;
        send = () => undefined;
        abort = () => undefined;
      }
      const sketch = new File(['lines'], 'sketch.png', { type: 'image/png' });
      const onItsWay = () => screen.queryByRole('progressbar', { name: 'sketch.png on its way' });
      const drop = () =>
        fireEvent.drop(screen.getByRole('region', { name: 'Writing place' }), {
          dataTransfer: { files: [sketch], types: ['Files'] },
        });
      const paste = (types: string[]) => fireEvent.paste(paper(), { clipboardData: { files: [sketch], types } });
      beforeEach(() => vi.stubGlobal('XMLHttpRequest', Silent));

      it('are added wherever they are let go in the writing place', async () => {
        lay();
        drop();
        await waitFor(() => expect(onItsWay()).toBeTruthy());
      });

      it('are added from the clipboard, but not beside copied words', async () => {
        lay();
        paste(['text/plain', 'Files']);
        expect(onItsWay()).toBeNull();
        paste(['Files']);
        await waitFor(() => expect(onItsWay()).toBeTruthy());
      });

      it('are neither added to a note nor opened in place of the page', () => {
        lay();
        fireEvent.click(screen.getByRole('button', { name: 'Note' }));
        paste(['Files']);
        expect(drop()).toBe(false);
        expect(onItsWay()).toBeNull();
      });
    });

    it('stays with a note for the team, where nothing can be attached', async () => {
      layWith();
      await screen.findByText('plan.pdf');
      fireEvent.click(screen.getByRole('button', { name: 'Note' }));
      expect(screen.queryByText('plan.pdf')).toBeNull();
      expect(screen.queryByRole('button', { name: 'Attach' })).toBeNull();
      expect(screen.getByRole('button', { name: 'Reply (draft)' })).toBeTruthy();
    });
  });

  it('says who can allow it to somebody who may not text', () => {
    lay({}, { ...session, may: ['WORK'] });
    expect(paper().disabled).toBe(true);
    expect(paper().placeholder).toBe('You may not text customers. Maren Oduya can allow it.');
  });

  describe('with templates', () => {
    const LIFT = {
      id: 4,
      version: 2,
      title: 'Lift slots',
      shortName: 'lift',
      folder: '',
      language: '',
      favourite: false,
      recent: false,
      words: 'Ada, {Boat} goes up {day}.',
      gaps: [],
      files: [],
      parts: 1,
    };
    const answers: Answers = {
      'GET /api/conversations/7/templates/named/lift': LIFT,
      'GET /api/templates/4/since/2': { sentence: '“Lift slots” was changed after you put it in.' },
      [TEXTS]: { parts: 1, pauseSeconds: 0, text: 44 },
    };

    it('puts one in by its short name and Tab, goes on to what is missing, and says from which it was made', async () => {
      const page = lay(answers);
      write('Hi. lift');
      paper().setSelectionRange(8, 8);
      // Pressed before the short names are there, it is kept for them.
      expect(press('Tab')).toBe(false);
      await waitFor(() => expect(paper().value).toBe('Hi. Ada, {Boat} goes up {day}.'));
      const marked = () => paper().value.slice(paper().selectionStart, paper().selectionEnd);
      expect(marked()).toBe('{Boat}');
      press('Tab');
      expect(marked()).toBe('{day}');
      await screen.findByText('“Lift slots” was changed after you put it in.');
      write('Hi. Ada, Kestrel goes up on Friday.');
      await waitFor(() => expect(page.told('POST', '/api/conversations/7/texts/check').length).toBeGreaterThan(0));
      send();
      await waitFor(() => expect(page.told('POST', '/api/conversations/7/texts')).toMatchObject([{ template: 4 }]));
    });

    it('puts a suggested one in with one key, and suggests nothing more once words stand there', async () => {
      const page = lay({
        ...answers,
        'GET /api/conversations/7/suggestions': [{ template: LIFT, why: 'used for 14 similar questions', percent: 90 }],
      });
      expect((await screen.findByRole('group', { name: 'Suggested templates' })).textContent).toContain(
        'used for 14 similar questions',
      );
      press('1', { altKey: true, code: 'Digit1' });
      expect(paper().value).toBe('Ada, {Boat} goes up {day}.');
      expect(screen.queryByRole('group', { name: 'Suggested templates' })).toBeNull();
      expect(page.told('POST', TEXTS.slice(5))).toEqual([]);
      await screen.findByText('“Lift slots” was changed after you put it in.');
    });

    it('keeps what is suggested until what fits the newer words is there', async () => {
      const page = lay({
        'GET /api/conversations/7/suggestions': [{ template: LIFT, why: 'its words fit', percent: 90 }],
      });
      await screen.findByRole('group', { name: 'Suggested templates' });
      const newer = later();
      page.answers['GET /api/conversations/7/suggestions'] = newer.answer;
      const { conversation } = dossier;
      const changed = { ...dossier, conversation: { ...conversation, version: conversation.version + 1 } };
      page.again(cloneElement(page.place, { dossier: changed }));
      const asked = () => page.asked.filter(({ path }) => path.endsWith('/suggestions')).length;
      await waitFor(() => expect(asked()).toBe(2));
      expect(screen.getByRole('group', { name: 'Suggested templates' })).toBeTruthy();
      await newer.give([]);
      await waitFor(() => expect(screen.queryByRole('group', { name: 'Suggested templates' })).toBeNull());
    });

    it('offers a short name that stood there before the templates were fetched', async () => {
      const names = later();
      lay({ ...answers, 'GET /api/conversations/7/templates/short-names': names.answer });
      write('Hi. lift');
      paper().setSelectionRange(8, 8);
      await names.give(['lift']);
      fireEvent.click(await screen.findByRole('button', { name: 'Tab inserts the template “lift”' }));
      await waitFor(() => expect(paper().value).toBe('Hi. Ada, {Boat} goes up {day}.'));
      await screen.findByText('“Lift slots” was changed after you put it in.');
    });

    it('lets Tab go on where no short name stands', async () => {
      lay(answers);
      write('Thanks for the lift.');
      paper().setSelectionRange(20, 20);
      await act(async () => {
        await Promise.resolve();
      });
      expect(fireEvent.keyDown(paper(), { key: 'Tab' })).toBe(true);
      expect(paper().value).toBe('Thanks for the lift.');
    });
  });
});

// @vitest-environment happy-dom
import { fireEvent, screen, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { useOffer } from '../../shared/ui';
import { berths, harbour, repairs, session } from '../../testing/data';
import { type Answers, type Asked, No, show } from '../../testing/show';
import { SeveralBar } from './SeveralBar';

const GULL = {
  conversationId: 9,
  name: 'GULLWATCH',
  why: 'This sender is a name or short code and cannot be answered.',
};
const TEAMS: Answers = {
  'GET /api/teams': [harbour],
  'GET /api/several/draft': {},
  'PUT /api/several/draft': undefined,
};

function Offered() {
  return <p>{useOffer()?.words ?? 'nothing to take back'}</p>;
}

function choose(answers: Answers, me = session) {
  const onClear = vi.fn();
  const onAll = vi.fn();
  const bar = (
    <>
      <SeveralBar
        chosen={{ ids: [3, 4, 9] }}
        count={3}
        total={57}
        first={3}
        zone="America/Chicago"
        topics={[berths, repairs, { ...repairs, id: 5, name: 'mooring', retired: true }]}
        onAll={onAll}
        onClear={onClear}
      />
      <Offered />
    </>
  );
  return { ...show(bar, { ...TEAMS, ...answers }, me), onClear, onAll };
}

const key = (name: string) => fireEvent.keyDown(document.body, { key: name });

describe('several at once', () => {
  it('names who is skipped before anything goes, then follows it to its end and offers to take it back', async () => {
    let looks = 0;
    const page = choose({
      'POST /api/several/check': { will: 2, parts: 2, skipped: [GULL], against: [], refused: false },
      'POST /api/several': { id: 1, what: 'TEXT', total: 3, done: 0, running: true, skipped: [GULL] },
      'GET /api/several/1': () => {
        looks += 1;
        const running = looks < 2;
        return {
          id: 1,
          what: 'TEXT',
          total: 3,
          done: running ? 1 : 2,
          running,
          skipped: [GULL],
          notDelivered: [],
          undo: running ? undefined : 'u',
        };
      },
    });
    key('r');
    fireEvent.change(await screen.findByRole('textbox', { name: /^The text/ }), {
      target: { value: 'Low water on Friday.' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'See who gets it' }));
    const dialog = await screen.findByRole('dialog', { name: 'Send the text' });
    await within(dialog).findByText('This applies to 2 conversations. 1 conversation will be skipped:');
    expect(within(dialog).getByRole('list', { name: 'Skipped' }).textContent).toContain('GULLWATCH: This sender');
    expect(page.told('POST', '/api/several')).toEqual([]);

    fireEvent.click(within(dialog).getByRole('button', { name: 'Send 2 texts, 2 parts' }));
    await within(dialog).findByText('1 of 2…');
    await within(dialog).findByText(/^Done for 2 conversations\. Skipped:/);
    expect(page.told('POST', '/api/several')).toEqual([
      { act: { ids: [3, 4, 9], what: 'TEXT', words: 'Low water on Friday.' }, reference: expect.any(String) as string },
    ]);
    expect(screen.getByText('Texts sent: 2 conversations')).toBeTruthy();
    expect(document.activeElement).toBe(within(dialog).getByRole('button', { name: 'Close' }));
    fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' });
    expect(page.onClear).toHaveBeenCalled();
  });

  it('sends what was begun here before under the reference it was begun with, and says what did not arrive', async () => {
    const begun = { words: 'Low water on Friday.', reference: 'reference-of-before', at: '2026-06-09T19:00:00Z' };
    const done = { id: 1, what: 'TEXT', total: 1, done: 1, running: false, skipped: [], notDelivered: [GULL] };
    const page = choose({
      'GET /api/several/draft': { begun },
      'POST /api/several/check': { will: 1, parts: 1, skipped: [], against: [], refused: false },
      'POST /api/several': done,
      'GET /api/several/1': done,
    });
    key('r');
    await screen.findByDisplayValue('Low water on Friday.');
    fireEvent.click(screen.getByRole('button', { name: 'See who gets it' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Send 1 text, 1 part' }));
    expect((await screen.findByRole('list', { name: 'Not delivered' })).textContent).toContain('GULLWATCH');
    expect(page.told('POST', '/api/several')).toEqual([
      { act: { ids: [3, 4, 9], what: 'TEXT', words: begun.words }, reference: begun.reference },
    ]);
  });

  it('says when there is nothing to do, and leaves the choice as it was', async () => {
    const page = choose({
      'POST /api/several/check': { will: 0, parts: 0, skipped: [GULL], against: [], refused: false },
    });
    key('d');
    const dialog = await screen.findByRole('dialog', { name: 'Finish them' });
    await within(dialog).findByText(/^There is nothing to do\./);
    expect(within(dialog).getByRole<HTMLButtonElement>('button', { name: 'Finish 0' }).disabled).toBe(true);
    fireEvent.click(within(dialog).getByRole('button', { name: 'Cancel' }));
    expect(page.onClear).not.toHaveBeenCalled();
  });

  it('says why it cannot be done', async () => {
    choose({ 'POST /api/several/check': new No(400, 'bad-request', 'Choose at most 5,000 at once.') });
    key('d');
    expect(await screen.findByText(/Choose at most 5,000 at once/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Finish/ })).toBeNull();
  });

  it('offers topics in use only, and a time of one’s own that has not passed', async () => {
    const asked: Asked[] = [];
    const page = choose({
      'GET /api/conversations/3/moments/read': ({ query }: Asked) =>
        query.get('words') === 'someday'
          ? { open: false, why: '“someday” is not clear here.' }
          : { open: false, at: '2026-06-13T17:00:00Z' },
      'POST /api/several/check': (one: Asked) => {
        asked.push(one);
        return { will: 3, parts: 0, skipped: [], against: [], refused: false };
      },
    });
    key('b');
    expect(screen.getAllByRole('menuitem').map((item) => item.textContent)).toEqual(['berths', 'repairs']);
    fireEvent.click(screen.getByRole('menuitem', { name: 'repairs' }));
    await screen.findByRole('button', { name: 'Add it to 3' });
    expect(asked[0]?.body).toEqual({ ids: [3, 4, 9], what: 'TOPIC', topicId: 2 });
    fireEvent.click(screen.getByRole('button', { name: 'Cancel' }));

    fireEvent.click(screen.getByRole('button', { name: 'Set aside…' }));
    fireEvent.click(screen.getByRole('menuitem', { name: 'At a time…' }));
    const time = await screen.findByLabelText('or choose it (time in Chicago)');
    fireEvent.change(time, { target: { value: '2026-06-09T14:00' } });
    expect(screen.getByText('That time has passed already.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('When'), { target: { value: 'someday' } });
    await screen.findByText('“someday” is not clear here.');
    expect(screen.getByRole('button', { name: 'Continue' }).hasAttribute('disabled')).toBe(true);
    fireEvent.change(screen.getByLabelText('When'), { target: { value: 'Sat noon' } });
    await screen.findByText('Sat 13 Jun 12:00');
    await screen.findByText(/when the line is closed/);
    fireEvent.change(time, { target: { value: '2026-06-10T08:30' } });
    fireEvent.click(screen.getByRole('button', { name: 'Continue' }));
    await screen.findByRole('button', { name: 'Set 3 aside' });
    expect(asked[1]?.body).toEqual({ ids: [3, 4, 9], what: 'SET_ASIDE', moment: 'AT', at: '2026-06-10T13:30:00.000Z' });
    expect(page.told('POST', '/api/several')).toEqual([]);
  });

  it('can be all the sentence means, or none', () => {
    const page = choose({});
    fireEvent.click(screen.getByRole('button', { name: 'All 57' }));
    expect(page.onAll).toHaveBeenCalled();
    key('Escape');
    expect(page.onClear).toHaveBeenCalled();
  });

  it('shows what one may not do, with who can allow it', () => {
    choose({}, { ...session, may: ['WORK', 'TEXT'] });
    const button = screen.getByTitle('You may not text many customers at once. Maren Oduya can allow it.');
    expect(button.textContent).toBe('Text to each…');
    fireEvent.click(button);
    key('r');
    expect(screen.queryByRole('textbox')).toBeNull();
  });
});

// @vitest-environment happy-dom
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { PlannedText } from '../../shared/api';
import { conversation, maren, priya, session } from '../../testing/data';
import { type Answers, type Asked, No, show } from '../../testing/show';
import { LaterDialog } from './LaterDialog';
import { PlannedHere } from './PlannedHere';
import { PlannedPlace } from './PlannedPlace';

const ADDRESS = '/api/conversations/7/planned';
const THURSDAY = '2026-06-11T19:30:00Z';
const preview = {
  words: 'See you at the lift.',
  dates: [THURSDAY],
  zone: 'America/Chicago',
  theirZone: 'America/New_York',
  objections: [],
};
const ANSWERS: Answers = {
  [`GET ${ADDRESS}/time`]: ({ query }: Asked) =>
    query.get('words') === 'Thu 14:30'
      ? { at: THURSDAY, open: true }
      : { open: false, why: '“soon” is not clear here.' },
  [`POST ${ADDRESS}/check`]: preview,
  'GET /api/staff': [maren, priya],
  'GET /api/teams': [],
};
const paper = { words: 'See you at the lift.', template: 3, attachments: [5], reference: 'reference-1' };

const plan = (given: Partial<PlannedText> = {}): PlannedText => ({
  id: 4,
  version: 2,
  staff: priya.id,
  words: 'See you {appointment: when}.',
  filled: 'See you on Friday.',
  attachments: [],
  dueAt: THURSDAY,
  zone: 'America/Chicago',
  theirZone: 'America/New_York',
  whenClosed: 'SEND',
  next: [],
  unlessWritten: false,
  comesToMe: false,
  went: 0,
  conversation: conversation(7, { customerName: 'Vera Lund' }),
  ...given,
});

const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
/** Presses a button as soon as it can be pressed. */
async function pressSoon(name: string) {
  await waitFor(() => expect(screen.getByRole<HTMLButtonElement>('button', { name }).disabled).toBe(false));
  press(name);
}
const choose = async (name: RegExp, option: string) => {
  press(name);
  fireEvent.click(await screen.findByRole('menuitem', { name: option }));
};

describe('sending later', () => {
  function lay(answers: Answers = {}) {
    const onPlanned = vi.fn();
    const dialog = (
      <LaterDialog
        conversation={7}
        zone="America/Chicago"
        paper={paper}
        onClose={() => undefined}
        onPlanned={onPlanned}
      />
    );
    return { ...show(dialog, { ...ANSWERS, ...answers }), onPlanned };
  }
  const when = (words: string) => fireEvent.change(screen.getByLabelText('When'), { target: { value: words } });

  it('reads a time, says it by both clocks, and plans what stands on the paper', async () => {
    const page = lay({ [`POST ${ADDRESS}`]: { id: 4 } });
    when('Thu 14:30');
    await screen.findByText('Thu 11 Jun 14:30 Central, 15:30 for them');
    fireEvent.click(screen.getByLabelText('Only if they have not written by then'));
    await pressSoon('Send Thu 11 Jun 14:30');
    await waitFor(() => expect(page.onPlanned).toHaveBeenCalled());
    expect(page.told('POST', ADDRESS)).toMatchObject([
      {
        reference: 'reference-1',
        text: { words: paper.words, template: 3, attachments: [5], typed: 'Thu 14:30', unlessWritten: true },
      },
    ]);
  });

  it('can be pressed while it is looked at again in the background', async () => {
    const page = lay();
    when('Thu 14:30');
    const name = 'Send Thu 11 Jun 14:30';
    const isOff = () => screen.getByRole<HTMLButtonElement>('button', { name }).disabled;
    await waitFor(() => expect(isOff()).toBe(false));
    page.answers[`POST ${ADDRESS}/check`] = () => new Promise(() => undefined);
    void page.queries.invalidateQueries({ queryKey: ['planned'] });
    await waitFor(() => expect(page.told('POST', `${ADDRESS}/check`).length).toBeGreaterThan(1));
    expect(isOff()).toBe(false);
  });

  it('says what is not clear, and sends nothing', async () => {
    lay();
    when('soon');
    await screen.findByText('“soon” is not clear here.');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Send later' }).disabled).toBe(true);
  });

  it('repeats by a sentence, and says the dates', async () => {
    const page = lay({
      [`POST ${ADDRESS}/check`]: ({ body }: Asked) => ({
        ...preview,
        repeats: (body as { rule?: string }).rule && 'every month on the last day, 12 times',
        dates: [THURSDAY, '2026-06-30T19:30:00Z'],
      }),
    });
    when('Thu 14:30');
    await screen.findByText(/for them/);
    await choose(/^How often/, 'every month');
    await choose(/^On which day/, 'the last day');
    await choose(/^Until when/, 'a number of times');
    await choose(/^On closed days/, 'send it on the next open day');
    await screen.findByText('Then every month on the last day, 12 times: Tue 30 Jun 14:30.');
    await waitFor(() =>
      expect(page.told('POST', `${ADDRESS}/check`).at(-1)).toMatchObject({
        rule: 'FREQ=MONTHLY;BYMONTHDAY=-1;COUNT=12',
        whenClosed: 'NEXT_OPEN_DAY',
      }),
    );
  });

  it('asks before it goes at night, and not at all to those who opted out', async () => {
    const page = lay({
      [`POST ${ADDRESS}/check`]: {
        ...preview,
        objections: [{ code: 'night', severity: 'ASK', sentence: 'It is 03:00 where the customer is.' }],
      },
      [`POST ${ADDRESS}`]: { id: 4 },
    });
    when('Thu 14:30');
    await screen.findByText(/It is 03:00/);
    await pressSoon('Send Thu 11 Jun 14:30 anyway');
    await waitFor(() => expect(page.told('POST', ADDRESS)).toMatchObject([{ text: { confirmed: ['night'] } }]));
  });

  it('cannot plan what may not go', async () => {
    lay({
      [`POST ${ADDRESS}/check`]: {
        ...preview,
        objections: [{ code: 'opted-out', severity: 'REFUSE', sentence: 'The customer has opted out of texts.' }],
      },
    });
    when('Thu 14:30');
    await screen.findByText(/has opted out/);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Send Thu/ }).disabled).toBe(true);
  });
});

describe('what is planned', () => {
  const LIST = `GET ${ADDRESS}`;
  const here = (plans: PlannedText[], answers: Answers = {}) =>
    show(<PlannedHere conversation={conversation(7)} />, { ...ANSWERS, [LIST]: plans, ...answers });

  it('stands in the script with its time, its writer and its words as they would read now', async () => {
    here([plan()]);
    const line = await screen.findByRole('listitem', { name: 'Planned text Thu 11 Jun 14:30' });
    expect(line.textContent).toContain('Thu 11 Jun 14:30 Central, 15:30 for them');
    expect(line.textContent).toContain('See you on Friday.');
    await within(line).findByText('Priya Nandakumar');
    expect(screen.queryByRole('button', { name: 'Skip this one' })).toBeNull();
  });

  it('says first what was not sent and why, and sends it once a person has confirmed', async () => {
    let asked = 0;
    const page = here([plan(), plan({ id: 5, held: 'The customer has opted out of texts.' })], {
      'POST /api/planned/5/send-now': () =>
        ++asked === 1
          ? new No(409, 'needs-confirmation', 'It is night.', [{ field: 'night', why: 'It is night.' }])
          : undefined,
    });
    const [first] = await screen.findAllByRole('listitem');
    expect(first?.textContent).toContain('× not sent');
    fireEvent.click(within(first as HTMLElement).getByRole('button', { name: 'Send now' }));
    fireEvent.click(await screen.findByRole('button', { name: 'Send now anyway' }));
    await waitFor(() =>
      expect(page.told('POST', '/api/planned/5/send-now')).toEqual([
        { version: 2, confirmed: [] },
        { version: 2, confirmed: ['night'] },
      ]),
    );
  });

  it('skips one of a series, and cancels all of it only after asking', async () => {
    const page = here([plan({ rule: 'FREQ=DAILY', repeats: 'every day' })], {
      'POST /api/planned/4/skip': undefined,
      'POST /api/planned/4/cancel': undefined,
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Skip this one' }));
    await waitFor(() => expect(page.told('POST', '/api/planned/4/skip')).toHaveLength(1));
    press('Cancel…');
    expect(page.told('POST', '/api/planned/4/cancel')).toEqual([]);
    press('Cancel all future texts');
    await waitFor(() => expect(page.told('POST', '/api/planned/4/cancel')).toHaveLength(1));
  });

  it('is changed with its placeholders as they were written', async () => {
    const page = here([plan()], { 'PUT /api/planned/4': undefined });
    fireEvent.click(await screen.findByRole('button', { name: 'Change…' }));
    const words = await screen.findByLabelText<HTMLTextAreaElement>('Text');
    expect(words.value).toBe('See you {appointment: when}.');
    fireEvent.change(words, { target: { value: 'See you then.' } });
    await pressSoon('Save the change');
    await waitFor(() =>
      expect(page.told('PUT', '/api/planned/4')).toMatchObject([{ version: 2, text: { words: 'See you then.' } }]),
    );
  });

  it('keeps what is being changed when something else happens in the conversation', async () => {
    const page = here([plan()], { 'GET /api/conversations/8/planned': [] });
    fireEvent.click(await screen.findByRole('button', { name: 'Change…' }));
    fireEvent.change(await screen.findByLabelText('Text'), { target: { value: 'See you then.' } });
    page.answers[LIST] = () => new Promise(() => undefined);
    page.again(<PlannedHere conversation={conversation(7, { version: 2 })} />);
    await waitFor(() => expect(page.asked.filter(({ path }) => path === ADDRESS)).toHaveLength(2));
    expect(screen.getByLabelText<HTMLTextAreaElement>('Text').value).toBe('See you then.');
    page.again(<PlannedHere conversation={conversation(8)} />);
    expect(screen.queryByLabelText('Text')).toBeNull();
  });

  it('does not say how other words than those that were looked at would read', async () => {
    const page = here([plan()], {
      [`POST ${ADDRESS}/check`]: ({ body }: Asked) => ({ ...preview, words: (body as { words: string }).words }),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Change…' }));
    await screen.findByText(/for them/, { selector: '[role=status] *' });
    page.answers[`POST ${ADDRESS}/check`] = () => new Promise(() => undefined);
    fireEvent.change(screen.getByLabelText('Text'), { target: { value: 'See you then.' } });
    await waitFor(() => expect(page.told('POST', `${ADDRESS}/check`)).toHaveLength(2));
    expect(screen.queryByText(/^As it would read now/)).toBeNull();
  });

  it('is listed for everyone, or by who planned it', async () => {
    const page = show(<PlannedPlace />, {
      ...ANSWERS,
      'GET /api/planned': ({ query }: Asked) => ({
        held: [],
        waiting: query.get('writer') === String(session.staff.id) ? [] : [plan()],
      }),
    });
    await screen.findByRole('link', { name: 'Vera Lund' });
    await choose(/^Planned by/, 'me');
    await screen.findByText(/^Nothing is planned here/);
    expect(page.asked.some(({ query }) => query.get('writer') === String(maren.id))).toBe(true);
  });
});

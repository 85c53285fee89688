// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { type Answers, No, show } from '../../testing/show';
import { useSend } from '../writing';
import { keys } from '../../shared/api';
import { useActs } from './useActs';

function Desk() {
  const acts = useActs(7, 'Greta Moss');
  const send = useSend(7, { onSent: () => undefined, onStays: () => undefined });
  const text = { paper: 'REPLY' as const, words: 'Yes.', reference: 'reference-1', seen: undefined };
  return (
    <>
      <button onClick={() => send.mutate(text)}>Send</button>
      <button onClick={acts.finish}>Done</button>
      <button onClick={() => acts.setAside('TOMORROW')}>Set aside</button>
      <button onClick={acts.needsNoAnswer}>No answer needed</button>
      {acts.problem && <p role="alert">{acts.problem.message}</p>}
    </>
  );
}

const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

function slowly(answer: unknown): { answers: Answers; give: () => void } {
  let give: () => void = () => undefined;
  const slow = new Promise((resolve) => (give = () => resolve(answer)));
  return { answers: { 'POST /api/conversations/7/texts': () => slow, 'POST /api/conversations/7/done': {} }, give };
}

describe('what is done to a conversation', () => {
  it('waits for the text that was sent before it', async () => {
    const { answers, give } = slowly({});
    const page = show(<Desk />, answers);
    press('Send');
    press('Done');
    await waitFor(() => expect(page.asked).toHaveLength(1));
    give();
    await waitFor(() => expect(page.asked.map(({ path }) => path.split('/').pop())).toEqual(['texts', 'done']));
  });

  it('is refused with the reason when that text did not go out', async () => {
    const { answers, give } = slowly(new No(503, 'no-space', 'The disk is almost full.'));
    const page = show(<Desk />, answers);
    press('Send');
    press('Done');
    give();
    expect((await screen.findByRole('alert')).textContent).toContain('did not go out, so this was not done');
    expect(page.told('POST', '/api/conversations/7/done')).toEqual([]);
    press('Done');
    await waitFor(() => expect(page.told('POST', '/api/conversations/7/done')).toHaveLength(1));
  });

  it('says what the page showed when it puts it out of sight, so that nothing newer goes with it', async () => {
    const none = { 'POST /api/conversations/7/set-aside': {}, 'POST /api/conversations/7/no-answer-needed': {} };
    const page = show(<Desk />, { ...slowly({}).answers, ...none });
    page.queries.setQueryData(keys.dossier(7), { newest: 41, lost: [17] });
    const entries = [
      { id: 43, needsHand: true },
      { id: 42, needsHand: false },
    ];
    page.queries.setQueryData(keys.script(7), { pages: [{ entries }, { entries: [{ id: 17, needsHand: true }] }] });
    const shown = { newest: 43, lost: [17, 43] };
    press('Done');
    press('Set aside');
    press('No answer needed');
    await waitFor(() => expect(page.asked).toHaveLength(3));
    expect(page.asked.map(({ body }) => body)).toEqual([{ shown }, { kind: 'TOMORROW', shown }, { shown }]);
  });
});

// @vitest-environment jsdom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { type Answers, No, show } from '../../testing/show';
import { useSend } from '../writing';
import { useActs } from './useActs';

function Desk() {
  const acts = useActs(7, 'Greta Moss');
  const send = useSend(7, { onSent: () => undefined, onStays: () => undefined });
  const text = { paper: 'REPLY' as const, words: 'Yes.', reference: 'reference-1', seen: undefined, finish: false };
  return (
    <>
      <button onClick={() => send.mutate(text)}>Send</button>
      <button onClick={acts.finish}>Done</button>
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
    expect((await screen.findByRole('alert')).textContent).toContain('did not go out, so this was not done either');
    expect(page.told('POST', '/api/conversations/7/done')).toEqual([]);
    press('Done');
    await waitFor(() => expect(page.told('POST', '/api/conversations/7/done')).toHaveLength(1));
  });
});

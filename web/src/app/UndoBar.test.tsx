// @vitest-environment happy-dom
import { useMutation } from '@tanstack/react-query';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { offerUndo, UNDOABLE, withdrawOffer } from '../shared/ui';
import { type Answers, show } from '../testing/show';
import { UndoBar } from './UndoBar';

/** Something that can be taken back under this name once the server has answered. */
function Act({ name, answered }: { name: string; answered: Promise<unknown> }) {
  const act = useMutation({
    meta: UNDOABLE,
    mutationFn: () => answered,
    onSuccess: () => offerUndo({ words: `Done: ${name}`, back: { undo: name } }),
  });
  return <button onClick={() => act.mutate()}>{name}</button>;
}

const UNDONE = { undone: 1, left: [] };
const z = () => fireEvent.keyDown(document.body, { key: 'z' });

function lay(answered: Promise<unknown>, answers: Answers = {}) {
  return show(
    <>
      <Act name="second" answered={answered} />
      <UndoBar />
    </>,
    { 'POST /api/undo/first': UNDONE, 'POST /api/undo/second': UNDONE, ...answers },
  );
}

afterEach(withdrawOffer);

describe('taking back', () => {
  it('takes back what is offered, once', async () => {
    const page = lay(Promise.resolve());
    offerUndo({ words: 'Done: Greta Moss', back: { undo: 'first' } });
    await screen.findByText('Done: Greta Moss');
    z();
    z();
    await waitFor(() => expect(page.told('POST', '/api/undo/first')).toHaveLength(1));
    expect(screen.queryByRole('status')).toBeNull();
  });

  it('means the last act also while the server has not answered it, not the one before', async () => {
    let answer: (value: unknown) => void = () => undefined;
    const page = lay(new Promise((resolve) => (answer = resolve)));
    offerUndo({ words: 'Done: Greta Moss', back: { undo: 'first' } });
    fireEvent.click(screen.getByRole('button', { name: 'second' }));
    z();
    expect(page.told('POST', '/api/undo/first')).toEqual([]);
    answer(undefined);
    await waitFor(() => expect(page.told('POST', '/api/undo/second')).toHaveLength(1));
    expect(page.told('POST', '/api/undo/first')).toEqual([]);
  });

  it('takes back nothing when the act before was refused and nothing else is offered', async () => {
    const page = lay(Promise.reject(new Error('refused')));
    fireEvent.click(screen.getByRole('button', { name: 'second' }));
    z();
    await waitFor(() => expect(page.queries.isMutating()).toBe(0));
    expect(page.asked.filter(({ path }) => path.startsWith('/api/undo'))).toEqual([]);
  });
});

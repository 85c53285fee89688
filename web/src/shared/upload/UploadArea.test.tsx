// @vitest-environment happy-dom
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { show } from '../../testing/show';
import { ApiProblem } from '../api';
import { UploadArea, useUploads } from '.';

interface Going {
  file: File;
  onGone: (share: number) => void;
  signal: AbortSignal;
  arrive: (answer: string) => void;
  fail: (why: unknown) => void;
}

let sent: Going[] = [];
let taken: string[] = [];

function Shelf({ several = false }: { several?: boolean }) {
  const going = useUploads<string>(
    (file, sending) => new Promise((arrive, fail) => sent.push({ file, ...sending, arrive, fail })),
    (answer, file) => taken.push(`${file.name}: ${answer}`),
  );
  return <UploadArea words="Add files…" accept=".pdf" several={several} going={going} />;
}

function begin(several = false) {
  sent = [];
  taken = [];
  show(<Shelf several={several} />);
}

const file = (name: string) => new File(['words'], name);
const area = () => screen.getByRole('group', { name: 'Add files…' });
const drop = (...files: File[]) => fireEvent.drop(area(), { dataTransfer: { files } });
const nth = async (count: number) => {
  await waitFor(() => expect(sent).toHaveLength(count));
  const going = sent[count - 1];
  if (!going) throw new Error('nothing was sent');
  return going;
};

describe('files on their way', () => {
  it('show how much has gone, and leave when they have arrived', async () => {
    begin();
    drop(file('estimate.pdf'));
    const going = await nth(1);
    act(() => going.onGone(0.4));
    expect(screen.getByRole('progressbar', { name: /estimate.pdf/ }).getAttribute('aria-valuenow')).toBe('40');
    act(() => going.arrive('kept'));
    await waitFor(() => expect(taken).toEqual(['estimate.pdf: kept']));
    expect(screen.queryByText('estimate.pdf')).toBeNull();
  });

  it('go one after the other, chosen or pasted', async () => {
    begin(true);
    fireEvent.change(screen.getByLabelText('Add files…', { selector: 'input' }), {
      target: { files: [file('one.pdf')] },
    });
    fireEvent.paste(area(), { clipboardData: { files: [file('two.pdf')] } });
    const first = await nth(1);
    expect(screen.getByText('two.pdf')).toBeTruthy();
    act(() => first.arrive('kept'));
    expect((await nth(2)).file.name).toBe('two.pdf');
  });

  it('say why they did not arrive, and are sent again when asked', async () => {
    begin();
    drop(file('huge.pdf'));
    const first = await nth(1);
    act(() => first.fail(new ApiProblem('', 422, '…', [{ field: 'file', why: 'This file is larger than 1 MB.' }])));
    expect((await screen.findByRole('alert')).textContent).toBe('This file is larger than 1 MB.');
    fireEvent.click(screen.getByRole('button', { name: 'Try again' }));
    const second = await nth(2);
    expect(screen.queryByRole('alert')).toBeNull();
    act(() => second.arrive('kept'));
    await waitFor(() => expect(taken).toEqual(['huge.pdf: kept']));
  });

  it('are stopped when asked, and the next goes', async () => {
    begin(true);
    drop(file('wrong.pdf'), file('right.pdf'));
    const wrong = await nth(1);
    fireEvent.click(screen.getAllByRole('button', { name: 'Cancel' })[0] ?? area());
    expect(wrong.signal.aborted).toBe(true);
    const right = await nth(2);
    act(() => wrong.arrive('too late'));
    act(() => right.arrive('kept'));
    await waitFor(() => expect(taken).toEqual(['right.pdf: kept']));
  });

  it('are one where only one is wanted', async () => {
    begin();
    drop(file('a.pdf'), file('b.pdf'));
    await nth(1);
    expect(screen.queryByText('b.pdf')).toBeNull();
  });
});

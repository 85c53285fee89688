// @vitest-environment happy-dom
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useKeys } from '../../shared/ui';
import { session } from '../../testing/data';
import { show } from '../../testing/show';
import { useHeldKeys } from './useHeldKeys';

let done: string[] = [];

/** A list whose scripts are drawn when the test says so. */
function Desk({ several = false, paper = false }: { several?: boolean; paper?: boolean }) {
  const [here, setHere] = useState(1);
  const [drawn, setDrawn] = useState(0);
  useHeldKeys(here === drawn, several);
  useKeys({
    arrowdown: () => setHere(here + 1),
    t: () => done.push(`take ${drawn}`),
    d: () => done.push(`done ${drawn}`),
    h: () => done.push(`hand over ${drawn}`),
    r: () => {
      done.push(`write ${drawn}`);
      document.querySelector('textarea')?.focus();
    },
    w: () => done.push('write to somebody'),
  });
  return (
    <>
      <button onClick={() => setDrawn(here)}>Draw</button>
      {paper && <textarea />}
    </>
  );
}

const press = (...keys: string[]) =>
  keys.forEach((key) => fireEvent.keyDown(document.activeElement ?? document.body, { key }));
const drawIt = () => fireEvent.click(screen.getByRole('button', { name: 'Draw' }));

describe('keys that mean a conversation', () => {
  beforeEach(() => {
    done = [];
  });

  it('wait for it when they are faster, and never mean the one before', async () => {
    show(<Desk />);
    press('t');
    expect(done).toEqual([]);
    drawIt();
    await waitFor(() => expect(done).toEqual(['take 1']));
    press('d');
    expect(done).toEqual(['take 1', 'done 1']);
  });

  it('keep their order with the steps between them', async () => {
    show(<Desk />);
    press('t', 'ArrowDown', 'd', 'ArrowDown', 't');
    drawIt();
    await waitFor(() => expect(done).toEqual(['take 1']));
    await waitFor(() => {
      drawIt();
      expect(done).toEqual(['take 1', 'done 2', 'take 3']);
    });
  });

  it('are taken back with Escape, and forgotten when it takes too long', async () => {
    show(<Desk />);
    press('t', 'Escape', 'd');
    drawIt();
    await waitFor(() => expect(done).toEqual(['done 1']));
    press('ArrowDown', 't');
    const now = Date.now();
    vi.spyOn(Date, 'now').mockReturnValue(now + 4_000);
    drawIt();
    press('d');
    expect(done).toEqual(['done 1', 'done 2']);
    vi.restoreAllMocks();
  });

  it('mean all that are chosen at once, whatever is drawn', () => {
    show(<Desk several />);
    press('d');
    expect(done).toEqual(['done 0']);
  });

  it('are kept however long it takes when they are to be written', async () => {
    show(<Desk paper />);
    press('r', ...'yes');
    const now = Date.now();
    vi.spyOn(Date, 'now').mockReturnValue(now + 5_000);
    press(...'we do');
    expect(done).toEqual([]);
    drawIt();
    const typed: string[] = [];
    document.execCommand = (_: string, __?: boolean, letter = '') => typed.push(letter) > 0;
    await waitFor(() => expect(typed.join('')).toBe('yeswe do'));
    expect(done).toEqual(['write 1']);
    vi.restoreAllMocks();
  });

  it('do nothing for who has switched single letters off', () => {
    show(<Desk />, {}, { ...session, page: { ...session.page, letterKeys: false } });
    press('t', 'd');
    drawIt();
    press('t', 'ArrowDown');
    expect(done).toEqual([]);
  });

  it('are no commands when they were to be written, and there is no paper', async () => {
    show(<Desk />);
    press('r', 'h', 'd');
    drawIt();
    await waitFor(() => expect(done).toEqual(['write 1']));
    press('t', 'w', 'd');
    expect(done).toEqual(['write 1']);
    const now = Date.now();
    vi.spyOn(Date, 'now').mockReturnValue(now + 2_000);
    press('t');
    expect(done).toEqual(['write 1', 'take 1']);
    vi.restoreAllMocks();
  });
});

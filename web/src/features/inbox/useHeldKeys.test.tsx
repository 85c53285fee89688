// @vitest-environment happy-dom
import { fireEvent, render, screen, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { createMemoryRouter, Link, RouterProvider, useParams } from 'react-router';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { drawNow, MeContext, StandsAt, useKeys } from '../../shared/ui';
import { session } from '../../testing/data';
import { show } from '../../testing/show';
import { useHeldKeys } from './useHeldKeys';

let done: string[] = [];

/** A list whose scripts are drawn when the test says so. */
function Desk({ several = false, paper = false }: { several?: boolean; paper?: boolean }) {
  const [here, setHere] = useState(1);
  const [drawn, setDrawn] = useState(0);
  const [named, setNamed] = useState(false);
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
    y: () => done.push(`writer of ${drawn}`),
    j: () => done.push(`second writer of ${drawn}`),
    p: () => {
      done.push(`new customer ${drawn}`);
      setNamed(true);
    },
  });
  return (
    <>
      {named && <input ref={(field) => field?.focus()} />}
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

  it('never say that a customer is the writer who has not been seen yet', async () => {
    show(<Desk />);
    press('y');
    drawIt();
    press('y', 'ArrowDown', 'j', 't', 'y');
    drawIt();
    await waitFor(() => expect(done).toEqual(['writer of 1', 'take 2']));
    press('j');
    expect(done).toEqual(['writer of 1', 'take 2', 'second writer of 2']);
  });

  it('begin a new customer whose name can be typed on at once', async () => {
    const typed: string[] = [];
    document.execCommand = (_: string, __?: boolean, letter = '') => typed.push(letter) > 0;
    show(<Desk />);
    press('p', ...'Joy');
    drawIt();
    await waitFor(() => expect(typed.join('')).toBe('Joy'));
    expect(done).toEqual(['new customer 1']);
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

/** A script with a link to the next one, as a strip of drafts has it. */
function Linked() {
  const id = Number(useParams()['id']);
  useHeldKeys(true, false);
  useKeys({ t: () => done.push(`take ${id}`) });
  return <Link to={`/inbox/${id + 1}`}>After {id}</Link>;
}

it('a key right after a link means the conversation it leads to', async () => {
  // Drawn as in a browser: not all at once when a test has ended its step.
  vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false);
  done = [];
  const router = createMemoryRouter([{ path: '/inbox/:id', element: <Linked /> }], { initialEntries: ['/inbox/1'] });
  render(
    <MeContext.Provider value={session}>
      <StandsAt.Provider value={() => router.state.location.pathname}>
        <RouterProvider router={router} flushSync={drawNow} />
      </StandsAt.Provider>
    </MeContext.Provider>,
  );
  const link = await screen.findByRole('link', { name: 'After 1' });
  press('t');
  link.click();
  document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 't', bubbles: true, cancelable: true }));
  expect(done).toEqual(['take 1']);
  await vi.waitFor(() => expect(done).toEqual(['take 1', 'take 2']));
});

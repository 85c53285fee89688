// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { Conversation } from '../../shared/api';
import type { Left } from '../../shared/sentence';
import { conversation, maren, priya } from '../../testing/data';
import { show } from '../../testing/show';
import { Ribbon } from './Ribbon';

const WIDTH = 1_200;

/** A person who waits, so many seconds before the promise is broken. */
const waits = (id: number, secondsLeft: number, more: Partial<Conversation> = {}) =>
  conversation(id, { secondsLeft, dueAt: new Date(Date.UTC(2026, 5, 9, 19, 5, secondsLeft)).toISOString(), ...more });

const late = waits(1, -3_900, { customerName: 'Greta Moss', owner: priya, lastWords: 'Is anybody there?' });
const soon = waits(2, 12 * 60, { owner: maren });
const fine = waits(3, 3 * 3_600);

function look(waiting: Conversation[], left?: Left) {
  const onOpen = vi.fn();
  const onLeft = vi.fn();
  show(
    <Ribbon
      waiting={waiting}
      me={maren.id}
      zone="America/Chicago"
      chosen={undefined}
      left={left}
      onOpen={onOpen}
      onLeft={onLeft}
    />,
  );
  return { onOpen, onLeft };
}

const ribbon = () => screen.getByRole('region', { name: 'Time ribbon' });

beforeEach(() => {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      disconnect() {}
    },
  );
});

describe('the time ribbon', () => {
  it('says in words how the front office stands', () => {
    look([late, soon, fine]);
    expect(ribbon().textContent).toContain('1 late, 1 within the hour, 1 later, next promise 14:17');
  });

  it('reads each mark to whoever points at it or comes to it by key, and opens it', () => {
    const { onOpen } = look([late, soon, fine]);
    const [first] = screen.getAllByRole('link');
    expect(first?.getAttribute('aria-label')).toBe('Greta Moss, late 1 h 05, Priya Nandakumar: Is anybody there?');
    fireEvent.focus(first as HTMLElement);
    fireEvent.keyDown(first as HTMLElement, { key: 'ArrowRight' });
    expect(document.activeElement?.getAttribute('aria-label')).toContain('12 min left, Maren Oduya');
    fireEvent.keyDown(document.activeElement as Element, { key: 'ArrowRight' });
    fireEvent.keyDown(document.activeElement as Element, { key: 'ArrowRight' });
    expect(document.activeElement?.getAttribute('aria-label')).toContain('3 h 00 left, nobody’s');
    fireEvent.click(document.activeElement as Element);
    expect(onOpen).toHaveBeenCalledWith(3);
    fireEvent.pointerEnter(first as HTMLElement);
    expect(ribbon().textContent).toContain('Greta Moss, late 1 h 05');
  });

  it('has one mark a key reaches first, the more urgent further left', () => {
    look([late, soon, fine]);
    const marks = screen.getAllByRole('link');
    expect(marks.map((mark) => mark.tabIndex)).toEqual([0, -1, -1]);
    const lefts = marks.map((mark) => Number.parseFloat(mark.parentElement?.style.left ?? ''));
    expect(lefts).toEqual([...lefts].sort((a, b) => a - b));
  });

  it('shows in the list the span that was dragged over, and takes a click for no drag', () => {
    const { onLeft } = look([late, soon, fine]);
    const field = screen.getByRole('list').parentElement as HTMLElement;
    field.getBoundingClientRect = () => ({ left: 0, width: WIDTH }) as DOMRect;
    field.setPointerCapture = () => undefined;
    Object.defineProperty(field, 'clientWidth', { value: WIDTH });
    fireEvent.pointerDown(field, { button: 0, clientX: 10 });
    fireEvent.pointerUp(field, { clientX: 12 });
    expect(onLeft).not.toHaveBeenCalled();
    fireEvent.pointerDown(field, { button: 0, clientX: 0 });
    fireEvent.pointerMove(field, { clientX: 100 });
    fireEvent.pointerMove(field, { clientX: WIDTH * 0.26 });
    expect(ribbon().textContent).toContain('Show what is late');
    fireEvent.pointerUp(field, { clientX: WIDTH * 0.26 });
    expect(onLeft).toHaveBeenCalledTimes(1);
  });

  it('draws of a crowd the most urgent and how many it is, and reaches all by key', () => {
    const crowd = Array.from({ length: 9 }, (_, i) => waits(i + 1, 3 * 3_600 + i));
    const { onLeft } = look(crowd);
    expect(screen.getAllByRole('link')).toHaveLength(9);
    fireEvent.click(screen.getByTitle('9 here; show them'));
    expect(onLeft).toHaveBeenCalledTimes(1);
  });

  it('says when nobody waits', () => {
    look([]);
    expect(ribbon().textContent).toMatch(/nobody|nothing/i);
    expect(screen.queryAllByRole('link')).toEqual([]);
  });
});

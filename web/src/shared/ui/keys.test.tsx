// @vitest-environment happy-dom
import { fireEvent, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { session } from '../../testing/data';
import { show } from '../../testing/show';
import { useKeys } from './keys';

let done: string[] = [];

function Page() {
  useKeys({
    d: () => done.push('d'),
    '?': () => done.push('?'),
    enter: () => done.push('enter'),
    escape: () => done.push('escape'),
    arrowdown: () => done.push('down'),
  });
  return (
    <>
      <input type="checkbox" aria-label="box" />
      <input aria-label="field" />
      <button>button</button>
      <a href="/there">link</a>
      <div role="row" tabIndex={0}>
        row
      </div>
      <p>words</p>
    </>
  );
}

const on = (element: Element, ...keys: string[]) => keys.forEach((key) => fireEvent.keyDown(element, { key }));

describe('single keys', () => {
  beforeEach(() => {
    done = [];
  });

  it('act beside a ticked checkbox, and not in a field', () => {
    show(<Page />);
    on(screen.getByLabelText('box'), 'd', 'Escape');
    on(screen.getByLabelText('field'), 'd', 'Escape');
    expect(done).toEqual(['d', 'escape']);
  });

  it('leave Enter to the button, link or row it is pressed on', () => {
    show(<Page />);
    on(screen.getByRole('button'), 'Enter');
    on(screen.getByRole('link'), 'Enter');
    on(screen.getByRole('row'), 'Enter');
    expect(done).toEqual([]);
    on(screen.getByText('words'), 'Enter');
    expect(done).toEqual(['enter']);
  });

  it('can be switched off where they are single characters; the others stay', () => {
    show(<Page />, {}, { ...session, page: { ...session.page, letterKeys: false } });
    on(document.body, 'd', '?', 'ArrowDown', 'Escape', 'Enter');
    expect(done).toEqual(['down', 'escape', 'enter']);
  });
});

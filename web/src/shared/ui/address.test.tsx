// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider, useNavigate, useParams } from 'react-router';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { drawNow, useAddress, useOpenConversation } from './address';

function Place() {
  const [params, setParams] = useAddress();
  const navigate = useNavigate();
  return (
    <>
      <input
        aria-label="Words"
        value={params.get('find') ?? ''}
        onChange={(event) => setParams({ find: event.target.value }, { replace: true })}
      />
      <button onClick={() => void navigate({ pathname: '/7', search: params.toString() })}>Open</button>
    </>
  );
}

// Drawn as in a browser: not all at once when a test has ended its step.
beforeEach(() => vi.stubGlobal('IS_REACT_ACT_ENVIRONMENT', false));

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

function type(field: HTMLInputElement, letter: string) {
  Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, field.value + letter);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}

it('letters typed faster than the page is drawn are all there, also when something is opened right after them', async () => {
  const router = createMemoryRouter([{ path: '/:id?', element: <Place /> }]);
  render(<RouterProvider router={router} flushSync={drawNow} />);
  const field = await screen.findByRole<HTMLInputElement>('textbox', { name: 'Words' });
  for (const letter of 'rusty') type(field, letter);
  screen.getByRole('button', { name: 'Open' }).click();
  expect(field.value).toBe('rusty');
  expect(router.state.location).toMatchObject({ pathname: '/7', search: '?find=rusty' });
});

function Jump() {
  const open = useOpenConversation();
  return <button onClick={() => open(7)}>Conversation {useParams()['id']}</button>;
}

it('the conversation that was opened is the one that is meant before the next key is pressed', async () => {
  const router = createMemoryRouter([{ path: '/inbox/:id', element: <Jump /> }], { initialEntries: ['/inbox/6'] });
  render(<RouterProvider router={router} flushSync={drawNow} />);
  const button = await screen.findByRole('button', { name: 'Conversation 6' });
  button.click();
  expect(button.textContent).toBe('Conversation 7');
});

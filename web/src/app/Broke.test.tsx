// @vitest-environment happy-dom
import { cleanup, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { NotHere, PlaceBroke } from './Broke';

function visit(problem: Error | undefined, at = '/place') {
  // What is thrown while drawing is written to the console by React as well.
  vi.spyOn(console, 'error').mockImplementation(() => undefined);
  const Place = () => {
    if (problem) throw problem;
    return <p>fine</p>;
  };
  const routes = [
    { path: '/place', element: <Place />, errorElement: <PlaceBroke /> },
    { path: '*', element: <NotHere /> },
  ];
  render(<RouterProvider router={createMemoryRouter(routes, { initialEntries: [at] })} />);
}

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

describe('a place that breaks', () => {
  it('says so, and offers to load the page again', () => {
    visit(new Error('cannot read properties of undefined'));
    expect(screen.getByRole('alert').textContent).toMatch(/Something broke .*What you typed .* is kept/);
    expect(screen.getByRole('button', { name: 'Load the page again' })).toBeTruthy();
  });

  it('says that the program was updated when a part of it is gone', () => {
    visit(new TypeError('Failed to fetch dynamically imported module: http://localhost/assets/SetUp-1.js'));
    expect(screen.getByRole('heading').textContent).toBe('Fabulum was updated');
  });

  it('is not taken for an address where nothing is', () => {
    visit(undefined, '/nowhere');
    expect(screen.getByRole('heading').textContent).toBe('There is nothing at this address');
  });
});

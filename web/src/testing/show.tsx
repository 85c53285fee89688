import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import { ThemeProvider } from '@mui/material';
import { QueryClientProvider } from '@tanstack/react-query';
import { cleanup, configure, render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { MemoryRouter, useLocation } from 'react-router';
import { afterEach, expect, vi } from 'vitest';
import { Readings, type Session } from '../shared/api';
import { MeContext } from '../shared/ui';
import { NowContext } from '../shared/ui/now';
import { theme } from '../theme';
import { NOW, session } from './data';

/** What the page asked the server. */
export interface Asked {
  method: string;
  path: string;
  query: URLSearchParams;
  body: unknown;
}

/** What the server answers, by method and path: a body, or what makes one, now or later, of what was asked. */
export type Answers = Record<string, unknown>;

/** An answer that says no, as the server does. */
export class No {
  constructor(
    readonly status: number,
    readonly kind: string,
    readonly detail: string,
    readonly fields: { field: string; why: string }[] = [],
  ) {}
}

// A machine that builds for everyone may stall for seconds.
configure({ asyncUtilTimeout: 8_000 });

// Nothing is laid out, so no rule of style is worked out; the classes are there.
const unstyled = createCache({ key: 'css' });
unstyled.insert = (_selector, { name }, _sheet, keep) => {
  if (keep) unstyled.inserted[name] = true;
};

// React tells by the event of the moment whether what follows from it is drawn before the next one; without it keys would overtake drawing.
const target = Object.getPrototypeOf(Node.prototype) as { dispatchEvent: (this: Node, event: Event) => boolean };
const { dispatchEvent } = target;
target.dispatchEvent = function (event) {
  const before = window.event;
  window.event = event;
  try {
    return dispatchEvent.call(this, event);
  } finally {
    window.event = before;
  }
};

let unanswered: string[] = [];

async function answered(answer: unknown, asked: Asked): Promise<Response> {
  const body: unknown = await (typeof answer === 'function' ? (answer as (asked: Asked) => unknown)(asked) : answer);
  if (body instanceof No) {
    const problem = { type: `urn:fabulum:problem:${body.kind}`, detail: body.detail, fields: body.fields };
    return new Response(JSON.stringify(problem), { status: body.status });
  }
  return new Response(body === undefined ? '' : JSON.stringify(body));
}

/** Lets nothing out: every request gets one of the answers, and is kept. */
function serve(answers: Answers): Asked[] {
  const all: Asked[] = [];
  vi.stubGlobal('fetch', (path: string, { method = 'GET', body }: RequestInit = {}) => {
    const address = new URL(path, 'http://localhost');
    const sent: unknown = typeof body === 'string' ? JSON.parse(body) : undefined;
    const asked: Asked = { method, path: address.pathname, query: address.searchParams, body: sent };
    all.push(asked);
    const name = `${method} ${address.pathname}`;
    if (name in answers) return answered(answers[name], asked);
    unanswered.push(name);
    return Promise.reject(new TypeError('nothing answers'));
  });
  return all;
}

function Address({ onAddress }: { onAddress: (path: string) => void }) {
  const { pathname, search } = useLocation();
  onAddress(pathname + search);
  return null;
}

/**
 * Shows a part of the page as a person who is signed in sees it. A request nothing answers fails the test.
 *
 * @param at the address at which it begins
 * @returns what the page asked the server, and where it is
 */
export function show(part: ReactElement, answers: Answers = {}, me: Session = session, at = '/') {
  const asked = serve(answers);
  const queries = new Readings({ defaultOptions: { queries: { retry: false, staleTime: 60_000 } } });
  let address = '';
  const page = (inside: ReactElement) => (
    <CacheProvider value={unstyled}>
      <ThemeProvider theme={theme}>
        <QueryClientProvider client={queries}>
          <MemoryRouter initialEntries={[at]}>
            <NowContext.Provider value={new Date(NOW)}>
              <MeContext.Provider value={me}>
                {inside}
                <Address onAddress={(path) => (address = path)} />
              </MeContext.Provider>
            </NowContext.Provider>
          </MemoryRouter>
        </QueryClientProvider>
      </ThemeProvider>
    </CacheProvider>
  );
  const shown = render(page(part));
  return {
    asked,
    /** What is answered from now on; may be changed. */
    answers,
    queries,
    address: () => address,
    /** What the page told the server with this method and path, the bodies only. */
    told: (method: string, path: string) =>
      asked.filter((each) => each.method === method && each.path === path).map(({ body }) => body),
    again: (next: ReactElement) => shown.rerender(page(next)),
  };
}

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  sessionStorage.clear();
  localStorage.clear();
  const left = unanswered;
  unanswered = [];
  expect(left).toEqual([]);
});

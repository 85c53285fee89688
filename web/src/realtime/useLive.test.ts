// @vitest-environment happy-dom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook } from '@testing-library/react';
import { createElement, type ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keys, type LiveMessage } from '../shared/api';
import { session } from '../testing/data';
import { useLive } from './useLive';

/** The server's end of the line, in the test's hands. */
class Line {
  static readonly CLOSED = 2;
  static opened: Line[] = [];
  readyState = 1;
  onmessage?: (event: MessageEvent<string>) => void;
  onerror?: () => void;

  constructor(readonly url: string) {
    Line.opened.push(this);
  }

  static get last(): Line {
    const line = Line.opened.at(-1);
    if (!line) throw new Error('no line is open');
    return line;
  }

  close() {
    this.readyState = Line.CLOSED;
  }

  says(place: string, message: Partial<LiveMessage>) {
    const data = JSON.stringify({ entries: [], by: [], ...message });
    act(() => this.onmessage?.(new MessageEvent('message', { data, lastEventId: place })));
  }

  breaks() {
    this.readyState = Line.CLOSED;
    act(() => this.onerror?.());
  }
}

let queries: QueryClient;

const listen = (onMessage: (message: LiveMessage) => void = () => undefined) =>
  renderHook(({ hears }) => useLive(1, hears), {
    initialProps: { hears: onMessage },
    wrapper: ({ children }: { children: ReactNode }) =>
      createElement(QueryClientProvider, { client: queries }, children),
  });

beforeEach(() => {
  vi.useFakeTimers();
  vi.stubGlobal('EventSource', Line);
  // Alone: how tabs share a line is shown elsewhere.
  Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
  Line.opened = [];
  queries = new QueryClient();
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('the line to the server', () => {
  it('stays open however often who listens changes, and tells the latest', () => {
    const first = vi.fn();
    const second = vi.fn();
    const page = listen(first);
    Line.last.says('a.1', { type: 'BEAT' });
    page.rerender({ hears: second });
    Line.last.says('a.2', { type: 'BEAT' });
    expect(Line.opened).toHaveLength(1);
    expect(first).toHaveBeenCalledTimes(1);
    expect(second).toHaveBeenCalledTimes(1);
  });

  it('reads all again at its first message, since what was read before may be older, and only then', () => {
    queries.setQueryData(keys.lists, 'read before');
    listen();
    Line.last.says('a.1', { type: 'BEAT' });
    expect(queries.getQueryState(keys.lists)?.isInvalidated).toBe(true);
    queries.setQueryData(keys.lists, 'read again');
    Line.last.says('a.2', { type: 'BEAT' });
    expect(queries.getQueryState(keys.lists)?.isInvalidated).toBe(false);
  });

  it('begins where the session was answered, and reads nothing twice', () => {
    queries.setQueryData(keys.session, { ...session, live: 'a.5' });
    listen();
    expect(Line.last.url).toBe('/api/live?after=a.5');
    queries.setQueryData(keys.lists, 'read meanwhile');
    Line.last.says('a.5', { type: 'BEAT' });
    expect(queries.getQueryState(keys.lists)?.isInvalidated).toBe(false);
  });

  it('reads all again all the same where something was read before the session was answered', () => {
    queries.setQueryData(keys.session, { ...session, live: 'a.5' });
    queries.setQueryData(keys.lists, 'read before');
    listen();
    expect(Line.last.url).toBe('/api/live');
    Line.last.says('a.5', { type: 'BEAT' });
    expect(queries.getQueryState(keys.lists)?.isInvalidated).toBe(true);
  });

  it('reads all again when another tab passes on the first message: what came before it may be missing', () => {
    let passOn: ((event: { data: unknown }) => void) | undefined;
    class Channel {
      postMessage = () => undefined;
      close = () => undefined;
      set onmessage(heard: (event: { data: unknown }) => void) {
        passOn = heard;
      }
    }
    vi.stubGlobal('BroadcastChannel', Channel);
    const taken = { request: () => Promise.resolve() };
    Object.defineProperty(navigator, 'locks', { value: taken, configurable: true });
    queries.setQueryData(keys.session, { ...session, live: 'a.5' });
    listen();
    expect(Line.opened).toHaveLength(0);
    queries.setQueryData(keys.lists, 'read meanwhile');
    act(() => passOn?.({ data: { kind: 'said', said: { data: '{"type":"BEAT"}', position: 'a.7' } } }));
    expect(queries.getQueryState(keys.lists)?.isInvalidated).toBe(true);
  });

  it('says when it is lost, and goes on where it stopped', () => {
    const page = listen();
    expect(page.result.current).toBe('opening');
    Line.last.says('a.7', { type: 'BEAT' });
    expect(page.result.current).toBe('live');
    Line.last.breaks();
    expect(page.result.current).toBe('lost');
    act(() => {
      vi.advanceTimersByTime(2_000);
    });
    expect(Line.opened).toHaveLength(2);
    expect(Line.last.url).toBe('/api/live?after=a.7');
    queries.setQueryData(keys.lists, 'read before the break');
    Line.last.says('a.8', { type: 'BEAT' });
    expect(page.result.current).toBe('live');
    expect(queries.getQueryState(keys.lists)?.isInvalidated).toBe(false);
  });

  it('is opened anew when nothing was heard for long, and closed with the page', () => {
    const page = listen();
    Line.last.says('a.1', { type: 'BEAT' });
    const silent = Line.last;
    act(() => {
      vi.advanceTimersByTime(40_000);
    });
    expect(silent.readyState).toBe(Line.CLOSED);
    expect(Line.opened).toHaveLength(2);
    page.unmount();
    expect(Line.last.readyState).toBe(Line.CLOSED);
    act(() => {
      vi.advanceTimersByTime(100_000);
    });
    expect(Line.opened).toHaveLength(2);
  });
});

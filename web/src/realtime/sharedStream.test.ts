// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Said, SharedStream } from './sharedStream';

/** The server's end of a stream. */
class Source {
  static readonly OPEN = 1;
  static readonly CLOSED = 2;
  static opened: Source[] = [];
  readyState = 1;
  onmessage?: (event: MessageEvent<string>) => void;
  onerror?: () => void;

  constructor(readonly url: string) {
    Source.opened.push(this);
  }

  close() {
    this.readyState = Source.CLOSED;
  }

  says(position: string) {
    this.onmessage?.(new MessageEvent('message', { data: `at ${position}`, lastEventId: position }));
  }
}

/** One lock, given to one after the other. */
class Locks {
  private waiting: (() => Promise<unknown>)[] = [];
  private held = false;

  request(_: string, { signal }: { signal: AbortSignal }, work: () => Promise<unknown> | undefined) {
    this.waiting.push(() => (signal.aborted ? Promise.resolve() : (work() ?? Promise.resolve())));
    this.next();
    return Promise.resolve();
  }

  private next() {
    if (this.held) return;
    const first = this.waiting.shift();
    if (!first) return;
    this.held = true;
    void first().then(() => {
      this.held = false;
      this.next();
    });
  }
}

/** Tabs that hear each other at once. */
class Channel {
  static all: Channel[] = [];
  onmessage?: (event: { data: unknown }) => void;

  constructor(readonly name: string) {
    Channel.all.push(this);
  }

  postMessage(data: unknown) {
    Channel.all
      .filter((each) => each !== this && each.name === this.name)
      .forEach((each) => each.onmessage?.({ data }));
  }

  close() {
    Channel.all = Channel.all.filter((each) => each !== this);
  }
}

function tab(name = 'live.1') {
  const heard: string[] = [];
  const hearings: string[] = [];
  const stream = new SharedStream(
    name,
    (after) => `/api/live?after=${after}`,
    { onSaid: ({ position }: Said) => heard.push(position), onHearing: (hearing) => hearings.push(hearing) },
    () => heard.at(-1) ?? '',
  );
  return { stream, heard, hearings };
}

const last = () => Source.opened.at(-1) as Source;

beforeEach(() => {
  Source.opened = [];
  Channel.all = [];
  vi.stubGlobal('EventSource', Source);
  vi.stubGlobal('BroadcastChannel', Channel);
  Object.defineProperty(navigator, 'locks', { value: new Locks(), configurable: true });
});

afterEach(() => {
  vi.unstubAllGlobals();
  Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
});

describe('the stream that all tabs share', () => {
  it('is opened once, however many tabs there are, and all hear it', () => {
    const tabs = Array.from({ length: 8 }, () => tab());
    expect(Source.opened).toHaveLength(1);
    last().says('r-1');
    last().says('r-2');
    expect(tabs.map(({ heard }) => heard)).toEqual(tabs.map(() => ['r-1', 'r-2']));
    expect(tabs[7]?.hearings).toContain('open');
  });

  it('is taken over where it stopped when its tab goes', async () => {
    const one = tab();
    const other = tab();
    last().says('r-7');
    one.stream.close();
    await vi.waitFor(() => expect(Source.opened).toHaveLength(2));
    expect(last().url).toBe('/api/live?after=r-7');
    last().says('r-8');
    expect(other.heard).toEqual(['r-7', 'r-8']);
    expect(one.heard).toEqual(['r-7']);
  });

  it('tells all tabs when it breaks, and only its own tab opens it anew', () => {
    const tabs = [tab(), tab()];
    last().close();
    last().onerror?.();
    expect(tabs.map(({ hearings }) => hearings.at(-1))).toEqual(['closed', 'closed']);
    tabs.forEach(({ stream }) => stream.again());
    expect(Source.opened).toHaveLength(2);
  });

  it('is each tab’s own where tabs cannot agree', () => {
    Object.defineProperty(navigator, 'locks', { value: undefined, configurable: true });
    tab();
    tab();
    expect(Source.opened).toHaveLength(2);
  });

  it('is not shared with somebody else', () => {
    tab('live.1');
    const other = tab('live.2');
    Source.opened[0]?.says('r-1');
    expect(other.heard).toEqual([]);
  });
});

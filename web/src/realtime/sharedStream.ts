/** What the server says, as one tab hears it and tells the others. */
export interface Said {
  data: string;
  /** Where the stream stands then. */
  position: string;
}

/** Whether the server can be heard. */
export type Hearing = 'open' | 'broken' | 'closed';

interface Listener {
  /** `own` is false for what another tab passes on: what was said before this one listened may be missing. */
  onSaid: (said: Said, own: boolean) => void;
  onHearing: (hearing: Hearing) => void;
}

type Told = { kind: 'said'; said: Said } | { kind: 'hearing'; hearing: Hearing } | { kind: 'here' };

/**
 * The server's live stream, opened once for all tabs of a browser: browsers open no more than six connections to a server, and each
 * stream would keep one. One tab holds a lock and listens; it tells the others. When it goes, another one takes over where it stopped.
 * Without locks (a page that is not served securely) each tab listens for itself.
 *
 * @param name the same for all tabs of the person who is signed in
 */
export class SharedStream {
  private source: EventSource | undefined;
  private readonly channel: BroadcastChannel | undefined;
  private readonly closing = new AbortController();
  private release: (() => void) | undefined;
  private leads = false;

  constructor(
    name: string,
    private readonly address: (after: string) => string,
    private readonly listener: Listener,
    /** After which position to listen: of what was heard last in this tab, or where it began to read. */
    private readonly heard: () => string,
  ) {
    const { locks } = navigator as { locks?: LockManager };
    if (locks === undefined || typeof BroadcastChannel === 'undefined') {
      this.lead();
      return;
    }
    this.channel = new BroadcastChannel(name);
    this.channel.onmessage = ({ data }: MessageEvent<Told>) => this.told(data);
    this.channel.postMessage({ kind: 'here' } satisfies Told);
    locks
      .request(name, { signal: this.closing.signal }, () => {
        if (this.closing.signal.aborted) return undefined;
        this.lead();
        return new Promise<void>((resolve) => (this.release = resolve));
      })
      .catch(() => undefined);
  }

  /** Opens the stream again, in the tab that listens. */
  again(): void {
    if (this.leads) this.open();
  }

  /** Opens the stream again where it is not open, in the tab that listens. */
  wake(): void {
    if (this.leads && this.source?.readyState !== EventSource.OPEN) this.open();
  }

  close(): void {
    this.closing.abort();
    this.source?.close();
    this.release?.();
    this.channel?.close();
  }

  private told(told: Told): void {
    if (told.kind === 'said') this.listener.onSaid(told.said, false);
    else if (told.kind === 'hearing') this.listener.onHearing(told.hearing);
    else if (this.leads && this.source?.readyState === EventSource.OPEN) {
      this.tell({ kind: 'hearing', hearing: 'open' });
    }
  }

  private tell(told: Told): void {
    this.channel?.postMessage(told);
  }

  private hearing(hearing: Hearing): void {
    this.tell({ kind: 'hearing', hearing });
    this.listener.onHearing(hearing);
  }

  private lead(): void {
    this.leads = true;
    this.open();
  }

  private open(): void {
    this.source?.close();
    const source = new EventSource(this.address(this.heard()));
    this.source = source;
    source.onmessage = ({ data, lastEventId }: MessageEvent<string>) => {
      const said = { data, position: lastEventId };
      this.tell({ kind: 'said', said });
      this.listener.onSaid(said, true);
    };
    source.onerror = () => this.hearing(source.readyState === EventSource.CLOSED ? 'closed' : 'broken');
  }
}

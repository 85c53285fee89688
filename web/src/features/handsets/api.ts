/** The stand-in's own protocol, as `docs/network-api.md` has it; it is no part of Fabulum's API. */
export interface Named {
  number: string;
  name: string;
}

export interface Faults {
  down: boolean;
  strangeKey: boolean;
  delayMillis: number;
  refuse: number;
  refuseForGood: number;
  loseAnswers: number;
  failWith: string | null;
  repeat: number;
  outOfOrder: boolean;
  loseMedia: number;
  spoilMedia: number;
}

/** What goes with a text; without a file it is not on the handset. */
export interface Media {
  name: string | null;
  type: string | null;
  octets: number;
  file: string | null;
}

/** A file of this computer as the handset sends it. */
export async function asMedia(file: File): Promise<{ name: string; type: string; data: string }> {
  const octets = new Uint8Array(await file.arrayBuffer());
  let binary = '';
  for (const octet of octets) binary += String.fromCharCode(octet);
  return { name: file.name, type: file.type, data: btoa(binary) };
}

export type HandsetState = 'ON' | 'OFF' | 'GONE';

export interface Overview {
  directory: { lines: Named[]; people: Named[] };
  handsets: string[];
  faults: Faults;
}

export interface Sent {
  id: string;
  from: string;
  to: string;
  body: string;
  receivedAt: string;
  media?: Media[] | null;
  group?: string[] | null;
}

export interface HandsetScript {
  number: string;
  state: HandsetState;
  arrived: {
    id: string;
    from: string;
    body: string;
    acceptedAt: string;
    media?: Media[] | null;
    group?: string[] | null;
  }[];
  sent: Sent[];
  /** What others sent to a group this handset is in. */
  heard: Sent[];
}

export async function call<T>(method: string, path: string, body?: unknown): Promise<T> {
  const response = await fetch(path, {
    method,
    headers: body === undefined ? {} : { 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  });
  const text = await response.text();
  const answer: unknown = text === '' ? undefined : JSON.parse(text);
  if (!response.ok)
    throw new Error((answer as { reason?: string } | undefined)?.reason ?? 'The network does not answer.');
  return answer as T;
}

export interface Mail {
  id: string;
  to: string;
  from: string;
  subject: string;
  words: string;
  at: string;
}

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
}

export type HandsetState = 'ON' | 'OFF' | 'GONE';

export interface Overview {
  directory: { lines: Named[]; people: Named[] };
  handsets: string[];
  faults: Faults;
}

export interface HandsetScript {
  number: string;
  state: HandsetState;
  arrived: { id: string; from: string; body: string; acceptedAt: string }[];
  sent: { id: string; to: string; body: string; receivedAt: string }[];
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

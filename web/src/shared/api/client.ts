export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** A problem document of the server, or the lack of an answer. */
export class ApiProblem extends Error {
  constructor(
    readonly type: string,
    readonly status: number,
    detail: string,
    readonly fields: { field: string; why: string }[] = [],
  ) {
    super(detail);
  }

  /** Whether it is unknown if the server did what was asked. */
  get unclear(): boolean {
    return this.status === 0 || this.status >= 500;
  }
}

interface ProblemDocument {
  type?: string;
  title?: string;
  detail?: string;
  fields?: { field: string; why: string }[];
}

type SignedOutListener = () => void;
let signedOut: SignedOutListener = () => undefined;

/** Says whom to tell when the server no longer knows us. */
export function onSignedOut(listener: SignedOutListener): void {
  signedOut = listener;
}

let sessions = 0;

/** Another session holds from now on, or none: what was asked before says nothing of it, however late it is answered. */
export function sessionChanged(): void {
  sessions++;
}

/** A request without an answer by then has failed, and what was pressed can be pressed again. */
export const PATIENCE_MS = 30_000;

const OFFLINE =
  'This computer is offline, so nothing was done. What you were writing is kept; try again when the connection is back.';
const SILENT = 'The server does not answer just now. What you were writing is kept.';

/** Whether the browser says that there is no connection at all. */
export function isOffline(): boolean {
  return !navigator.onLine;
}

/** Why there is no answer at all. */
export function noAnswer(): ApiProblem {
  return noConnection(isOffline() ? OFFLINE : SILENT);
}

function noConnection(detail: string): ApiProblem {
  return new ApiProblem('urn:fabulum:problem:no-connection', 0, detail);
}

export function csrfToken(): string {
  const found = /(?:^|; )XSRF-TOKEN=([^;]*)/.exec(document.cookie);
  return found?.[1] ? decodeURIComponent(found[1]) : '';
}

function answer(text: string): unknown {
  return text === '' ? undefined : (JSON.parse(text) as unknown);
}

/** The problem that an answer tells of. */
export function problemOf(status: number, text: string): ApiProblem {
  let document: ProblemDocument | undefined;
  try {
    document = answer(text) as ProblemDocument | undefined;
  } catch {
    // Something between here and the server has answered.
  }
  return new ApiProblem(
    document?.type ?? `urn:fabulum:problem:status-${status}`,
    status,
    document?.detail ?? 'The server gave an answer that could not be read. What you were writing is kept.',
    document?.fields,
  );
}

/**
 * Sends a request and reads its answer, whatever it is; {@link ask} ties both to the address.
 *
 * @throws {ApiProblem} for everything but success
 */
export async function request(method: Method, path: string, body?: unknown, keepalive = false): Promise<unknown> {
  const headers: Record<string, string> = { Accept: 'application/json' };
  if (method !== 'GET') headers['X-XSRF-TOKEN'] = csrfToken();
  if (body !== undefined) headers['Content-Type'] = 'application/json';
  // Kept for later, acts would overtake each other when the connection is back.
  if (method !== 'GET' && isOffline()) throw noConnection(OFFLINE);
  const asked = sessions;
  const answered = await fetch(path, {
    method,
    headers,
    keepalive,
    body: body === undefined ? undefined : JSON.stringify(body),
    signal: AbortSignal.timeout(PATIENCE_MS),
  })
    .then(async (response) => {
      const text = await response.text();
      return response.ok ? answer(text) : problemOf(response.status, text);
    })
    .catch(noAnswer);
  if (!(answered instanceof ApiProblem)) return answered;
  if (answered.type === 'urn:fabulum:problem:not-signed-in' && asked === sessions) signedOut();
  throw answered;
}

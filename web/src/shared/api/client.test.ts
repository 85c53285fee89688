// @vitest-environment happy-dom
import { QueryClient, QueryObserver } from '@tanstack/react-query';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { session } from '../../testing/data';
import { ApiProblem, ask, beginSession, endSession, keys, onSignedOut, rescued, sessionQuery } from '.';

afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
  localStorage.clear();
});

describe('asking the server', () => {
  it('refuses at once what is pressed offline, so that nothing overtakes anything later', async () => {
    const fetched = vi.fn();
    vi.stubGlobal('fetch', fetched);
    vi.spyOn(navigator, 'onLine', 'get').mockReturnValue(false);
    const problem = await ask('POST', '/api/conversations/{id}/reopen', { path: { id: 1 } }).catch(
      (why: unknown) => why,
    );
    expect(problem).toBeInstanceOf(ApiProblem);
    expect((problem as ApiProblem).message).toMatch(/offline, so nothing was done/);
    expect(fetched).not.toHaveBeenCalled();
  });

  it('gives up after thirty seconds', async () => {
    const waits = vi.spyOn(AbortSignal, 'timeout').mockReturnValue(AbortSignal.abort());
    vi.stubGlobal('fetch', (_: string, { signal }: RequestInit) =>
      signal?.aborted ? Promise.reject(new DOMException('too long', 'TimeoutError')) : new Promise(() => undefined),
    );
    await expect(ask('GET', '/api/lines')).rejects.toThrow('The server does not answer just now.');
    expect(waits).toHaveBeenCalledWith(30_000);
  });
});

describe('the end of a session', () => {
  it('leaves nothing of one person for the next, and gives the same person back what only this page had', () => {
    const queries = new QueryClient();
    const fill = () => {
      localStorage.setItem('fabulum.draft.1.7.REPLY', 'mine');
      queries.setQueryData(keys.dossier(7), { secret: true });
    };
    fill();
    endSession(queries);
    expect(Object.keys(localStorage)).toEqual([]);
    expect(queries.getQueryData(keys.dossier(7))).toBeUndefined();
    expect(queries.getQueryData(keys.session)).toBeNull();
    beginSession(queries, { ...session, staff: { ...session.staff, id: 2 } });
    expect(Object.keys(localStorage)).toEqual([]);
    expect(rescued()).toBe(0);

    fill();
    endSession(queries);
    beginSession(queries, session);
    expect(localStorage.getItem('fabulum.draft.1.7.REPLY')).toBe('mine');
  });

  it('is not brought about by what was asked in the session before, however late the answer is', async () => {
    const queries = new QueryClient();
    onSignedOut(() => endSession(queries));
    const late: ((no: Response) => void)[] = [];
    vi.stubGlobal('fetch', () => new Promise<Response>((answer) => late.push(answer)));
    const no = () => new Response('{"type":"urn:fabulum:problem:not-signed-in"}', { status: 401 });
    const watch = () => ask('DELETE', '/api/conversations/{id}/watch', { path: { id: 1 } }).catch(() => undefined);
    const before: Promise<unknown>[] = [watch()];
    endSession(queries);
    before.push(
      watch(),
      queries.fetchQuery({ ...sessionQuery, staleTime: 0 }).catch(() => undefined),
    );
    beginSession(queries, session);
    late.forEach((answer) => answer(no()));
    await Promise.all(before);
    expect(queries.getQueryData(keys.session)).toEqual(session);

    const now = watch();
    late.at(-1)?.(no());
    await now;
    expect(queries.getQueryData(keys.session)).toBeNull();
  });

  it('is heard at once by whoever watches the session', () => {
    const queries = new QueryClient();
    queries.setQueryData(keys.session, session);
    const watching = new QueryObserver(queries, sessionQuery);
    watching.subscribe(() => undefined);
    endSession(queries);
    expect(watching.getCurrentResult().data).toBeNull();
    watching.destroy();
  });
});

import { useEffect, useRef, useState } from 'react';
import { ApiProblem } from '../api';

/** A file on its way. */
export interface Upload {
  id: number;
  name: string;
  /** How much has gone, from 0 to 1. */
  gone: number;
  /** Why it did not arrive. */
  problem?: ApiProblem | undefined;
}

type Send<T> = (file: File, going: { onGone: (share: number) => void; signal: AbortSignal }) => Promise<T>;

/**
 * Files that are sent one after the other. What arrived leaves the list and is told; what did not stays, to be sent again or removed.
 * Leaving the page stops them all, but those that go on: they are told all the same.
 */
export function useUploads<T>(send: Send<T>, onTaken: (answer: T, file: File) => void, { goesOn = false } = {}) {
  const [uploads, setUploads] = useState<Upload[]>([]);
  const files = useRef(new Map<number, { file: File; stop: AbortController }>());
  const last = useRef(0);
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const change = (id: number, next: Partial<Upload>) =>
    setUploads((all) => all.map((one) => (one.id === id ? { ...one, ...next } : one)));
  const remove = (id: number) => {
    files.current.get(id)?.stop.abort();
    files.current.delete(id);
    setUploads((all) => all.filter((one) => one.id !== id));
  };
  const go = (id: number) => {
    queue.current = queue.current.then(async () => {
      const one = files.current.get(id);
      if (!one) return;
      const stopped = new Promise<undefined>((end) => one.stop.signal.addEventListener('abort', () => end(undefined)));
      const sent = send(one.file, { onGone: (gone) => change(id, { gone }), signal: one.stop.signal });
      await Promise.race([
        stopped,
        sent.then(
          (answer) => {
            if (!files.current.has(id)) return;
            remove(id);
            onTaken(answer, one.file);
          },
          (problem: unknown) =>
            change(id, { problem: problem instanceof ApiProblem ? problem : new ApiProblem('', 0, String(problem)) }),
        ),
      ]);
    });
  };
  useEffect(() => {
    const { current } = files;
    return () => {
      if (!goesOn) current.forEach(({ stop }) => stop.abort());
    };
  }, [goesOn]);
  return {
    uploads,
    add: (added: Iterable<File>) => {
      for (const file of added) {
        const id = ++last.current;
        files.current.set(id, { file, stop: new AbortController() });
        setUploads((all) => [...all, { id, name: file.name, gone: 0 }]);
        go(id);
      }
    },
    again: (id: number) => {
      change(id, { problem: undefined, gone: 0 });
      go(id);
    },
    remove,
  };
}

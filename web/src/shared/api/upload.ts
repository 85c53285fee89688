import { addressOf, type Answer } from './ask';
import { type ApiProblem, csrfToken, noAnswer, PATIENCE_MS, problemOf } from './client';
import type { paths } from './schema';

interface TakesFiles {
  post: { requestBody?: { content: { 'multipart/form-data': object } } };
}

/** The addresses that take a file. */
export type FileAddress = { [A in keyof paths]: paths[A] extends TakesFiles ? A : never }[keyof paths];

interface Sending {
  /** Told how much has gone, from 0 to 1. */
  onGone: (share: number) => void;
  /** Stops it. */
  signal: AbortSignal;
  /** The variable parts of the address. */
  path?: Record<string, number>;
}

/**
 * Sends a file; a fetch cannot say how much of it has gone. When nothing moves for as long as a request may take, it is given up.
 * Stopped, it never ends.
 *
 * @throws {ApiProblem} for everything but success
 */
export function upload<A extends FileAddress>(
  address: A,
  file: File,
  { onGone, signal, path }: Sending,
): Promise<Answer<paths[A]['post']>> {
  return new Promise((taken, failed: (problem: ApiProblem) => void) => {
    const request = new XMLHttpRequest();
    let silence: ReturnType<typeof setTimeout> | undefined;
    const heard = () => {
      clearTimeout(silence);
      silence = setTimeout(() => {
        request.abort();
        failed(noAnswer());
      }, PATIENCE_MS);
    };
    request.open('POST', addressOf(address, path ? { path } : {}));
    request.setRequestHeader('Accept', 'application/json');
    request.setRequestHeader('X-XSRF-TOKEN', csrfToken());
    request.upload.onprogress = ({ loaded, total }) => {
      heard();
      onGone(total > 0 ? loaded / total : 0);
    };
    request.onload = () => {
      clearTimeout(silence);
      const { status, responseText } = request;
      if (status >= 200 && status < 300) taken(JSON.parse(responseText) as Answer<paths[A]['post']>);
      else failed(problemOf(status, responseText));
    };
    request.onerror = () => {
      clearTimeout(silence);
      failed(noAnswer());
    };
    signal.addEventListener('abort', () => {
      clearTimeout(silence);
      request.abort();
    });
    const form = new FormData();
    form.append('file', file);
    heard();
    request.send(form);
  });
}

import { type Method, request } from './client';
import type { paths } from './schema';

/** An operation of the API as its description has it. */
type Operation<M extends Method, A extends keyof paths> = paths[A][Lowercase<M>];

/** The addresses that take a method, with the names of their variable parts in braces. */
export type Address<M extends Method> = {
  [A in keyof paths]: Operation<M, A> extends { responses: unknown } ? A : never;
}[keyof paths];

type Json<T> = { content: { 'application/json': T } };

/** What an operation answers; undefined for one that answers nothing. */
export type Answer<O> = O extends { responses: { 200: Json<infer T> } } ? T : undefined;

type Path<O> = O extends { parameters: { path: infer P extends object } } ? { path: P } : object;

type Query<O> = O extends { parameters: { query: infer Q extends object } }
  ? { query: Q }
  : O extends { parameters: { query?: infer Q extends object } }
    ? { query?: Q }
    : object;

type Body<O> = O extends { requestBody: Json<infer B> }
  ? { body: B }
  : O extends { requestBody?: Json<infer B> }
    ? { body?: B }
    : object;

/** What an operation is asked with. */
export type Given<O> = Path<O> &
  Query<O> &
  Body<O> & { /** Goes out although the page is being left. */ keepalive?: boolean };

type Rest<G> = object extends G ? [given?: G] : [given: G];

interface AnyGiven {
  path?: Record<string, string | number>;
  query?: Record<string, unknown>;
  body?: unknown;
  keepalive?: boolean;
}

/** An address with its variable parts and its query filled in. What is undefined or empty in a query is left out. */
export function addressOf(address: string, { path = {}, query = {} }: AnyGiven): string {
  const filled = address.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(path[name] ?? ''));
  const asked = new URLSearchParams();
  for (const [name, value] of Object.entries(query))
    for (const each of Array.isArray(value) ? (value as unknown[]) : [value])
      if (typeof each === 'string' ? each !== '' : typeof each === 'number' || typeof each === 'boolean')
        asked.append(name, String(each));
  const said = asked.toString();
  return said === '' ? filled : `${filled}?${said}`;
}

/**
 * Asks the server. What is given and what is answered have the types that the description of the API has for the address.
 *
 * @throws {ApiProblem} for everything but success
 */
export async function ask<M extends Method, A extends Address<M>>(
  method: M,
  address: A,
  ...[given]: Rest<Given<Operation<M, A>>>
): Promise<Answer<Operation<M, A>>> {
  const { body, keepalive, ...where } = (given ?? {}) as AnyGiven;
  return (await request(method, addressOf(address, where), body, keepalive)) as Answer<Operation<M, A>>;
}

import { type Method, request } from './client';
import type { paths } from './schema';

type Json<T> = { content: { 'application/json': T } };

/** What an operation answers; undefined for one that answers nothing. */
export type Answer<O> = O extends { responses: { 200: Json<infer T> } } ? T : undefined;

type Path<P> = P extends { path: infer V extends object } ? { path: V } : object;

type Query<P> = P extends { query: infer V extends object }
  ? { query: V }
  : P extends { query?: infer V extends object }
    ? { query?: V }
    : object;

type Body<O> = O extends { requestBody: Json<infer B> }
  ? { body: B }
  : O extends { requestBody?: Json<infer B> }
    ? { body?: B }
    : object;

/** What an operation is asked with. */
type Given<O> = O extends { parameters: infer P }
  ? Path<P> & Query<P> & Body<O> & { /** Goes out although the page is being left. */ keepalive?: boolean }
  : never;

type Rest<G> = object extends G ? [given?: G] : [given: G];

/** By address, what an operation of the API is asked with and what it answers, as the description of the API has it. */
type Operations<V extends Lowercase<Method>> = {
  [A in keyof paths as paths[A][V] extends { responses: unknown } ? A : never]: {
    rest: Rest<Given<paths[A][V]>>;
    answer: Answer<paths[A][V]>;
  };
};

interface Api {
  GET: Operations<'get'>;
  POST: Operations<'post'>;
  PUT: Operations<'put'>;
  DELETE: Operations<'delete'>;
}

/** The addresses that take a method, with the names of their variable parts in braces. */
type Address<M extends Method> = keyof Api[M];

type Operation<M extends Method, A extends Address<M>> = Api[M][A] extends infer O extends {
  rest: unknown[];
  answer: unknown;
}
  ? O
  : never;

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
export function ask<M extends Method, A extends Address<M>>(
  method: M,
  address: A,
  ...given: Operation<M, A>['rest']
): Promise<Operation<M, A>['answer']>;
export async function ask(method: Method, address: string, given: AnyGiven = {}): Promise<unknown> {
  const { body, keepalive, ...where } = given;
  return request(method, addressOf(address, where), body, keepalive);
}

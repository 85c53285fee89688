import { after, counted, part, type Part } from './grammar';
import { type Named, named } from './onFile';

/** How a part of a sentence is said that names one thing by its id. */
export interface OneOf<G> {
  menu?: string;
  byLink?: boolean;
  lead: string;
  name: string;
  /** What stands there while nothing is chosen; without it, it is in the menu. */
  any?: string;
  options: (given: G) => Named[];
}

/** A part that names one thing by its id. */
export function oneOf<S extends Partial<Record<K, number>>, K extends keyof S & string, G>(
  field: K,
  { menu, byLink, lead, name, any, options }: OneOf<G>,
): Part<S, G> {
  return part<S, K, G>({
    field,
    unsaid: undefined as S[K],
    ...(menu === undefined ? {} : { menu }),
    ...(byLink === undefined ? {} : { byLink }),
    ...(any === undefined ? { begin: (given) => options(given)[0]?.id as S[K] } : {}),
    write: (id) => [`${field} ${id ?? ''}`],
    read: (clause) => counted(after(field, clause)) as S[K] | undefined,
    say: (id, given) => [
      lead,
      {
        kind: 'choice',
        name,
        value: String(id ?? ''),
        options: [...(any === undefined ? [] : [{ value: '', words: any }]), ...known(options(given), id, name)],
        filled: (value) => (value === '' ? undefined : Number(value)) as S[K],
      },
    ],
  });
}

/** What can be chosen; what is said and not to be seen any more is said so. */
function known(all: Named[], id: number | undefined, name: string) {
  const gone = id !== undefined && all.every((one) => one.id !== id);
  return [...all.map(named), ...(gone ? [{ value: String(id), words: `a ${name.toLowerCase()} you cannot see` }] : [])];
}

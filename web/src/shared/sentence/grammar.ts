/**
 * Sentences that are read, written and edited by one definition of each of their parts. A grammar lists the parts in the order in which
 * they are written and shown.
 */

/** A blank that is filled by choosing, with what its filling makes. */
export interface ChoiceBlank<V> {
  kind: 'choice';
  /** What it is about, for those who do not see the sentence. */
  name: string;
  value: string;
  options: { value: string; words: string }[];
  filled: (value: string) => V;
}

/** A blank that is filled by typing. */
export interface TypedBlank<V> {
  kind: 'words' | 'date';
  name: string;
  value: string;
  hint: string;
  filled: (typed: string) => V;
}

/** Words that stand there, or a blank. */
export type Piece<V> = string | ChoiceBlank<V> | TypedBlank<V>;

/** How one field of a sentence is said. */
interface Definition<S, K extends keyof S, G> {
  field: K;
  /** What it is while nothing is said of it. */
  unsaid: S[K];
  /** What the menu offers it as; without it, it always stands there. */
  menu?: string;
  /** Said only by a link: the menu does not offer it. */
  byLink?: boolean;
  /** What it says as soon as it is asked for; empty when the person goes on from the unsaid. */
  begin?: (given: G) => S[K];
  /** As texts of sentences have it: nothing, or one or more clauses. */
  write: (value: S[K]) => string[];
  /** Reads a clause; undefined when that is not one of this part, or cannot be. */
  read: (clause: string, value: S[K]) => S[K] | undefined;
  /** Whether it has several clauses, and `read` is asked also when something is said already. */
  goesOn?: boolean;
  /** As people read and edit it. */
  say: (value: S[K], given: G) => Piece<S[K]>[];
}

/** A part of sentences S, shown with what is given in G. */
export interface Part<S, G> {
  field: keyof S;
  menu: string | undefined;
  byLink: boolean;
  isSaid: (sentence: S) => boolean;
  begin: (sentence: S, given: G) => S;
  leave: (sentence: S) => S;
  write: (sentence: S) => string[];
  read: (sentence: S, clause: string) => S | undefined;
  say: (sentence: S, given: G) => Piece<S>[];
}

/** Makes a part of a definition. */
export function part<S extends object, K extends keyof S, G>(of: Definition<S, K, G>): Part<S, G> {
  const { field, unsaid } = of;
  const put = (sentence: S, value: S[K]): S => ({ ...sentence, [field]: value });
  const isSaid = (sentence: S) => sentence[field] !== unsaid;
  return {
    field,
    menu: of.menu,
    byLink: of.byLink ?? false,
    isSaid,
    begin: (sentence, given) => put(sentence, of.begin ? of.begin(given) : unsaid),
    leave: (sentence) => put(sentence, unsaid),
    write: (sentence) => (isSaid(sentence) ? of.write(sentence[field]) : []),
    read: (sentence, clause) => {
      if (isSaid(sentence) && !of.goesOn) return undefined;
      const value = of.read(clause, sentence[field]);
      return value === undefined ? undefined : put(sentence, value);
    },
    say: (sentence, given) =>
      of.say(sentence[field], given).map((piece) => {
        if (typeof piece === 'string') return piece;
        const { filled } = piece;
        return { ...piece, filled: (value: string) => put(sentence, filled(value)) };
      }),
  };
}

export interface Grammar<S, G> {
  /** The sentence that says nothing in particular. */
  nothing: S;
  parts: Part<S, G>[];
}

/** The text of a sentence; what is left open is left out. */
export function writeIn<S, G>({ parts }: Grammar<S, G>, sentence: S): string {
  return parts.flatMap((each) => each.write(sentence)).join('; ');
}

/** What a text says; clauses that cannot be read, or are said twice, are left out, so that an address someone typed still shows a list. */
export function readIn<S, G>({ parts, nothing }: Grammar<S, G>, text: string): S {
  return clauses(text).reduce((sentence, clause) => {
    for (const each of parts) {
      const next = each.read(sentence, clause);
      if (next !== undefined) return next;
    }
    return sentence;
  }, nothing);
}

function clauses(text: string): string[] {
  const plain = text.replace(/[\s\p{Z}\uFEFF]/gu, ' ');
  return (plain.match(/(?:\\.|[^;\\]|\\$)+/gs) ?? [])
    .map((clause) => clause.replace(/\\(.)/gs, '$1').trim())
    .filter(Boolean);
}

/** Words as a text has them after a keyword. */
export function quoted(words: string): string {
  return words.trim().replace(/[\\;]/g, '\\$&');
}

/** What follows a keyword; undefined for a clause that does not begin with it. */
export function after(keyword: string, clause: string): string | undefined {
  return clause.startsWith(`${keyword} `) ? clause.slice(keyword.length + 1).trim() : undefined;
}

/** A number from 1 to the most there can be, in digits only. */
export function counted(digits: string | undefined, most = 1e15): number | undefined {
  const found = digits !== undefined && /^\d{1,15}$/.test(digits) ? Number(digits) : 0;
  return found >= 1 && found <= most ? found : undefined;
}

/** The words of a piece as they stand in the sentence. */
export function pieceWords<V>(piece: Piece<V>): string {
  if (typeof piece === 'string') return piece;
  if (piece.kind !== 'choice') return piece.value || '…';
  return piece.options.find((option) => option.value === piece.value)?.words ?? '…';
}

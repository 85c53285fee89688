import { type Days, daysPart } from './days';
import { after, counted, type Grammar, part, type Part, quoted, readIn, writeIn } from './grammar';
import { type Left, leftPart } from './left';
import { detailPart, kindPart, listPart, type Named, named, type OnFile, type OnFileTerms } from './onFile';

/** The sentence that says which conversations a list shows. The server reads and writes the same text; both are tested on one table. */

export type Whose = { kind: 'everyone' | 'mine' | 'nobody' } | { kind: 'team' | 'colleague'; id: number };

export interface Sentence extends OnFile {
  whose: Whose;
  line?: number | undefined;
  site?: number | undefined;
  topic?: number | undefined;
  called: string;
  saying: string;
  toIdentify: boolean;
  failed: boolean;
  unread: boolean;
  left?: Left | undefined;
  days?: Days | undefined;
}

/** What the blanks are filled with. */
export interface Given extends OnFileTerms {
  staff: Named[];
  teams: Named[];
  lines: Named[];
  sites: Named[];
  topics: (Named & { teamId: number; retired: boolean })[];
  /** The day it is on the lines, as 2026-06-09. */
  today: string;
}

const EVERYONE: Whose = { kind: 'everyone' };

export const EVERYTHING: Sentence = {
  whose: EVERYONE,
  called: '',
  saying: '',
  toIdentify: false,
  failed: false,
  unread: false,
  kind: '',
};

const LONGEST_WORDS = 80;

/** A whose as one value of a blank. */
function whoseKey(whose: Whose): string {
  return 'id' in whose ? `${whose.kind} ${whose.id}` : whose.kind;
}

function whoseOf(key: string): Whose {
  const [kind, id] = key.split(' ');
  if (kind === 'team' || kind === 'colleague') return { kind, id: Number(id) };
  return kind === 'mine' || kind === 'nobody' ? { kind } : EVERYONE;
}

function readWhose(clause: string): Whose | undefined {
  if (clause === 'mine') return { kind: 'mine' };
  if (clause === "nobody's") return { kind: 'nobody' };
  for (const kind of ['team', 'colleague'] as const) {
    const id = counted(after(kind, clause));
    if (id !== undefined) return { kind, id };
  }
  return undefined;
}

/** A part that names one thing by its id. */
function oneOf(
  field: 'line' | 'site' | 'topic',
  more: Pick<Part<Sentence, Given>, 'menu'> & {
    lead: string;
    name: string;
    any?: string;
    options: (given: Given) => { value: string; words: string }[];
    begin?: (given: Given) => number | undefined;
  },
): Part<Sentence, Given> {
  const { menu, lead, name, any, options, begin } = more;
  return part<Sentence, 'line' | 'site' | 'topic', Given>({
    field,
    unsaid: undefined,
    ...(menu === undefined ? {} : { menu }),
    ...(begin === undefined ? {} : { begin }),
    write: (id) => [`${field} ${id ?? ''}`],
    read: (clause) => counted(after(field, clause)),
    say: (id, given) => [
      lead,
      {
        kind: 'choice',
        name,
        value: String(id ?? ''),
        options: [...(any === undefined ? [] : [{ value: '', words: any }]), ...options(given)],
        filled: (value) => (value === '' ? undefined : Number(value)),
      },
    ],
  });
}

/** A part that is filled with words. */
function wordsOf(field: 'called' | 'saying', menu: string, name: string, hint: string): Part<Sentence, Given> {
  return part<Sentence, 'called' | 'saying', Given>({
    field,
    unsaid: '',
    menu,
    write: (words) => (words.trim() === '' ? [] : [`${field} ${quoted(words)}`]),
    read: (clause) => {
      const words = after(field, clause);
      return words !== undefined && words.length <= LONGEST_WORDS ? words : undefined;
    },
    say: (value) => [`${field} `, { kind: 'words', name, value, hint, filled: (words) => words }],
  });
}

/** A part that is either said or not. */
function flag(field: 'toIdentify' | 'failed' | 'unread', written: string, words: string): Part<Sentence, Given> {
  return part<Sentence, 'toIdentify' | 'failed' | 'unread', Given>({
    field,
    unsaid: false,
    menu: words,
    begin: () => true,
    write: () => [written],
    read: (clause) => (clause === written ? true : undefined),
    say: () => [words],
  });
}

function topicOptions({ topics, teams }: Given) {
  return topics.map((topic) => {
    const team = teams.find(({ id }) => id === topic.teamId);
    const isOneOfSeveral = topics.some((other) => other.name === topic.name && other.id !== topic.id);
    const of = isOneOfSeveral && team ? `, ${team.name}’s` : '';
    return { value: String(topic.id), words: topic.name + of + (topic.retired ? ' (retired)' : '') };
  });
}

export const CONVERSATIONS: Grammar<Sentence, Given> = {
  nothing: EVERYTHING,
  parts: [
    part<Sentence, 'whose', Given>({
      field: 'whose',
      unsaid: EVERYONE,
      write: (whose) => (whose.kind === 'nobody' ? ["nobody's"] : whose.kind === 'everyone' ? [] : [whoseKey(whose)]),
      read: readWhose,
      say: (whose, { teams, staff }) => [
        {
          kind: 'choice',
          name: 'Whose',
          value: whoseKey(whose),
          options: [
            { value: 'everyone', words: 'all' },
            { value: 'mine', words: 'my' },
            { value: 'nobody', words: 'nobody’s' },
            ...teams.map((team) => ({ value: `team ${team.id}`, words: `${team.name}’s` })),
            ...staff.map((one) => ({ value: `colleague ${one.id}`, words: `${one.name}’s` })),
          ],
          filled: whoseOf,
        },
        ' conversations',
      ],
    }),
    oneOf('line', {
      menu: undefined,
      lead: ' on ',
      name: 'Line',
      any: 'any line',
      options: ({ lines }) => lines.map(named),
    }),
    oneOf('site', {
      menu: 'at a site',
      lead: 'at ',
      name: 'Site',
      options: ({ sites }) => sites.map(named),
      begin: ({ sites }) => sites[0]?.id,
    }),
    oneOf('topic', {
      menu: 'about a topic',
      lead: 'about ',
      name: 'Topic',
      options: topicOptions,
      begin: ({ topics }) => topics.find((topic) => !topic.retired)?.id,
    }),
    wordsOf('called', 'called … (name, number, boat)', 'Name, number or detail', 'name, number, boat'),
    wordsOf('saying', 'saying … (words in the script)', 'Words in the script', 'words'),
    flag('toIdentify', 'to identify', 'to identify'),
    flag('failed', 'not delivered', 'not delivered'),
    flag('unread', 'unread', 'that I have not read'),
    leftPart(),
    daysPart('by the day of the last text', 'last text '),
    kindPart(),
    listPart(),
    detailPart(),
  ],
};

/** The text of a sentence; what is left open is left out. */
export function writeSentence(sentence: Sentence): string {
  return writeIn(CONVERSATIONS, sentence);
}

/** Reads a sentence; what cannot be read is left out. */
export function readSentence(text: string): Sentence {
  return readIn(CONVERSATIONS, text);
}

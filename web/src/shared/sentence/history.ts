import { BETWEEN, betweenPieces, chosenDays, type Days, dayOptions, readDays, writeDays } from './days';
import { after, counted, type Grammar, part, pieceWords, quoted, readIn, writeIn } from './grammar';
import type { Named } from './onFile';
import { type OneOf, oneOf as oneOfThese } from './oneOf';

/** The sentence that says which of all that was said is shown. The server reads and writes the same text; both are tested on one table. */
export interface HistorySentence {
  what: What;
  line?: number | undefined;
  site?: number | undefined;
  team?: number | undefined;
  conversation?: number | undefined;
  customer?: number | undefined;
  called: string;
  by?: number | undefined;
  origin?: Origin | undefined;
  state?: State | undefined;
  attached: boolean;
  topic?: number | undefined;
  /** Nothing is since the Monday before last. */
  when?: When | undefined;
  match: Match;
  mention: string;
}

/** How the words are looked for. */
type Match = 'all' | 'any' | 'alike';

export type What = 'texts' | 'sent' | 'received' | 'notes' | 'events' | 'everything';
type Origin = 'by a person' | 'automatic';
type State = 'waiting' | 'sent' | 'delivered' | 'read' | 'not delivered';
type When = { ever: true } | Days;

/** What the blanks are filled with. */
export interface HistoryTerms {
  lines: Named[];
  sites: Named[];
  teams: Named[];
  staff: Named[];
  topics: (Named & { teamId: number; retired: boolean })[];
  /** The customer a link is about. */
  customers: Named[];
  /** The day it is on the lines, as 2026-06-09. */
  today: string;
}

export const USUAL_HISTORY: HistorySentence = { what: 'texts', called: '', attached: false, match: 'all', mention: '' };

const LONGEST_CALLED = 80;
export const LONGEST_MENTION = 300;

const WHAT: Record<What, string> = {
  texts: 'texts sent and received',
  sent: 'texts we sent',
  received: 'texts we received',
  notes: 'notes',
  events: 'events',
  everything: 'texts, notes and events',
};
const ORIGIN: Record<Origin, string> = { 'by a person': 'by a person', automatic: 'sent or done by Fabulum itself' };
const STATE: Record<State, string> = {
  waiting: 'waiting to go',
  sent: 'sent, not reported yet',
  delivered: 'delivered',
  read: 'read',
  'not delivered': 'not delivered',
};

const MATCH: Record<Exclude<Match, 'all'>, string> = {
  any: 'with any of the words',
  alike: 'by meaning, not word for word',
};

const optionsOf = (words: Record<string, string>) =>
  Object.entries(words).map(([value, said]) => ({ value, words: said }));

function isKey<T extends string>(words: Record<T, string>, value: string | undefined): value is T {
  return value !== undefined && value in words;
}

type IdField = 'line' | 'site' | 'team' | 'customer' | 'by' | 'topic';

const oneOf = (field: IdField, of: OneOf<HistoryTerms>) =>
  oneOfThese<HistorySentence, IdField, HistoryTerms>(field, of);

const USUAL = 'usual';
const EVER = 'ever';

function whenKey(when: When | undefined): string {
  if (when === undefined) return USUAL;
  if ('ever' in when) return EVER;
  return when.last === undefined ? BETWEEN : String(when.last);
}

const whenPart = part<HistorySentence, 'when', HistoryTerms>({
  field: 'when',
  unsaid: undefined,
  goesOn: true,
  write: (when) => (when === undefined ? [] : 'ever' in when ? ['ever'] : writeDays(when)),
  read: (clause, when) => {
    if (clause === 'ever') return when === undefined ? { ever: true } : undefined;
    return when !== undefined && 'ever' in when ? undefined : readDays(clause, when);
  },
  say: (when, { today }) => {
    const days = when !== undefined && 'ever' in when ? undefined : when;
    return [
      ' ',
      {
        kind: 'choice',
        name: 'When',
        value: whenKey(when),
        options: [
          { value: USUAL, words: 'since Monday of last week' },
          ...dayOptions(days?.last),
          { value: EVER, words: 'at any time' },
        ],
        filled: (value) => (value === USUAL ? undefined : value === EVER ? { ever: true } : chosenDays(value, today)),
      },
      ...(days !== undefined && days.last === undefined ? betweenPieces(days) : []),
    ];
  },
});

export const HISTORY: Grammar<HistorySentence, HistoryTerms> = {
  nothing: USUAL_HISTORY,
  parts: [
    part<HistorySentence, 'what', HistoryTerms>({
      field: 'what',
      unsaid: 'texts',
      write: (what) => [what],
      read: (clause) => (isKey(WHAT, clause) && clause !== 'texts' ? clause : undefined),
      say: (what) => [
        {
          kind: 'choice',
          name: 'What',
          value: what,
          options: optionsOf(WHAT),
          filled: (value) => (isKey(WHAT, value) ? value : 'texts'),
        },
      ],
    }),
    oneOf('line', { lead: ' on ', name: 'Line', any: 'any line', options: ({ lines }) => lines }),
    whenPart,
    oneOf('site', { menu: 'at a site', lead: 'at ', name: 'Site', options: ({ sites }) => sites }),
    oneOf('team', { menu: 'of a team', lead: 'of ', name: 'Team', options: ({ teams }) => teams }),
    part<HistorySentence, 'conversation', HistoryTerms>({
      field: 'conversation',
      unsaid: undefined,
      menu: 'in one conversation',
      byLink: true,
      write: (id) => [`conversation ${id ?? ''}`],
      read: (clause) => counted(after('conversation', clause)),
      say: () => ['in one conversation'],
    }),
    oneOf('customer', {
      menu: 'with a customer',
      byLink: true,
      lead: 'with ',
      name: 'Customer',
      options: ({ customers }) => customers,
    }),
    part<HistorySentence, 'called', HistoryTerms>({
      field: 'called',
      unsaid: '',
      menu: 'with a customer or number',
      write: (words) => (words.trim() === '' ? [] : [`called ${quoted(words)}`]),
      read: (clause) => {
        const words = after('called', clause);
        return words !== undefined && words.length <= LONGEST_CALLED ? words : undefined;
      },
      say: (value) => [
        'with ',
        { kind: 'words', name: 'Customer or number', value, hint: 'name or number', filled: (words) => words },
      ],
    }),
    oneOf('by', { menu: 'by a colleague', lead: 'by ', name: 'Colleague', options: ({ staff }) => staff }),
    part<HistorySentence, 'origin', HistoryTerms>({
      field: 'origin',
      unsaid: undefined,
      menu: 'by a person, or automatic',
      begin: () => 'by a person',
      write: (origin) => (origin ? [origin] : []),
      read: (clause) => (isKey(ORIGIN, clause) ? clause : undefined),
      say: (origin) => [
        {
          kind: 'choice',
          name: 'By a person, or automatic',
          value: origin ?? '',
          options: optionsOf(ORIGIN),
          filled: (value) => (isKey(ORIGIN, value) ? value : undefined),
        },
      ],
    }),
    part<HistorySentence, 'state', HistoryTerms>({
      field: 'state',
      unsaid: undefined,
      menu: 'delivered or not',
      begin: () => 'not delivered',
      write: (state) => [`state ${state ?? ''}`],
      read: (clause) => {
        const state = after('state', clause);
        return isKey(STATE, state) ? state : undefined;
      },
      say: (state) => [
        {
          kind: 'choice',
          name: 'Delivery',
          value: state ?? '',
          options: optionsOf(STATE),
          filled: (value) => (isKey(STATE, value) ? value : undefined),
        },
      ],
    }),
    part<HistorySentence, 'attached', HistoryTerms>({
      field: 'attached',
      unsaid: false,
      menu: 'with an attachment',
      begin: () => true,
      write: () => ['with attachment'],
      read: (clause) => (clause === 'with attachment' ? true : undefined),
      say: () => ['with an attachment'],
    }),
    oneOf('topic', {
      menu: 'about a topic',
      lead: 'about ',
      name: 'Topic',
      options: ({ topics }) =>
        topics.map(({ id, name, retired }) => ({ id, name: retired ? `${name} (retired)` : name })),
    }),
    part<HistorySentence, 'match', HistoryTerms>({
      field: 'match',
      unsaid: 'all',
      menu: 'any of the words, or by meaning',
      begin: () => 'alike',
      write: (match) => [match],
      read: (clause) => (isKey(MATCH, clause) ? clause : undefined),
      say: (match) => [
        {
          kind: 'choice',
          name: 'How the words are meant',
          value: match,
          options: optionsOf(MATCH),
          filled: (value) => (isKey(MATCH, value) ? value : 'all'),
        },
      ],
    }),
    part<HistorySentence, 'mention', HistoryTerms>({
      field: 'mention',
      unsaid: '',
      menu: 'that mention …',
      write: (words) => (words.trim() === '' ? [] : [`mention ${quoted(words)}`]),
      read: (clause) => {
        const words = after('mention', clause);
        return words !== undefined && words.length <= LONGEST_MENTION ? words : undefined;
      },
      say: (value) => [
        'that mention ',
        { kind: 'words', name: 'Words', value, hint: 'words', filled: (words) => words },
      ],
    }),
  ],
};

/** The sentence as people read it, without what begins and ends it. */
export function historyWords(sentence: HistorySentence, terms: HistoryTerms): string {
  return HISTORY.parts
    .filter((each) => !each.menu || each.isSaid(sentence))
    .map((each) => (each.menu ? ', ' : '') + each.say(sentence, terms).map(pieceWords).join(''))
    .join('');
}

/** The text of a sentence; what is left open is left out. */
export function writeHistory(sentence: HistorySentence): string {
  return writeIn(HISTORY, sentence);
}

/** Reads a sentence; what cannot be read is left out. */
export function readHistory(text: string): HistorySentence {
  return readIn(HISTORY, text);
}

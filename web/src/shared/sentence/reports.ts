import { BETWEEN, betweenPieces, chosenDays, type Days, dayOptions, readDays, writeDays } from './days';
import { after, type Grammar, part, pieceWords, readIn, writeIn } from './grammar';
import { type OneOf, oneOf as oneOfThese } from './oneOf';
import type { Named } from './onFile';

/** The sentence that says which figures are shown. The server reads the same text; both are tested on one table. */
export interface ReportSentence {
  subject: Subject;
  line?: number | undefined;
  site?: number | undefined;
  team?: number | undefined;
  person?: number | undefined;
  topic?: number | undefined;
  /** Nothing is the last four weeks. */
  days?: Days | undefined;
  /** Nothing is by day, or the only rows there are. */
  by?: By | undefined;
}

export type Subject =
  | 'answer times'
  | 'first answers'
  | 'time to done'
  | 'waits'
  | 'texts'
  | 'unknown numbers'
  | 'texts not delivered'
  | 'costs'
  | 'people';

export type By = 'day' | 'week' | 'month' | 'hour' | 'line' | 'site' | 'team' | 'topic' | 'person' | 'kind' | 'reason';

const TIMES: By[] = ['day', 'week', 'month'];
const PLACES: By[] = ['line', 'site', 'team'];

interface Reported {
  words: string;
  /** What its rows can be; the first stands unless said otherwise. */
  by: By[];
  ofPeople: boolean;
  ofTopics: boolean;
}

const timed = (words: string): Reported => ({
  words,
  by: [...TIMES, ...PLACES, 'topic', 'person'],
  ofPeople: true,
  ofTopics: true,
});

/** What figures are of. */
export const SUBJECTS: Record<Subject, Reported> = {
  'answer times': timed('answer times'),
  'first answers': timed('first answers'),
  'time to done': timed('time until done'),
  waits: { words: 'customers waiting through the week', by: ['hour'], ofPeople: false, ofTopics: false },
  texts: { words: 'texts in and out', by: [...TIMES, 'hour', ...PLACES, 'topic'], ofPeople: false, ofTopics: true },
  'unknown numbers': { words: 'unknown numbers', by: [...TIMES, ...PLACES], ofPeople: false, ofTopics: false },
  'texts not delivered': {
    words: 'texts not delivered',
    by: [...TIMES, 'reason', ...PLACES],
    ofPeople: false,
    ofTopics: false,
  },
  costs: { words: 'costs', by: [...TIMES, ...PLACES, 'person', 'kind'], ofPeople: true, ofTopics: false },
  people: { words: 'what each colleague did', by: ['person'], ofPeople: true, ofTopics: false },
};

const BY: Record<By, string> = {
  day: 'by day',
  week: 'by week',
  month: 'by month',
  hour: 'by hour of the day',
  line: 'by line',
  site: 'by site',
  team: 'by team',
  topic: 'by topic',
  person: 'by person',
  kind: 'by kind',
  reason: 'by reason',
};

/** What the blanks are filled with. */
export interface ReportTerms {
  lines: Named[];
  sites: Named[];
  teams: Named[];
  staff: Named[];
  topics: (Named & { retired: boolean })[];
  today: string;
  /** What the figures are of, for it decides what their rows can be. */
  subject: Subject;
  /** What can be chosen; everything unless said otherwise. */
  subjects?: readonly Subject[];
}

const USUAL = '28';
const SPANS = [
  { value: USUAL, words: 'in the last 4 weeks' },
  { value: '91', words: 'in the last 13 weeks' },
  { value: '365', words: 'in the last 365 days' },
];

function isSubject(value: string): value is Subject {
  return value in SUBJECTS;
}

function isBy(value: string | undefined): value is By {
  return value !== undefined && value in BY;
}

type IdField = 'line' | 'site' | 'team' | 'person' | 'topic';

const oneOf = (field: IdField, of: OneOf<ReportTerms>) => oneOfThese<ReportSentence, IdField, ReportTerms>(field, of);

export const REPORTS: Grammar<ReportSentence, ReportTerms> = {
  nothing: { subject: 'answer times' },
  parts: [
    part<ReportSentence, 'subject', ReportTerms>({
      field: 'subject',
      unsaid: 'answer times',
      write: (subject) => [subject],
      read: (clause) => (isSubject(clause) && clause !== 'answer times' ? clause : undefined),
      say: (subject, { subjects }) => [
        {
          kind: 'choice',
          name: 'Figures',
          value: subject,
          options: Object.entries(SUBJECTS)
            .filter(([value]) => !subjects || subjects.some((one) => one === value))
            .map(([value, { words }]) => ({ value, words })),
          filled: (value) => (isSubject(value) ? value : subject),
        },
      ],
    }),
    oneOf('line', { lead: ' on ', name: 'Line', any: 'every line', options: ({ lines }) => lines }),
    part<ReportSentence, 'days', ReportTerms>({
      field: 'days',
      unsaid: undefined,
      goesOn: true,
      write: writeDays,
      read: readDays,
      say: (days, { today }) => {
        const last = days === undefined ? Number(USUAL) : days.last;
        const usual = dayOptions(undefined).filter(({ value }) => value !== '30');
        const own =
          SPANS.some(({ value }) => value === String(last)) || usual.some(({ value }) => value === String(last));
        return [
          ' ',
          {
            kind: 'choice',
            name: 'Days',
            value: last === undefined ? BETWEEN : String(last),
            options: [
              ...(own || last === undefined ? [] : [{ value: String(last), words: `in the last ${last} days` }]),
              ...usual.filter(({ value }) => value !== BETWEEN),
              ...SPANS,
              ...usual.filter(({ value }) => value === BETWEEN),
            ],
            filled: (value) => (value === USUAL ? undefined : chosenDays(value, today)),
          },
          ...(days !== undefined && days.last === undefined ? betweenPieces(days) : []),
        ];
      },
    }),
    part<ReportSentence, 'by', ReportTerms>({
      field: 'by',
      unsaid: undefined,
      write: (by) => [`by ${by ?? ''}`],
      read: (clause) => {
        const by = after('by', clause);
        return isBy(by) ? by : undefined;
      },
      say: (by, { subject }) => {
        const can = SUBJECTS[subject].by;
        if (can.length < 2) return [];
        return [
          ' ',
          {
            kind: 'choice',
            name: 'Rows',
            value: by ?? can[0] ?? '',
            options: can.map((value) => ({ value, words: BY[value] })),
            filled: (value) => (isBy(value) ? value : by),
          },
        ];
      },
    }),
    oneOf('site', { menu: 'at a site', lead: 'at ', name: 'Site', options: ({ sites }) => sites }),
    oneOf('team', { menu: 'of a team', lead: 'of ', name: 'Team', options: ({ teams }) => teams }),
    oneOf('person', { menu: 'of a colleague', lead: 'of ', name: 'Colleague', options: ({ staff }) => staff }),
    oneOf('topic', {
      menu: 'about a topic',
      lead: 'about ',
      name: 'Topic',
      options: ({ topics }) =>
        topics.map(({ id, name, retired }) => ({ id, name: retired ? `${name} (retired)` : name })),
    }),
  ],
};

/** The sentence without what its subject cannot have: rows, a colleague, a topic. */
export function possibleReport(sentence: ReportSentence): ReportSentence {
  const { by, ofPeople, ofTopics } = SUBJECTS[sentence.subject];
  return {
    ...sentence,
    by: sentence.by !== undefined && by.includes(sentence.by) ? sentence.by : undefined,
    person: ofPeople ? sentence.person : undefined,
    topic: ofTopics ? sentence.topic : undefined,
  };
}

/** The parts that the subject cannot have. */
export function impossibleParts({ subject }: ReportSentence): ('person' | 'topic')[] {
  const { ofPeople, ofTopics } = SUBJECTS[subject];
  return [...(ofPeople ? [] : (['person'] as const)), ...(ofTopics ? [] : (['topic'] as const))];
}

/** The sentence as people read it. */
export function reportWords(sentence: ReportSentence, terms: ReportTerms): string {
  return REPORTS.parts
    .filter((each) => !each.menu || each.isSaid(sentence))
    .map((each) => (each.menu ? ', ' : '') + each.say(sentence, terms).map(pieceWords).join(''))
    .join('');
}

/** The text of a sentence; what is left open is left out. */
export function writeReport(sentence: ReportSentence): string {
  return writeIn(REPORTS, sentence);
}

/** Reads a sentence; what cannot be read, or its subject cannot have, is left out. */
export function readReport(text: string): ReportSentence {
  return possibleReport(readIn(REPORTS, text));
}

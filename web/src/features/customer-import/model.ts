import type { DetailKind, ImportPreview, ImportRun } from '../../shared/api';

type Subject = ImportPreview['subject'];

const WORDS: Record<string, string> = {
  NOTHING: 'left out',
  NAME: 'name',
  FIRST_NAME: 'first name',
  LAST_NAME: 'last name',
  NUMBER: 'a number',
  EMAIL: 'e-mail',
  SITE: 'site',
  KIND: 'kind of customer',
  OUTSIDE_ID: 'id in another program',
  LANGUAGE: 'language',
  CONTACT: 'a contact person',
  NOTE: 'a note',
  CUSTOMER_ID: 'customer’s id in another program',
  JOB_NUMBER: 'number of the job',
  WHAT: 'what it is',
  STANDING: 'how far it is',
  STATE: 'state',
  PLACE: 'place',
  STARTS: 'when it starts',
  ENDS: 'when it ends',
  OPENED: 'since when',
  CLOSED: 'closed when',
  LINE: 'our line',
  AT: 'when it was sent',
  DIRECTION: 'received or sent',
  WORDS: 'the words',
  AUTHOR: 'who of us wrote it',
};

const OF_CUSTOMER = ['CUSTOMER_ID', 'NUMBER', 'EMAIL'];

const TARGETS: Record<Subject, string[]> = {
  CUSTOMERS: [
    'NAME',
    'FIRST_NAME',
    'LAST_NAME',
    'NUMBER',
    'EMAIL',
    'SITE',
    'KIND',
    'OUTSIDE_ID',
    'LANGUAGE',
    'CONTACT',
    'NOTE',
  ],
  APPOINTMENTS: ['WHAT', 'STARTS', 'ENDS', 'PLACE', 'STATE', 'OUTSIDE_ID', 'NAME', ...OF_CUSTOMER],
  JOBS: ['JOB_NUMBER', 'WHAT', 'STANDING', 'STATE', 'PLACE', 'OPENED', 'CLOSED', 'OUTSIDE_ID', 'NAME', ...OF_CUSTOMER],
  TEXTS: ['LINE', 'NUMBER', 'AT', 'DIRECTION', 'WORDS', 'AUTHOR', 'OUTSIDE_ID'],
};

/** Of a row that is about something else, whose name or number it is. */
function targetWords(subject: Subject, target: string): string {
  const whose = subject !== 'CUSTOMERS' && ['NAME', 'NUMBER', 'EMAIL'].includes(target);
  return whose ? `customer’s ${(WORDS[target] ?? '').replace(/^a /, '')}` : (WORDS[target] ?? target);
}

/** What a column can be about. */
export function targets(subject: Subject, details: DetailKind[]): { value: string; words: string }[] {
  const named = ['NOTHING', ...TARGETS[subject]].map((value) => ({ value, words: targetWords(subject, value) }));
  return subject === 'CUSTOMERS'
    ? [
        ...named,
        ...details.filter(({ retired }) => !retired).map(({ id, name }) => ({ value: `DETAIL ${id}`, words: name })),
      ]
    : named;
}

/** What the rows of a file can be about. */
export const subjects: { value: Subject; words: string }[] = [
  { value: 'CUSTOMERS', words: 'customers' },
  { value: 'APPOINTMENTS', words: 'appointments' },
  { value: 'JOBS', words: 'jobs' },
  { value: 'TEXTS', words: 'past texts' },
];

type Fate = ImportPreview['rows'][number]['fate'];

const FATES: Record<Fate, string> = {
  NEW: 'new',
  SAME: 'on file, nothing changes',
  CHANGED: 'on file, changes',
  ASKED: 'is it the same?',
  REFUSED: 'cannot be imported',
};

/** What becomes of a row. */
export function fateWords(subject: Subject, fate: Fate): string {
  if (fate === 'SAME' && subject === 'TEXTS') return 'is here already';
  return fate === 'ASKED' && subject !== 'CUSTOMERS' ? 'for whom?' : FATES[fate];
}

const SEPARATORS: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' };

export const separators = Object.entries(SEPARATORS).map(([value, words]) => ({ value, words }));

const count = (n: number, one: string, many: string) => `${n.toLocaleString('en-US')} ${n === 1 ? one : many}`;

const NOUNS: Record<Subject, [string, string]> = {
  CUSTOMERS: ['customer', 'customers'],
  APPOINTMENTS: ['appointment', 'appointments'],
  JOBS: ['job', 'jobs'],
  TEXTS: ['text', 'texts'],
};

/** What pressing the button does. */
export function takeWords({ subject, counts }: ImportPreview): string {
  const parts = [
    counts.added > 0 ? `add ${count(counts.added, ...NOUNS[subject])}` : '',
    counts.changed > 0 ? `change ${counts.changed.toLocaleString('en-US')}` : '',
  ].filter(Boolean);
  const all = parts.join(' and ');
  return all === '' ? 'Nothing to take' : all.charAt(0).toUpperCase() + all.slice(1);
}

/** How an import stands, in a sentence. */
export function importWords({ subject, state, done, total, added, changed, why }: ImportRun): string {
  switch (state) {
    case 'HANDED_IN':
      return 'handed in, not taken yet';
    case 'RUNNING':
      return `${done.toLocaleString('en-US')} of ${total.toLocaleString('en-US')} rows so far`;
    case 'DONE':
      return `${count(added, ...NOUNS[subject])} added${changed === 0 ? '' : `, ${changed.toLocaleString('en-US')} changed`}`;
    case 'UNDOING':
      return why ?? 'is being taken back';
    case 'UNDONE':
      return why === undefined ? 'taken back' : `taken back. ${why}`;
  }
}

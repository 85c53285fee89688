import { type Days, daysPart } from './days';
import { after, counted, type Grammar, part, quoted, readIn, writeIn } from './grammar';
import { detailPart, kindPart, listPart, type Named, named, type OnFile, type OnFileTerms } from './onFile';

/** The sentence that says which customers are shown. The server reads and writes the same text; both are tested on one table. */
export interface CustomerSentence extends OnFile {
  site?: number | undefined;
  days?: Days | undefined;
  silent?: number | undefined;
  agreement?: Agreed | undefined;
  called: string;
}

export type Agreed = 'opted out' | 'agreed to news' | 'agreement not known';

/** What the blanks are filled with. */
export interface CustomerTerms extends OnFileTerms {
  sites: Named[];
  /** The day it is for the business, as 2026-06-09. */
  today: string;
}

export const EVERY_CUSTOMER: CustomerSentence = { kind: '', called: '' };

const LONGEST_WORDS = 80;
const MOST_DAYS = 3_660;

const sitePart = part<CustomerSentence, 'site', CustomerTerms>({
  field: 'site',
  unsaid: undefined,
  menu: 'of a site',
  begin: ({ sites }) => sites[0]?.id,
  write: (id) => [`site ${id ?? ''}`],
  read: (clause) => counted(after('site', clause)),
  say: (id, { sites }) => [
    'of ',
    {
      kind: 'choice',
      name: 'Site',
      value: String(id ?? ''),
      options: sites.map(named),
      filled: (value) => (value === '' ? undefined : Number(value)),
    },
  ],
});

const SILENT = [
  { value: '30', words: '30 days' },
  { value: '90', words: '90 days' },
  { value: '180', words: 'half a year' },
  { value: '365', words: 'a year' },
];

const silentPart = part<CustomerSentence, 'silent', CustomerTerms>({
  field: 'silent',
  unsaid: undefined,
  menu: 'not heard from for …',
  begin: () => 180,
  write: (days) => [`silent ${days ?? ''}`],
  read: (clause) => counted(after('silent', clause), MOST_DAYS),
  say: (days) => {
    const value = String(days ?? '');
    const own = SILENT.some((one) => one.value === value) ? [] : [{ value, words: `${value} days` }];
    return [
      'not heard from for ',
      {
        kind: 'choice',
        name: 'Not heard from for',
        value,
        options: [...own, ...SILENT],
        filled: Number,
      },
    ];
  },
});

const AGREED: Record<Agreed, string> = {
  'opted out': 'who opted out',
  'agreed to news': 'who agreed to news',
  'agreement not known': 'whose agreement is not known',
};

const isAgreed = (words: string): words is Agreed => words in AGREED;

const agreementPart = part<CustomerSentence, 'agreement', CustomerTerms>({
  field: 'agreement',
  unsaid: undefined,
  menu: 'by what they agreed to',
  begin: () => 'opted out',
  write: (agreed) => (agreed ? [agreed] : []),
  read: (clause) => (isAgreed(clause) ? clause : undefined),
  say: (agreed) => [
    {
      kind: 'choice',
      name: 'What they agreed to',
      value: agreed ?? '',
      options: Object.entries(AGREED).map(([value, words]) => ({ value, words })),
      filled: (value) => (isAgreed(value) ? value : undefined),
    },
  ],
});

const calledPart = part<CustomerSentence, 'called', CustomerTerms>({
  field: 'called',
  unsaid: '',
  menu: 'found by …',
  write: (words) => (words.trim() === '' ? [] : [`called ${quoted(words)}`]),
  read: (clause) => {
    const words = after('called', clause);
    return words !== undefined && words.length <= LONGEST_WORDS ? words : undefined;
  },
  say: (value) => [
    'found by ',
    { kind: 'words', name: 'Found by', value, hint: 'any words', filled: (words) => words },
  ],
});

export const CUSTOMERS: Grammar<CustomerSentence, CustomerTerms> = {
  nothing: EVERY_CUSTOMER,
  parts: [
    sitePart,
    kindPart(),
    listPart(),
    detailPart(),
    daysPart<CustomerSentence, CustomerTerms>('heard from …', 'last heard from '),
    silentPart,
    agreementPart,
    calledPart,
  ],
};

/** The text of a sentence; what is left open is left out. */
export function writeCustomers(sentence: CustomerSentence): string {
  return writeIn(CUSTOMERS, sentence);
}

/** Reads a sentence; what cannot be read is left out. */
export function readCustomers(text: string): CustomerSentence {
  return readIn(CUSTOMERS, text);
}

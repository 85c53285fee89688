import { type Days, daysPart } from './days';
import { after, counted, type Grammar, part, type Part, quoted, readIn, writeIn } from './grammar';

/** The sentence that says which customers are shown. The server reads and writes the same text; both are tested on one table. */
export interface CustomerSentence {
  site?: number | undefined;
  kind: string;
  list?: number | undefined;
  detail?: { id: number; words: string } | undefined;
  days?: Days | undefined;
  silent?: number | undefined;
  agreement?: Agreed | undefined;
  called: string;
}

export type Agreed = 'opted out' | 'agreed to news' | 'agreement not known';

interface Named {
  id: number;
  name: string;
}

/** What the blanks are filled with. */
export interface CustomerTerms {
  sites: Named[];
  kinds: string[];
  lists: Named[];
  details: Named[];
  /** The day it is for the business, as 2026-06-09. */
  today: string;
}

export const EVERY_CUSTOMER: CustomerSentence = { kind: '', called: '' };

const LONGEST_WORDS = 80;
const MOST_DAYS = 3_660;

const named = ({ id, name }: Named) => ({ value: String(id), words: name });

type CustomerPart = Part<CustomerSentence, CustomerTerms>;

/** A part that names one thing by its id. */
function oneOf(
  field: 'site' | 'list',
  menu: string,
  lead: string,
  name: string,
  options: (terms: CustomerTerms) => Named[],
): CustomerPart {
  return part<CustomerSentence, 'site' | 'list', CustomerTerms>({
    field,
    unsaid: undefined,
    menu,
    begin: (terms) => options(terms)[0]?.id,
    write: (id) => [`${field} ${id ?? ''}`],
    read: (clause) => counted(after(field, clause)),
    say: (id, terms) => [
      lead,
      {
        kind: 'choice',
        name,
        value: String(id ?? ''),
        options: options(terms).map(named),
        filled: (value) => (value === '' ? undefined : Number(value)),
      },
    ],
  });
}

const kindPart = part<CustomerSentence, 'kind', CustomerTerms>({
  field: 'kind',
  unsaid: '',
  menu: 'of a kind',
  begin: ({ kinds }) => kinds[0] ?? '',
  write: (kind) => [`kind ${quoted(kind)}`],
  read: (clause) => {
    const kind = after('kind', clause);
    return kind !== undefined && kind.length <= LONGEST_WORDS ? kind : undefined;
  },
  say: (kind, { kinds }) => [
    'of the kind ',
    {
      kind: 'choice',
      name: 'Kind of customer',
      value: kind,
      options: (kinds.includes(kind) || kind === '' ? kinds : [kind, ...kinds]).map((words) => ({
        value: words,
        words,
      })),
      filled: (value) => value,
    },
  ],
});

const detailPart = part<CustomerSentence, 'detail', CustomerTerms>({
  field: 'detail',
  unsaid: undefined,
  menu: 'with a detail',
  begin: ({ details }) => (details[0] ? { id: details[0].id, words: '' } : undefined),
  write: (detail) => (detail ? [`detail ${detail.id} ${quoted(detail.words)}`.trim()] : []),
  read: (clause) => {
    const said = after('detail', clause)?.match(/^(\d+)(?: (.*))?$/s);
    const id = counted(said?.[1]);
    const words = said?.[2]?.trim() ?? '';
    return id !== undefined && words.length <= LONGEST_WORDS ? { id, words } : undefined;
  },
  say: (detail, { details }) => [
    'whose ',
    {
      kind: 'choice',
      name: 'Detail',
      value: String(detail?.id ?? ''),
      options: details.map(named),
      filled: (value) => ({ id: Number(value), words: detail?.words ?? '' }),
    },
    ' has ',
    {
      kind: 'words',
      name: 'Words in the detail',
      value: detail?.words ?? '',
      hint: 'anything',
      filled: (words) => ({ id: detail?.id ?? 0, words }),
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
    oneOf('site', 'of a site', 'of ', 'Site', ({ sites }) => sites),
    kindPart,
    oneOf('list', 'on a list', 'on the list ', 'Customer list', ({ lists }) => lists),
    detailPart,
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

/** The sentence that says which conversations a list shows. The server reads and writes the same text; both are tested on one table. */

export type Whose = { kind: 'everyone' | 'mine' | 'nobody' } | { kind: 'team' | 'colleague'; id: number };

/** Minutes of working time left: at least `from`, less than `to`. */
export interface Left {
  from?: number | undefined;
  to?: number | undefined;
}

/** Days of the last text: the last few, or between two dates. */
export interface Days {
  last?: number | undefined;
  from?: string | undefined;
  to?: string | undefined;
}

export interface Sentence {
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

export const EVERYTHING: Sentence = {
  whose: { kind: 'everyone' },
  called: '',
  saying: '',
  toIdentify: false,
  failed: false,
  unread: false,
};

function words(keyword: string, said: string): string {
  return said.trim() === '' ? '' : `${keyword} ${said.trim().replace(/[\\;]/g, '\\$&')}`;
}

function whoseText(whose: Whose): string {
  switch (whose.kind) {
    case 'everyone':
      return '';
    case 'mine':
      return 'mine';
    case 'nobody':
      return "nobody's";
    case 'team':
    case 'colleague':
      return `${whose.kind} ${whose.id}`;
  }
}

/** The text of a sentence; what is left open is left out. */
export function writeSentence(sentence: Sentence): string {
  const { line, site, topic, left, days } = sentence;
  return [
    whoseText(sentence.whose),
    line !== undefined && `line ${line}`,
    site !== undefined && `site ${site}`,
    topic !== undefined && `topic ${topic}`,
    words('called', sentence.called),
    words('saying', sentence.saying),
    sentence.toIdentify && 'to identify',
    sentence.failed && 'not delivered',
    sentence.unread && 'unread',
    left && `left ${left.from ?? ''}..${left.to ?? ''}`,
    days?.last !== undefined && `last ${days.last}`,
    days?.from && `from ${days.from}`,
    days?.to && `to ${days.to}`,
  ]
    .filter(Boolean)
    .join('; ');
}

function split(text: string): string[] {
  const plain = text.replace(/[\s\p{Z}\uFEFF]/gu, ' ');
  return (plain.match(/(?:\\.|[^;\\]|\\$)+/gs) ?? [])
    .map((part) => part.replace(/\\(.)/gs, '$1').trim())
    .filter(Boolean);
}

/** Reads a sentence; parts that cannot be read, or are said twice, are left out, so that an address somebody typed still shows a list. */
export function readSentence(text: string): Sentence {
  return split(text).reduce(readPart, EVERYTHING);
}

const LONGEST_WORDS = 80;
const MOST_MINUTES = 366 * 24 * 60;
const MOST_DAYS = 3_660;

function number(digits: string, most = 1e15): number | undefined {
  const found = /^\d{1,15}$/.test(digits) ? Number(digits) : 0;
  return found >= 1 && found <= most ? found : undefined;
}

/** A part that is not said yet. */
function once<K extends keyof Sentence>(sentence: Sentence, name: K, value: Sentence[K] | undefined): Sentence {
  const said = sentence[name] !== EVERYTHING[name];
  return said || value === undefined ? sentence : { ...sentence, [name]: value };
}

function readPart(sentence: Sentence, part: string): Sentence {
  if (part === 'mine') return once(sentence, 'whose', { kind: 'mine' });
  if (part === "nobody's") return once(sentence, 'whose', { kind: 'nobody' });
  if (part === 'to identify') return once(sentence, 'toIdentify', true);
  if (part === 'not delivered') return once(sentence, 'failed', true);
  if (part === 'unread') return once(sentence, 'unread', true);
  const seam = part.indexOf(' ');
  if (seam < 0) return sentence;
  const word = part.slice(0, seam);
  const rest = part.slice(seam + 1).trim();
  const id = number(rest);
  switch (word) {
    case 'team':
    case 'colleague':
      return once(sentence, 'whose', id === undefined ? undefined : { kind: word, id });
    case 'line':
    case 'site':
    case 'topic':
      return once(sentence, word, id);
    case 'called':
    case 'saying':
      return once(sentence, word, rest.length > LONGEST_WORDS ? undefined : rest);
    case 'left':
      return once(sentence, 'left', readLeft(rest));
    case 'last': {
      const last = number(rest, MOST_DAYS);
      return once(sentence, 'days', last === undefined ? undefined : { last });
    }
    case 'from':
    case 'to':
      return readDate(sentence, word, rest);
    default:
      return sentence;
  }
}

function isDay(date: string): boolean {
  const at = /^\d{4}-\d\d-\d\d$/.test(date) ? new Date(`${date}T00:00:00Z`) : undefined;
  if (!at || Number.isNaN(at.getTime())) return false;
  return at.toISOString().startsWith(date) && date >= '1900-01-01' && date <= '2199-12-31';
}

function readDate(sentence: Sentence, end: 'from' | 'to', date: string): Sentence {
  const days = sentence.days ?? {};
  if (!isDay(date) || days.last !== undefined || days[end] !== undefined) return sentence;
  const next = { ...days, [end]: date };
  return next.from !== undefined && next.to !== undefined && next.to < next.from
    ? sentence
    : { ...sentence, days: next };
}

function readLeft(rest: string): Left | undefined {
  const ends = /^(-?\d{1,7})?\.\.(-?\d{1,7})?$/.exec(rest);
  if (!ends || (!ends[1] && !ends[2])) return undefined;
  const left: Left = {};
  if (ends[1]) left.from = Number(ends[1]);
  if (ends[2]) left.to = Number(ends[2]);
  if ([left.from, left.to].some((end) => end !== undefined && Math.abs(end) > MOST_MINUTES)) return undefined;
  return left.from !== undefined && left.to !== undefined && left.from >= left.to ? undefined : left;
}

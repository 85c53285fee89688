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
  return (text.match(/(?:\\.|[^;\\])+/gs) ?? []).map((part) => part.replace(/\\(.)/gs, '$1').trim()).filter(Boolean);
}

/** Reads a sentence; parts that cannot be read are left out, so that an address somebody typed still shows a list. */
export function readSentence(text: string): Sentence {
  return split(text).reduce(readPart, EVERYTHING);
}

function readPart(sentence: Sentence, part: string): Sentence {
  if (part === 'mine') return { ...sentence, whose: { kind: 'mine' } };
  if (part === "nobody's") return { ...sentence, whose: { kind: 'nobody' } };
  if (part === 'to identify') return { ...sentence, toIdentify: true };
  if (part === 'not delivered') return { ...sentence, failed: true };
  if (part === 'unread') return { ...sentence, unread: true };
  const seam = part.indexOf(' ');
  const word = part.slice(0, seam);
  const rest = part.slice(seam + 1).trim();
  const id = Number(rest);
  const named = Number.isInteger(id) && id > 0;
  switch (word) {
    case 'team':
    case 'colleague':
      return named ? { ...sentence, whose: { kind: word, id } } : sentence;
    case 'line':
    case 'site':
    case 'topic':
      return named ? { ...sentence, [word]: id } : sentence;
    case 'called':
    case 'saying':
      return { ...sentence, [word]: rest };
    case 'left':
      return readLeft(sentence, rest);
    case 'last':
      return named ? { ...sentence, days: { last: id } } : sentence;
    case 'from':
    case 'to':
      return /^\d{4}-\d\d-\d\d$/.test(rest) ? { ...sentence, days: { ...sentence.days, [word]: rest } } : sentence;
    default:
      return sentence;
  }
}

function readLeft(sentence: Sentence, rest: string): Sentence {
  const ends = /^(-?\d+)?\.\.(-?\d+)?$/.exec(rest);
  if (!ends || (!ends[1] && !ends[2])) return sentence;
  const left: Left = {};
  if (ends[1]) left.from = Number(ends[1]);
  if (ends[2]) left.to = Number(ends[2]);
  return { ...sentence, left };
}

/// <reference types="vite/client" />
import { describe, expect, it } from 'vitest';
import typedTable from '../../../../core/src/test/resources/sentences-typed.txt?raw';
import table from '../../../../core/src/test/resources/sentences.txt?raw';
import { CONVERSATIONS, EVERYTHING, type Given, readSentence, type Sentence, writeSentence } from './conversations';
import { leftWords } from './left';
import { type Part, type Piece, pieceWords } from './grammar';

const GIVEN: Given = {
  staff: [{ id: 2, name: 'Priya Nandakumar' }],
  teams: [
    { id: 1, name: 'Harbour office' },
    { id: 2, name: 'Yard' },
  ],
  lines: [{ id: 1, name: 'Dock office' }],
  sites: [{ id: 5, name: 'North Dock' }],
  topics: [
    { id: 1, name: 'berths', teamId: 1, retired: true },
    { id: 2, name: 'berths', teamId: 2, retired: false },
    { id: 3, name: 'repairs', teamId: 2, retired: false },
  ],
  kinds: ['Regular', 'Visitor'],
  lists: [{ id: 4, name: 'Outer berths' }],
  details: [
    { id: 3, name: 'Boat' },
    { id: 5, name: 'Berth' },
  ],
  today: '2026-06-09',
};

const { parts } = CONVERSATIONS;
const blanks = (pieces: Piece<Sentence>[]) => pieces.flatMap((piece) => (typeof piece === 'string' ? [] : [piece]));
const pieces = (part: Part<Sentence, Given>, sentence: Sentence) => part.say(sentence, GIVEN);

/** Something to fill a blank with. */
function fillings(piece: Exclude<Piece<Sentence>, string>): string[] {
  if (piece.kind === 'choice') return piece.options.map(({ value }) => value);
  return piece.kind === 'date' ? ['2026-06-11', ''] : ['bilge; pump\\', ''];
}

describe.each(parts.map((part) => [String(part.field), part] as const))('the part %s', (field, part) => {
  it('is in the table that the server reads too', () => {
    const lines = `${table}\n${typedTable}`.split('\n');
    expect(lines.filter((line) => part.isSaid(readSentence(line.split(' ⇒')[0] ?? '')))).not.toEqual([]);
  });

  it('says with each filling of its blanks what its text reads back', () => {
    const begun = part.begin(EVERYTHING, GIVEN);
    for (const blank of blanks(pieces(part, begun)))
      for (const filling of fillings(blank)) {
        const next = blank.filled(filling);
        expect(readSentence(writeSentence(next))).toEqual(writeSentence(next) === '' ? EVERYTHING : next);
      }
  });

  it('shows what its blanks were filled with', () => {
    const begun = part.begin(EVERYTHING, GIVEN);
    blanks(pieces(part, begun)).forEach((blank, at) => {
      if (blank.kind !== 'choice') return;
      for (const { value, words } of blank.options) {
        const shown = blanks(pieces(part, blank.filled(value)))[at];
        expect(shown && pieceWords(shown)).toBe(words);
      }
    });
  });

  it('says nothing any more when it is removed, and is offered again', () => {
    const begun = part.begin(EVERYTHING, GIVEN);
    expect(part.leave(begun)).toEqual({ ...EVERYTHING, [field]: EVERYTHING[part.field] });
    expect(part.isSaid(part.leave(begun))).toBe(false);
  });
});

it('tells topics of the same name apart by their team, and says which are retired', () => {
  const topic = parts.find(({ field }) => field === 'topic');
  const [blank] = blanks(topic ? pieces(topic, EVERYTHING) : []);
  expect(blank?.kind === 'choice' && blank.options.map(({ words }) => words)).toEqual([
    'berths, Harbour office’s (retired)',
    'berths, Yard’s',
    'repairs',
  ]);
});

it.each([
  [{ to: 0 }, 'late'],
  [{ to: 15 }, 'less than 15 min left'],
  [{ from: 0, to: 60 }, '0 min to 1 h left'],
  [{ from: 90 }, 'at least 1 h 30 left'],
  [{ from: -480, to: -60 }, 'late 8 h to 1 h'],
  [{ from: -30, to: 0 }, 'late 30 min to due now'],
  [{ from: -30, to: 45 }, 'late 30 min to 45 min left'],
  [{ to: -60 }, 'more than 1 h late'],
])('%j is said as "%s"', (left, said) => {
  expect(leftWords(left)).toBe(said);
});

it('shows a span of days or of time left that is in no menu', () => {
  const said = readSentence('left -30..45; last 12');
  const words = parts.filter((part) => part.isSaid(said)).map((part) => pieces(part, said).map(pieceWords).join(''));
  expect(words).toEqual(['late 30 min to 45 min left', 'last text in the last 12 days']);
});

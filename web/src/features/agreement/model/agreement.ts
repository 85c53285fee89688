import type { Agreement, Said } from '../../../shared/api/types';

type Answer = Said['answer'];
type Ground = NonNullable<Said['ground']>;

const SHAPES: Record<Answer, string> = { AGREED: '✓', NOT_SAID: '○', OPTED_OUT: '×' };
const WORDS: Record<Answer, string> = { AGREED: 'agreed', NOT_SAID: 'not known', OPTED_OUT: 'opted out' };
const GROUNDS: Record<Ground, string> = {
  WROTE_FIRST: 'they wrote first',
  FORM: 'by a form',
  BY_WORD: 'by word',
  IMPORT: 'imported',
  KEYWORD: 'by text',
};

const NUMBERS: Record<Agreement['number'], string> = {
  GOOD: '',
  MARKED_WRONG: '× marked as wrong',
  CANNOT_RECEIVE: '× cannot receive texts, says the network',
  NO_SUCH_NUMBER: '× does not exist, says the network',
};

/** What speaks against the number itself; nothing for a good one. */
export function numberWords({ number }: Agreement): string {
  return NUMBERS[number];
}

/** "✓ agreed": whether they may be texted, as a shape and a word. */
export function agreementWords({ answer }: Said): string {
  return `${SHAPES[answer]} ${WORDS[answer]}`;
}

/** "they wrote first"; nothing while nothing is known. */
export function groundWords({ ground }: Said): string {
  return ground ? GROUNDS[ground] : '';
}

/** "agreed to news and offers" */
export function changeWords(change: Agreement['history'][number]): string {
  const what = change.service ? (change.news ? 'all texts' : 'answers and service texts') : 'news and offers';
  return change.given ? `agreed to ${what}` : `opted out of ${what}`;
}

/** "by word", as it stands behind what was noted. */
export function changeGround(change: Agreement['history'][number]): string {
  return GROUNDS[change.ground];
}

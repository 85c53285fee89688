import type { Dossier } from '../../../shared/api/types';

type Guest = Dossier['guests'][number];
type Part = NonNullable<Dossier['myPart']>;

/** What somebody may who was brought in, and by whom. */
export const guestWords = ({ by, mayAnswer }: Guest): string =>
  `brought in by ${by}${mayAnswer ? ', may answer' : ', for notes'}`;

/** To who was brought in: what they may do here. */
export function partWords(part: Part, by: string | undefined): string {
  const who = by ?? 'A colleague';
  return part === 'NOTES_AND_ANSWERS'
    ? `${who} brought you in until this is done: you can read it, write notes and answer the customer.`
    : `${who} brought you in until this is done: you can read it and write notes. The customer sees nothing of it.`;
}

/** Why an act is not theirs who was brought in; empty for everybody else. */
export function guestRefusal(part: Part | undefined, answering = false): string {
  if (part === undefined || (answering && part === 'NOTES_AND_ANSWERS')) return '';
  return 'You were brought in for notes. The team this belongs to does the rest.';
}

import type { Allowance, Check } from '../../../shared/api/types';
import { money } from '../../../shared/format';

/** What leaves below the words that are typed: a signature, and words that must stand there; nothing for none. */
export function below(check: Check | undefined, words: string): string {
  return check && words !== '' && check.leaving.startsWith(words) ? check.leaving.slice(words.length).trim() : '';
}

function left({ limit, used }: Allowance): number {
  return Math.max(0, limit - used);
}

/** The allowance of which the fewest parts are left. */
export function tightest(check: Check | undefined): Allowance | undefined {
  return check?.allowances.reduce<Allowance | undefined>(
    (least, each) => (least === undefined || left(each) < left(least) ? each : least),
    undefined,
  );
}

/** "412 parts left today" */
export function leftWords(allowance: Allowance): string {
  const parts = left(allowance);
  return `${parts === 0 ? 'no parts' : parts === 1 ? '1 part' : `${parts} parts`} left ${allowance.span}`;
}

/** What the text costs; nothing where no price is set, or nothing is written. */
export function costWords(check: Check | undefined): string {
  return check?.cost ? money(check.cost) : '';
}

/** When the text leaves, once it is sent. */
export function pauseWords(seconds: number): string {
  return seconds === 0 ? 'at once' : `${seconds} s after you send it`;
}

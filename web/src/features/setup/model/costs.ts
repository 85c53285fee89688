import type { CostSettings, Ledger } from '../../../shared/api/types';

export type Price = CostSettings['prices'][number];
export type AllowanceSetup = CostSettings['allowances'][number];

export const KINDS: { value: Price['kind']; words: string }[] = [
  { value: 'PART', words: 'part we send' },
  { value: 'TEXT_OUT', words: 'text we send' },
  { value: 'TEXT_IN', words: 'text that comes in' },
  { value: 'ATTACHMENT', words: 'attachment we send' },
];

export const SPANS: { value: AllowanceSetup['span']; words: string }[] = [
  { value: 'DAY', words: 'a day' },
  { value: 'WEEK', words: 'a week' },
  { value: 'MONTH', words: 'a month' },
];

/** A number as it is typed: with a point or a comma, and grouped or not; nothing when it is none. */
export function numberOf(typed: string): number | undefined {
  const bare = typed.trim().replace(/[\s_]/g, '');
  const plain = /^\d{1,3}(,\d{3})+(\.\d+)?$/.test(bare) ? bare.replace(/,/g, '') : bare.replace(',', '.');
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : undefined;
}

/** Whom an allowance is for, as one value: everyone, a person or a team. */
export function whoseKey({ staffId, teamId }: AllowanceSetup): string {
  return staffId !== undefined ? `PERSON ${staffId}` : teamId !== undefined ? `TEAM ${teamId}` : 'ALL';
}

export function whoseOf(key: string): Pick<AllowanceSetup, 'staffId' | 'teamId'> {
  const id = Number(key.split(' ')[1]);
  return key.startsWith('PERSON') ? { staffId: id } : key.startsWith('TEAM') ? { teamId: id } : {};
}

/** How the parts bought ahead stand. */
export function stockWords({ purchases, left, used, lastsDays }: Ledger): string {
  if (purchases.length === 0) return 'No parts were bought ahead.';
  const rest = left < 0 ? `${-left} more than bought are used` : `${left} left`;
  const lasts =
    lastsDays === undefined || left <= 0
      ? ''
      : lastsDays === 0
        ? ', enough for less than a day'
        : `, enough for about ${lastsDays === 1 ? '1 day' : `${lastsDays} days`} at the present pace`;
  return `${used} used, ${rest}${lasts}.`;
}

import type { CustomerChange } from '../../../shared/api/types';

const ACTS: Partial<Record<string, string>> = {
  CUSTOMER: 'said that the number is theirs',
  NEW_CUSTOMER: 'added the customer, who wrote from',
  ONE_OF_SEVERAL: 'said that they write from',
  NOT_FOR_US: 'said that it is not for us:',
  ADDED: 'added the number',
  GIVEN_UP: 'said that they gave up the number',
  JOINED: 'joined them with',
  IMPORTED: 'imported them from',
  PROVED: 'saw by a code that this number is theirs:',
};

/** What a change did, as it goes on after who did it. */
export function changeWords({ what, before, after, act }: CustomerChange): string {
  if (act !== undefined) return `${ACTS[what] ?? 'changed'} ${after ?? ''}`.trim();
  switch (what) {
    case 'customer':
      return 'added the customer';
    case 'list':
      return after === undefined ? `took them off the list ${before ?? ''}` : `put them on the list ${after}`;
    default:
      if (before === undefined) return `added ${what}: ${after ?? ''}`;
      return after === undefined ? `removed ${what}: ${before}` : `changed ${what} from “${before}” to “${after}”`;
  }
}

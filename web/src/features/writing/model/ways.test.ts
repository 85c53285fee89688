import { expect, it } from 'vitest';
import type { WayToWrite } from '../../../shared/api/types';
import { wayWords } from './ways';

const NOW = new Date('2026-06-09T19:05:00Z');
const way = (more: Partial<WayToWrite>): WayToWrite => ({
  lineId: 2,
  line: 'Yard and lift',
  address: '+13125550107',
  number: '(312) 555-0107',
  here: false,
  agreement: 'NOT_SAID',
  ...more,
});

it.each([
  [way({ here: true, conversation: 7 }), 'this conversation'],
  [way({}), 'new conversation'],
  [way({ conversation: 8, agreement: 'OPTED_OUT' }), 'another conversation · opted out of texts'],
  [
    way({ agreement: 'AGREED', opensAt: '2026-06-10T13:00:00Z' }),
    'new conversation · agreed to texts · closed until tomorrow 08:00',
  ],
])('says what changes with another way (%#)', (one, said) => {
  expect(wayWords(one, NOW, 'America/Chicago')).toBe(said);
});

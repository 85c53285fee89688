import { describe, expect, it } from 'vitest';
import type { Person } from '../../../shared/api/types';
import { PERMISSIONS, ROLES, standingWords, suits, usual } from './people';

const person = (more: Partial<Person>): Person => ({
  staff: { id: 1, name: 'Wen Zhao', initials: 'WZ', role: 'STAFF', mark: { shape: 'KEY', ink: 'RUST' }, active: true },
  standing: 'ACTIVE',
  permissions: [],
  teams: [],
  secondLook: false,
  in: true,
  why: 'ALWAYS',
  ...more,
});

describe('people who are set up', () => {
  it('are given only what suits their role', () => {
    for (const { value } of ROLES) expect(usual(value).every((each) => suits(each, value))).toBe(true);
    expect(PERMISSIONS.filter(({ value }) => suits(value, 'VIEWER')).map(({ value }) => value)).toEqual([
      'EXPORT',
      'SEE_ALL_LINES',
    ]);
  });

  it.each([
    [{}, 'staff, in'],
    [{ in: false }, 'staff, away'],
    [{ standing: 'INVITED' as const }, 'invited, not joined yet'],
    [{ standing: 'OFF' as const }, 'deactivated'],
  ])('stand as they do', (more, words) => {
    expect(standingWords(person(more))).toBe(words);
  });
});

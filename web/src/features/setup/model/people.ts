import type { Permission, Person, Role } from '../../../shared/api/types';

export const ROLES: { value: Role; words: string; means: string }[] = [
  { value: 'LEAD', words: 'lead', means: 'sets up lines and people, and can move everyone’s work' },
  { value: 'STAFF', words: 'staff', means: 'works with customers' },
  { value: 'VIEWER', words: 'viewer', means: 'can read, but not change anything' },
];

export const PERMISSIONS: { value: Permission; words: string }[] = [
  { value: 'TEXT', words: 'text customers' },
  { value: 'SEND_TO_MANY', words: 'text many customers at once' },
  { value: 'EXPORT', words: 'export' },
  { value: 'CHANGE_TEMPLATES', words: 'change templates' },
  { value: 'SEE_ALL_LINES', words: 'see all lines' },
  { value: 'REMOVE_FOR_GOOD', words: 'delete for good' },
];

/** What someone new in a role is given. */
export function usual(role: Role): Permission[] {
  switch (role) {
    case 'LEAD':
      return ['TEXT', 'SEND_TO_MANY', 'EXPORT', 'CHANGE_TEMPLATES'];
    case 'STAFF':
      return ['TEXT', 'CHANGE_TEMPLATES'];
    case 'VIEWER':
      return [];
  }
}

/** Whether it can be given to someone in this role: who only reads does not write. */
export function suits(permission: Permission, role: Role): boolean {
  return role !== 'VIEWER' || permission === 'EXPORT' || permission === 'SEE_ALL_LINES';
}

/** "lead, in", "invited", "deactivated" */
export function standingWords({ staff, standing, in: isIn }: Person): string {
  if (standing === 'INVITED') return 'invited, not joined yet';
  if (standing === 'OFF') return 'deactivated';
  const role = ROLES.find((one) => one.value === staff.role)?.words ?? '';
  return `${role}, ${isIn ? 'in' : 'away'}`;
}

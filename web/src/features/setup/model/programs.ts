import type { OtherProgram } from '../../../shared/api';

export type ProgramRight = OtherProgram['rights'][number];

/** What another program may be allowed; who may change something may read it as well. */
export const PROGRAM_RIGHTS: [ProgramRight, string][] = [
  ['READ_CUSTOMERS', 'read customers and numbers'],
  ['CHANGE_CUSTOMERS', 'add and change customers'],
  ['READ_APPOINTMENTS', 'read appointments'],
  ['CHANGE_APPOINTMENTS', 'add and change appointments'],
  ['READ_JOBS', 'read jobs'],
  ['CHANGE_JOBS', 'add and change jobs'],
  ['SEND_ENQUIRIES', 'send in enquiries from your web site'],
];

/** In one sentence. */
export function rightsWords(rights: ProgramRight[]): string {
  return PROGRAM_RIGHTS.filter(([right]) => rights.includes(right))
    .map(([, words]) => words)
    .join(', ');
}

import type { Entry } from '../../../shared/api/types';

/** Whether an entry stands in a part of a script; what is planned is none yet. */
export function standsIn(part: 'all' | 'texts' | 'notes' | 'planned', { kind }: Pick<Entry, 'kind'>): boolean {
  if (part === 'all') return true;
  return part === 'texts' ? kind === 'IN' || kind === 'OUT' : part === 'notes' && kind === 'NOTE';
}

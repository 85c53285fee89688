import type { EscalationStep } from '../../../shared/api/types';
import { duration } from '../../../shared/format';

/** Steps that are offered, in working minutes after the promise is due. */
export const AFTER = [-60, -30, -15, -5, 0, 15, 30, 60, 120, 240, 480];

/** As it goes on after "when an answer is". */
export function afterWords(minutes: number): string {
  if (minutes === 0) return 'late';
  return minutes < 0 ? `due in ${duration(-minutes)}` : `late by ${duration(minutes)}`;
}

export function toldKey({ told, staffId }: EscalationStep): string {
  return told === 'PERSON' ? `PERSON ${staffId ?? 0}` : told;
}

export function toldOf(key: string): Pick<EscalationStep, 'told' | 'staffId'> {
  const [told, id] = key.split(' ');
  return id === undefined ? { told: told as EscalationStep['told'] } : { told: 'PERSON', staffId: Number(id) };
}

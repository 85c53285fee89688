import type { EscalationStep } from '../../../shared/api/types';

/** Steps that are offered, in working minutes after the promise is due. */
export const AFTER = [-60, -30, -15, -5, 0, 15, 30, 60, 120, 240, 480];

function time(minutes: number): string {
  return minutes % 60 === 0 ? `${minutes / 60} h` : `${minutes} min`;
}

/** As it goes on after "when an answer is". */
export function afterWords(minutes: number): string {
  if (minutes === 0) return 'late';
  return minutes < 0 ? `due in ${time(-minutes)}` : `late by ${time(minutes)}`;
}

export function toldKey({ told, staffId }: EscalationStep): string {
  return told === 'PERSON' ? `PERSON ${staffId ?? 0}` : told;
}

export function toldOf(key: string): Pick<EscalationStep, 'told' | 'staffId'> {
  const [told, id] = key.split(' ');
  return id === undefined ? { told: told as EscalationStep['told'] } : { told: 'PERSON', staffId: Number(id) };
}

/** What a change of the set-up came to. */
export interface Outcome {
  id: number;
  reckoned: number;
}

/** "Saved. 12 conversations have a new due time." */
export function outcomeWords({ reckoned }: Outcome): string {
  if (reckoned === 0) return 'Saved. No due times changed.';
  return reckoned === 1
    ? 'Saved. 1 conversation has a new due time.'
    : `Saved. ${reckoned} conversations have a new due time.`;
}

/** What a change of the set-up came to. */
export interface Outcome {
  id: number;
  reckoned: number;
}

/** "Saved. 12 conversations are due at another time." */
export function outcomeWords({ reckoned }: Outcome): string {
  if (reckoned === 0) return 'Saved. Nothing is due at another time for it.';
  return reckoned === 1
    ? 'Saved. 1 conversation is due at another time.'
    : `Saved. ${reckoned} conversations are due at another time.`;
}

/** A month as a calendar shows it: weeks from Monday, with empty places before the first and after the last. */
export function weeksOf(month: string): (string | undefined)[][] {
  const [year = 1970, number = 1] = month.split('-').map(Number);
  const first = new Date(Date.UTC(year, number - 1, 1));
  const length = new Date(Date.UTC(year, number, 0)).getUTCDate();
  const lead = (first.getUTCDay() + 6) % 7;
  const days: (string | undefined)[] = [
    ...Array<undefined>(lead).fill(undefined),
    ...Array.from({ length }, (_, i) => `${month}-${String(i + 1).padStart(2, '0')}`),
  ];
  while (days.length % 7 !== 0) days.push(undefined);
  return Array.from({ length: days.length / 7 }, (_, i) => days.slice(i * 7, i * 7 + 7));
}

/** "2026-07" after so many months. */
export function monthAfter(month: string, by: number): string {
  const [year = 1970, number = 1] = month.split('-').map(Number);
  return new Date(Date.UTC(year, number - 1 + by, 1)).toISOString().slice(0, 7);
}

/** "July 2026" */
export function monthWords(month: string): string {
  return new Intl.DateTimeFormat('en-US', { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month}-01T00:00:00Z`),
  );
}

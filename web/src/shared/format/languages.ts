/** Languages of customers and templates, by their codes. */
export const LANGUAGES: [string, string][] = [
  ['en', 'English'],
  ['es', 'Spanish'],
  ['fr', 'French'],
  ['de', 'German'],
  ['pt', 'Portuguese'],
  ['it', 'Italian'],
  ['nl', 'Dutch'],
  ['pl', 'Polish'],
];

export function languageName(code: string): string {
  return LANGUAGES.find(([known]) => known === code)?.[1] ?? code;
}

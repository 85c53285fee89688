import type { DetailKind, ImportPreview, ImportRun } from '../../shared/api';

const TARGETS: [string, string][] = [
  ['NOTHING', 'left out'],
  ['NAME', 'name'],
  ['FIRST_NAME', 'first name'],
  ['LAST_NAME', 'last name'],
  ['NUMBER', 'a number'],
  ['EMAIL', 'e-mail'],
  ['SITE', 'site'],
  ['KIND', 'kind of customer'],
  ['OUTSIDE_ID', 'id in another program'],
  ['CONTACT', 'a contact person'],
  ['NOTE', 'a note'],
];

/** What a column can be about. */
export function targets(details: DetailKind[]): { value: string; words: string }[] {
  return [
    ...TARGETS.map(([value, words]) => ({ value, words })),
    ...details.filter(({ retired }) => !retired).map(({ id, name }) => ({ value: `DETAIL ${id}`, words: name })),
  ];
}

export const FATES: Record<ImportPreview['rows'][number]['fate'], string> = {
  NEW: 'new',
  SAME: 'on file, nothing changes',
  CHANGED: 'on file, changes',
  ASKED: 'is it the same?',
  REFUSED: 'cannot be taken',
};

const SEPARATORS: Record<string, string> = { ',': 'commas', ';': 'semicolons', '\t': 'tabs', '|': 'bars' };

export const separators = Object.entries(SEPARATORS).map(([value, words]) => ({ value, words }));

const count = (n: number, one: string, many: string) => `${n.toLocaleString('en-US')} ${n === 1 ? one : many}`;

/** What pressing the button does. */
export function takeWords({ counts }: ImportPreview): string {
  const parts = [
    counts.added > 0 ? `add ${count(counts.added, 'customer', 'customers')}` : '',
    counts.changed > 0 ? `change ${counts.changed.toLocaleString('en-US')}` : '',
  ].filter(Boolean);
  const all = parts.join(' and ');
  return all === '' ? 'Nothing to take' : all.charAt(0).toUpperCase() + all.slice(1);
}

/** How an import stands, in a sentence. */
export function importWords({ state, done, total, added, changed, why }: ImportRun): string {
  switch (state) {
    case 'HANDED_IN':
      return 'handed in, not taken yet';
    case 'RUNNING':
      return `${done.toLocaleString('en-US')} of ${total.toLocaleString('en-US')} rows so far`;
    case 'DONE':
      return `${count(added, 'customer', 'customers')} added, ${changed.toLocaleString('en-US')} changed`;
    case 'UNDOING':
      return why ?? 'is being taken back';
    case 'UNDONE':
      return why === undefined ? 'taken back' : `taken back. ${why}`;
  }
}

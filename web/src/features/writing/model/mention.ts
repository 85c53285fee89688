const LONGEST = 60;

/** The letters of a name that was begun with an at sign just before the cursor; none where there is no such sign. */
export function begunName(words: string, cursor: number): string | undefined {
  const before = words.slice(Math.max(0, cursor - LONGEST), cursor);
  const found = /(?:^|[^\p{L}\p{N}])@(\p{L}[^@\n]*|)$/u.exec(before);
  return found?.[1];
}

/** The words with the name in full where it was begun, and where the cursor stands then. */
export function completed(words: string, cursor: number, name: string): { words: string; at: number } {
  const begun = begunName(words, cursor) ?? '';
  const from = cursor - begun.length;
  return { words: `${words.slice(0, from)}${name} ${words.slice(cursor)}`, at: from + name.length + 1 };
}

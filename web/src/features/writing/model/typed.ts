const SHORT_NAME = /(?:^|\s)([\p{L}\p{N}][\p{L}\p{N}-]{1,23})$/u;

/** Whether a short name may stand just before the cursor; which there are is not known yet. */
export const mayBeShortName = (before: string) => SHORT_NAME.test(before);

/** The short name that stands just before the cursor, where there is a template with it. */
export function shortNameBefore(words: string, cursor: number, known: ReadonlySet<string>): string | undefined {
  const typed = SHORT_NAME.exec(words.slice(0, cursor))?.[1];
  return typed !== undefined && known.has(typed.toLowerCase()) ? typed : undefined;
}

const GAP = /\{\p{L}[^{}\n]{0,79}\}/u;

/** Where the next value is missing, from a place on. */
export function nextGap(words: string, from: number): { from: number; to: number } | undefined {
  const found = GAP.exec(words.slice(from));
  return found ? { from: from + found.index, to: from + found.index + found[0].length } : undefined;
}

export interface Put {
  words: string;
  /** What is marked then: the first gap, else nothing, behind what was put in. */
  from: number;
  to: number;
}

/** Words put in place of a stretch of others; a space keeps them apart from what stands there. */
export function putIn(words: string, from: number, to: number, added: string): Put {
  const before = words.slice(0, from);
  const after = words.slice(to);
  const left = before !== '' && !/\s$/.test(before) ? ' ' : '';
  const right = after !== '' && !/^[\s.,;:!?)]/.test(after) ? ' ' : '';
  const start = before.length + left.length;
  const next = `${before}${left}${added}${right}${after}`;
  const gap = nextGap(added, 0);
  const end = start + added.length;
  return gap ? { words: next, from: start + gap.from, to: start + gap.to } : { words: next, from: end, to: end };
}

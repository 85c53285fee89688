import type { Draft, Paper } from '../../../shared/api/types';

/** Words begun, with the reference under which they will be sent: the same one however often sending is tried. */
export interface Sheet {
  words: string;
  reference: string;
  /** When they were last changed, in milliseconds. */
  at: number;
  /** The newest line of the script that stood there when they were begun; 0 for none. */
  seen?: number | undefined;
  /** The text that was not delivered and that these words replace. */
  again?: number | undefined;
  /** The template from which they were made, in the version it had then. */
  template?: { id: number; version: number } | undefined;
  /** What a note asks for; kept by this browser only. */
  toDo?: { staff: number; at: string } | undefined;
}

export function freshSheet(reference: string): Sheet {
  return { words: '', reference, at: 0 };
}

/** The newer of what this browser and what the server kept; empty paper when neither kept anything. */
export function newest(local: Sheet | undefined, kept: Draft | undefined, reference: string): Sheet {
  const keptAt = kept ? Date.parse(kept.at) : 0;
  const same = local !== undefined && local.reference === kept?.reference;
  if (local && local.words !== '' && (same || local.at >= keptAt)) return local;
  if (kept) {
    // Under the reference it was kept with, whatever was tried with it goes out once.
    return {
      words: kept.words,
      reference: kept.reference ?? reference,
      at: keptAt,
      seen: kept.seen,
      again: kept.again,
      ...(kept.template !== undefined &&
        kept.templateVersion !== undefined && { template: { id: kept.template, version: kept.templateVersion } }),
    };
  }
  return local ?? freshSheet(reference);
}

/**
 * The paper with words that came back to it: the server keeps them as a draft that has no reference yet, above what was written since.
 * Undefined when nothing came back, or it is on the paper already.
 *
 * @param before what the server kept when it was last heard of
 * @param back words that came back to the paper already; the person may have written others in their place
 */
export function returned(local: Sheet, kept: Draft, before: Draft | undefined, back?: string): Sheet | undefined {
  if (kept.reference !== undefined) return undefined;
  const since = [local.words, before?.words ?? ''].find((had) => had !== '' && kept.words.endsWith(`\n${had}`));
  const words = since === undefined ? kept.words : kept.words.slice(0, -since.length - 1);
  if (local.words.startsWith(words) || words === back || (back && words.startsWith(`${back}\n`))) return undefined;
  return {
    ...newest(undefined, kept, local.reference),
    words: local.words === '' ? words : `${words}\n${local.words}`,
    at: Math.max(local.at, Date.parse(kept.at)),
  };
}

/**
 * What is left on a paper once its words went out: whatever was written on since, under a reference of its own.
 *
 * @param sent as they went
 */
export function afterSending(sheet: Sheet, sent: Pick<Sheet, 'words' | 'reference'>, reference: string): Sheet {
  if (sheet.reference !== sent.reference) return sheet;
  if (sheet.words === sent.words) return freshSheet(reference);
  const rest = sheet.words.startsWith(sent.words) ? sheet.words.slice(sent.words.length).trimStart() : sheet.words;
  return { ...sheet, words: rest, reference, template: undefined };
}

export function storageKey(staff: number, conversation: number, paper: Paper): string {
  return `fabulum.draft.${staff}.${conversation}.${paper}`;
}

/** Reads what {@link JSON.stringify} made of a sheet; anything else is no sheet. */
export function readSheet(stored: string | null): Sheet | undefined {
  if (stored === null) return undefined;
  try {
    const sheet = JSON.parse(stored) as Partial<Sheet> | null;
    const whole =
      typeof sheet?.words === 'string' && typeof sheet.reference === 'string' && typeof sheet.at === 'number';
    return whole ? (sheet as Sheet) : undefined;
  } catch {
    return undefined;
  }
}

const ADDRESS = /\b(?:https?:\/\/|www\.)[^\s<>"“”]+/giu;

/** What ends a sentence rather than an address. */
const BEHIND = /[.,;:!?'’)\]]+$/u;

export interface Stretch {
  words: string;
  /** Where in the text it begins. */
  from: number;
  /** Where it leads; nothing for plain words. */
  to?: string;
}

function leads(written: string): string | undefined {
  const full = /^www\./i.test(written) ? `https://${written}` : written;
  return URL.canParse(full) ? full : undefined;
}

/** Words with the web addresses in them; what only ends the sentence is not part of one. */
export function linked(words: string): Stretch[] {
  const stretches: Stretch[] = [];
  let at = 0;
  for (const found of words.matchAll(ADDRESS)) {
    let written = found[0];
    const end = BEHIND.exec(written)?.[0] ?? '';
    // A bracket that was opened in the address closes in it.
    const kept =
      end.startsWith(')') && written.includes('(') ? written.length - end.length + 1 : written.length - end.length;
    written = written.slice(0, kept);
    const to = leads(written);
    if (to === undefined) continue;
    if (found.index > at) stretches.push({ words: words.slice(at, found.index), from: at });
    stretches.push({ words: written, from: found.index, to });
    at = found.index + written.length;
  }
  if (at < words.length) stretches.push({ words: words.slice(at), from: at });
  return stretches;
}

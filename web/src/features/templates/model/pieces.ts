/** A part of a template as it is shown: words, or a placeholder by its name. */
export interface Shown {
  words?: string;
  /** What a placeholder is named here: "first name", "line: name". */
  name?: string;
  /** What stands there when nothing is known. */
  fallback?: string | undefined;
}

const PLACEHOLDER = /\{([^{}|]+)(?:\|([^{}|]*))?\}/g;

/** "customer: Boat" is "Boat": most stand for something of the customer. */
function nameOf(written: string): string {
  const [whose, name] = written.split(':').map((part) => part.trim());
  if (name === undefined) return whose ?? '';
  return whose?.toLowerCase() === 'customer' ? name : `${whose ?? ''}: ${name}`;
}

/** The parts of a template, for showing; what is wrong with it is the server's to say. */
export function piecesOf(words: string): Shown[] {
  const pieces: Shown[] = [];
  let at = 0;
  for (const found of words.matchAll(PLACEHOLDER)) {
    if (found.index > at) pieces.push({ words: words.slice(at, found.index) });
    const fallback = found[2]?.trim();
    pieces.push({ name: nameOf(found[1] ?? ''), fallback: fallback === '' ? undefined : fallback });
    at = found.index + found[0].length;
  }
  if (at < words.length) pieces.push({ words: words.slice(at) });
  return pieces;
}

/** As a placeholder is typed: without saying that it is the customer's. */
export function shortWritten(written: string): string {
  return written.replace(/^\{customer: /, '{');
}

/** A piece of a note; one that names a colleague stands out. */
export interface Piece {
  words: string;
  named: boolean;
}

/** The note in pieces, where those it is known to name are called by an at sign and their name, or their first name. */
export function withNames(words: string, names: string[]): Piece[] {
  const calls = names
    .flatMap((name) => [`@${name}`, `@${name.split(' ')[0] ?? name}`])
    .sort((a, b) => b.length - a.length)
    .map((call) => call.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'));
  if (calls.length === 0) return [{ words, named: false }];
  return words
    .split(new RegExp(`(${calls.join('|')})`, 'i'))
    .map((piece, i) => ({ words: piece, named: i % 2 === 1 }))
    .filter((piece) => piece.words !== '');
}

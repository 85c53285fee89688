import type { Parts } from '../../../shared/api/types';

const MOST_SHOWN = 6;

/** "1 part, 143 left"; of a text to several "1 part each, 3 in all, 143 left" */
export function meterWords(parts: Parts, copies = 1): string {
  const count = parts.parts === 1 ? '1 part' : `${parts.parts} parts`;
  const all = copies > 1 ? ` each, ${parts.parts * copies} in all` : '';
  return `${count}${all}, ${parts.unitsLeft} left`;
}

/** Which characters cost more, as people can see them. */
export function forcingWords(parts: Parts): string {
  const shown = parts.forcing.slice(0, MOST_SHOWN).map(visible).join('  ');
  const more = parts.forcing.length - MOST_SHOWN;
  return more > 0 ? `${shown} and ${more} more` : shown;
}

function visible(character: string): string {
  if (character.trim() === '' || /^[\u00ad\u200b-\u200f\u2060\ufeff]$/.test(character)) {
    const code = character.codePointAt(0) ?? 0;
    return `an unusual space (U+${code.toString(16).toUpperCase().padStart(4, '0')})`;
  }
  return character;
}

/** What the plain wording would save. */
export function offerWords(parts: Parts): string {
  if (!parts.plain) return '';
  if (parts.plain.saved > 0)
    return `Use plain characters (saves ${parts.plain.saved === 1 ? '1 part' : `${parts.plain.saved} parts`})`;
  return `Use plain characters (leaves ${parts.plain.unitsLeft})`;
}

/** What the button says it will do. */
export function sendWords(parts: Parts | undefined, anyway = false, copies = 1): string {
  const to = copies > 1 ? ` to ${copies}` : '';
  const what = (parts && parts.parts > 1 ? `Send ${parts.parts} parts` : 'Send') + (parts ? to : '');
  return anyway ? `${what} anyway` : what;
}

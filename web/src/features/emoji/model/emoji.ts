/** A picture that can stand among words. */
export interface Emoji {
  /** As it is written. */
  sign: string;
  /** Its name in English. */
  name: string;
  group: string;
  /** Other words to find it by. */
  words: readonly string[];
}

/** The groups as people call them, in the order in which they are offered. */
export const GROUPS: readonly { group: string; words: string }[] = [
  { group: 'Smileys & Emotion', words: 'faces' },
  { group: 'People & Body', words: 'people' },
  { group: 'Animals & Nature', words: 'nature' },
  { group: 'Food & Drink', words: 'food' },
  { group: 'Travel & Places', words: 'travel' },
  { group: 'Activities', words: 'leisure' },
  { group: 'Objects', words: 'things' },
  { group: 'Symbols', words: 'signs' },
  { group: 'Flags', words: 'flags' },
];

const MOST_FOUND = 160;
const MOST_RECENT = 16;

function fits(words: readonly string[], typed: string): boolean {
  return words.some((word) => word.startsWith(typed));
}

/** How well an emoji fits what was typed: the lower the better; undefined when a word fits nothing of it. */
function distance({ name, words, sign }: Emoji, typed: readonly string[]): number | undefined {
  const named = name.toLowerCase().split(/[^\p{L}\p{N}]+/u);
  let sum = 0;
  for (const word of typed) {
    if (word === sign || named[0] === word) continue;
    if (fits(named, word)) sum += 1;
    else if (fits(words, word)) sum += words.includes(word) ? 2 : 3;
    else return undefined;
  }
  return sum;
}

/** Those that fit every word that was typed, the best first; all of them begin a word of its name or of what else it is looked for by. */
export function findEmoji(all: readonly Emoji[], typed: string): Emoji[] {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return all
    .map((emoji) => ({ emoji, far: distance(emoji, words) }))
    .filter((one): one is { emoji: Emoji; far: number } => one.far !== undefined)
    .sort((a, b) => a.far - b.far)
    .slice(0, MOST_FOUND)
    .map(({ emoji }) => emoji);
}

/** Those used lately, the latest first, with one that is used now. */
export function withRecent(recent: readonly string[], sign: string): string[] {
  return [sign, ...recent.filter((each) => each !== sign)].slice(0, MOST_RECENT);
}

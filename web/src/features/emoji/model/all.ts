import words from 'emojilib';
import named from 'unicode-emoji-json/data-by-emoji.json';
import type { Emoji } from './emoji';

/** Phones that are some years old show nothing for what came later. */
const NEWEST_VERSION = 14;

const searched = words as Record<string, readonly string[] | undefined>;

/** All emoji that phones can be expected to show. */
export const EMOJI: readonly Emoji[] = Object.entries(named)
  .filter(([, { emoji_version }]) => Number(emoji_version) <= NEWEST_VERSION)
  .map(([sign, { name, group }]) => ({
    sign,
    name,
    group,
    words: (searched[sign] ?? []).map((word) => word.toLowerCase().replaceAll('_', ' ')),
  }));

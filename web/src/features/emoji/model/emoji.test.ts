import { describe, expect, it } from 'vitest';
import { EMOJI } from './all';
import { findEmoji, GROUPS, withRecent } from './emoji';

const signs = (typed: string) => findEmoji(EMOJI, typed).map(({ sign }) => sign);

describe('emoji', () => {
  it.each([
    ['anchor', '⚓'],
    ['sailboat', '⛵'],
    ['Thumbs Up', '👍'],
    ['ok hand', '👌'],
    ['red hear', '❤️'],
  ])('are found by their name, as by “%s”', (typed, sign) => {
    expect(signs(typed).slice(0, 3)).toContain(sign);
  });

  it.each([
    ['thanks', '🙏'],
    ['sad', '😢'],
    ['boat', '⛵'],
  ])('are found by other words, as by “%s”', (typed, sign) => {
    expect(signs(typed)).toContain(sign);
  });

  it('must fit every word, and nothing is found by nothing', () => {
    expect(signs('anchor qqq')).toEqual([]);
    expect(signs('  ')).toEqual([]);
    expect(signs('a').length).toBeLessThanOrEqual(160);
  });

  it('all belong to a group that is offered', () => {
    const offered = GROUPS.map(({ group }) => group);
    expect(EMOJI.filter(({ group }) => !offered.includes(group))).toEqual([]);
    expect(EMOJI.length).toBeGreaterThan(1_000);
  });

  it('used lately come first, each once', () => {
    expect(withRecent(['a', 'b'], 'b')).toEqual(['b', 'a']);
    expect(withRecent([...'abcdefghijklmnop'], 'z')).toHaveLength(16);
  });
});

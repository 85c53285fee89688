import { describe, expect, it } from 'vitest';
import { maren } from '../../../testing/data';
import { guestRefusal, guestWords, partWords } from './guests';

describe('a colleague who was brought in', () => {
  it('is said to be in, by whom and for what', () => {
    expect(guestWords({ staff: maren, by: 'Priya Nandakumar', mayAnswer: true })).toBe(
      'brought in by Priya Nandakumar, may answer',
    );
    expect(guestWords({ staff: maren, by: 'Priya Nandakumar', mayAnswer: false })).toMatch(/, for notes$/);
    expect(partWords('NOTES', 'Priya Nandakumar')).toMatch(/^Priya Nandakumar brought you in .* write notes\. /);
    expect(partWords('NOTES_AND_ANSWERS', undefined)).toMatch(/^A colleague brought you in .* answer the customer\.$/);
  });

  it.each([
    [undefined, false, false],
    [undefined, true, false],
    ['NOTES' as const, false, true],
    ['NOTES' as const, true, true],
    ['NOTES_AND_ANSWERS' as const, false, true],
    ['NOTES_AND_ANSWERS' as const, true, false],
  ])('as %s, answering %s, is refused: %s', (part, answering, refused) => {
    expect(guestRefusal(part, answering) !== '').toBe(refused);
  });
});

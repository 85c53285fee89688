import { describe, expect, it } from 'vitest';
import { asksWords, frameOf, NEW_FORM } from './forms';

describe('a form of the web site', () => {
  it.each([
    [{}, 'Takes enquiries. The number is confirmed with a code.'],
    [{ confirms: false }, 'Takes enquiries. The number is not confirmed.'],
    [{ asks: 'AGREEMENT' as const }, 'Asks only whether you may text them. The number is confirmed with a code.'],
    [{ inUse: false }, 'Switched off: its address shows nothing.'],
  ])('says what it does: %o', (more, said) => {
    expect(asksWords({ ...NEW_FORM, ...more })).toBe(said);
  });

  it('is shown in a frame whose address cannot break out of it', () => {
    expect(frameOf('https://inbox.example/form/ab?x="<', 'Ask “us” & "more"')).toContain(
      'src="https://inbox.example/form/ab?x=&quot;&lt;"',
    );
  });
});

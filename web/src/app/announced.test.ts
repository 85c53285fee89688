import { describe, expect, it } from 'vitest';
import type { LiveMessage } from '../shared/api';
import { announced } from './announced';

const message = (of: Partial<LiveMessage>) => ({ entries: [], ...of }) as unknown as LiveMessage;
const text = (words: string, notForUs = false) =>
  message({
    type: 'CONVERSATION',
    conversation: { number: '(917) 555-0114', notForUs } as LiveMessage['conversation'],
    entries: [{ kind: 'IN', words }] as LiveMessage['entries'],
  });

describe('what is said aloud', () => {
  it('a new text, until the next one', () => {
    const said = announced('', text('hello'));
    expect(said).toBe('New text from (917) 555-0114: hello');
    expect(announced(said, message({ type: 'BEAT' }))).toBe(said);
    expect(announced(said, text('and again'))).toBe('New text from (917) 555-0114: and again');
    expect(announced(said, text('an advertisement', true))).toBe(said);
  });

  it.each(['GONE', 'READ_AGAIN', 'PEOPLE'] as const)('is not left standing where sight may have ended: %s', (type) => {
    expect(announced('New text from Ann: not for everyone', message({ type }))).toBe('');
  });
});

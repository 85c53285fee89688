import type { LiveMessage } from '../shared/api';

/** After these a conversation may no longer be ours to see. */
const SIGHT_MAY_END: LiveMessage['type'][] = ['GONE', 'READ_AGAIN', 'PEOPLE'];

/**
 * What those who listen rather than look are told: a new text, in words, until the next one; nothing of it is left once it may not be
 * theirs to read any more.
 */
export function announced(before: string, message: LiveMessage): string {
  if (SIGHT_MAY_END.includes(message.type)) return '';
  const text = message.entries.find((entry) => entry.kind === 'IN');
  return text && message.conversation && !message.conversation.notForUs
    ? `New text from ${message.conversation.customerName ?? message.conversation.number}: ${text.words ?? ''}`
    : before;
}

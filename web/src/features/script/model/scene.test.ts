import { describe, expect, it } from 'vitest';
import type { Entry } from '../../../shared/api/types';
import { deliveryWords, direction, printed } from './scene';

const priya = { id: 3, name: 'Priya Nandakumar', initials: 'PN', role: 'STAFF' as const };
const entry = (id: number, at: string, kind: Entry['kind'], more: Partial<Entry> = {}): Entry => ({
  id,
  conversationId: 1,
  at,
  kind,
  automatic: false,
  ...more,
});

describe('the script', () => {
  it('names a speaker once for lines in a row, and again after another line or a new day', () => {
    const lines = printed(
      [
        entry(1, '2026-06-09T19:00:00Z', 'IN'),
        entry(2, '2026-06-09T19:01:00Z', 'IN'),
        entry(3, '2026-06-09T19:02:00Z', 'OUT', { speaker: priya }),
        entry(4, '2026-06-09T19:03:00Z', 'NOTE', { speaker: priya }),
        entry(5, '2026-06-10T05:30:00Z', 'NOTE', { speaker: priya }),
      ],
      'America/Chicago',
    );
    expect(lines.map((line) => line.named)).toEqual([true, false, true, true, true]);
    expect(lines.map((line) => line.newDay)).toEqual([true, false, false, false, true]);
  });

  it('tells what happened as a stage direction', () => {
    expect(direction(entry(1, '', 'EVENT', { event: 'TAKEN', speaker: priya }))).toBe('Priya Nandakumar takes it.');
    expect(direction(entry(1, '', 'EVENT', { event: 'DONE_UNANSWERED', speaker: priya }))).toContain(
      'without an answer',
    );
  });

  it('says why a text was not delivered', () => {
    expect(
      deliveryWords(
        entry(1, '', 'OUT', { delivery: 'NOT_DELIVERED', failureReason: 'This number is no longer in service.' }),
      ),
    ).toBe('× not delivered: This number is no longer in service.');
  });
});

import { describe, expect, it } from 'vitest';
import { minuteOfDay, timeOfDay, whenWords, whatWords } from './sending';

describe('the settings about sending', () => {
  it('a time of the day is read and written', () => {
    expect(timeOfDay(1260)).toBe('21:00');
    expect(timeOfDay(485)).toBe('08:05');
    expect(minuteOfDay('08:05', 0)).toBe(485);
    expect(minuteOfDay('', 485)).toBe(485);
  });

  it('a reason that this page does not know yet is still said', () => {
    expect(whenWords({ code: 'same-text', severity: 'ASK', choices: [] })).toBe(
      'The same text went to this number a moment ago',
    );
    expect(whenWords({ code: 'full-moon', severity: 'ASK', choices: [] })).toBe('full moon');
    expect(whatWords('REFUSE')).toBe('Do not send');
  });
});

import { describe, expect, it } from 'vitest';
import { minuteAt, pulled, spanOf, time, weekWords, WIDTH } from './week';

const span = (day: number, from: number, to: number) => ({ day, from: from * 60, to: to * 60 });

describe('a week that is drawn', () => {
  it('stands on quarters of an hour', () => {
    expect(minuteAt(8.1 / 30)).toBe(8 * 60);
    expect(minuteAt(-1)).toBe(0);
    expect(minuteAt(2)).toBe(WIDTH);
  });

  it('takes a drag either way round, and never an empty span', () => {
    expect(spanOf(1, 600, 480)).toEqual(span(1, 8, 10));
    expect(spanOf(1, 480, 480)).toEqual({ day: 1, from: 480, to: 495 });
    expect(spanOf(1, 27 * 60, 29 * 60).from).toBeLessThan(24 * 60);
  });

  it('keeps a pulled span possible', () => {
    expect(pulled(span(1, 8, 12), 'to', -600)).toEqual({ day: 1, from: 480, to: 495 });
    expect(pulled(span(1, 8, 12), 'from', -600)).toEqual(span(1, 0, 12));
    expect(pulled(span(5, 20, 26), 'both', 600)).toMatchObject({ to: 29.75 * 60 });
    expect(pulled(span(1, 8, 12), 'both', -600)).toEqual(span(1, 0, 4));
  });

  it('is said as people say it', () => {
    expect(weekWords([])).toBe('Always open.');
    expect(weekWords([...[1, 2, 3].flatMap((day) => [span(day, 13, 17), span(day, 8, 12)]), span(5, 20, 26)])).toBe(
      'Mon–Wed 8:00–12:00 and 13:00–17:00, Fri 20:00–2:00 next day',
    );
    expect(time(24 * 60)).toBe('24:00');
  });
});

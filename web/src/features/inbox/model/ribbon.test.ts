import { describe, expect, it } from 'vitest';
import { crowds, drawnLevel, place, spanBetween, timeAt, ribbonWords, spacing, stack, TICKS } from './ribbon';

describe('the time ribbon', () => {
  it('never puts a mark with more time left of one with less, and keeps all within its ends', () => {
    let before = 0;
    for (let seconds = -200_000; seconds < 400_000; seconds += 37) {
      const at = place(seconds);
      expect(at).toBeGreaterThanOrEqual(before);
      expect(at).toBeLessThanOrEqual(1);
      before = at;
    }
  });

  it('has no jumps where its parts meet', () => {
    for (const seam of [0, 3600, 8 * 3600]) {
      expect(Math.abs(place(seam + 1) - place(seam - 1))).toBeLessThan(0.01);
    }
  });

  it('gives the next hour the most room', () => {
    expect(place(3600) - place(0)).toBeGreaterThan(0.3);
    expect(TICKS.map((tick) => tick.at)).toEqual([...TICKS.map((tick) => tick.at)].sort((a, b) => a - b));
  });

  it('stacks what would collide, the more urgent lower, and never two in one place', () => {
    const seconds = Array.from({ length: 500 }, (_, i) => i * 30 - 3000);
    const marks = stack(seconds, 60);
    expect(new Set(marks.map((mark) => `${mark.column}/${mark.level}`)).size).toBe(500);
    expect(stack([10, 11, 12], 60).map((mark) => mark.level)).toEqual([0, 1, 2]);
    expect(Math.max(...marks.map((mark) => mark.column))).toBeLessThan(60);
  });

  it('keeps a stack within its room and leaves small ones their size', () => {
    for (const of of [1, 2, 3, 4, 6]) {
      const step = spacing(of, 46, 13);
      expect((of - 1) * step + 13).toBeLessThanOrEqual(46);
      expect(of === 1 || step > 6).toBe(true);
    }
  });

  it('draws the most urgent of a crowd, says how many there are, and spans them all', () => {
    const seconds = [...Array.from({ length: 40 }, (_, i) => 600 + i), 1800];
    const standings = stack(seconds, 60);
    const drawn = standings.map(drawnLevel);
    expect(drawn.filter((mark) => !mark.hidden)).toHaveLength(3);
    expect(Math.max(...drawn.map((mark) => mark.level)) * spacing(40, 46, 13) + 13).toBeLessThanOrEqual(46);
    const [crowd, ...more] = crowds(seconds, standings);
    expect(more).toEqual([]);
    expect(crowd?.of).toBe(40);
    expect(seconds.slice(0, 40).every((s) => (crowd?.from ?? 1) * 60 <= s && s <= (crowd?.to ?? 0) * 60)).toBe(true);
  });

  it.each([
    [[], undefined, 'Nobody is waiting for us.'],
    [[-60, -1, 30, 3600, 3601], '14:20', '2 late, 2 within the hour, 1 later, next promise 14:20'],
    [[4000], '16:00', 'nothing late, 1 later, next promise 16:00'],
  ])('says in words what it shows: %s', (seconds, next, words) => {
    expect(ribbonWords(seconds, next)).toBe(words);
  });
});

describe('a span dragged on the ribbon', () => {
  it('is where the marks stand: a place and its time go with each other', () => {
    for (const seconds of [-20 * 3600, -3600, -60, 0, 600, 1800, 3600, 7200, 6 * 3600, 12 * 3600, 30 * 3600]) {
      expect(Math.abs(timeAt(place(seconds)) - seconds)).toBeLessThanOrEqual(1);
    }
  });

  it('takes in what stands between its ends, either way round', () => {
    expect(spanBetween(place(0), place(3600))).toEqual({ from: 0, to: 60 });
    expect(spanBetween(place(3600), place(0))).toEqual({ from: 0, to: 60 });
  });

  it('goes on without bound at the edges', () => {
    expect(spanBetween(0, place(0))).toEqual({ to: 0 });
    expect(spanBetween(place(3600), 1)).toEqual({ from: 60 });
    expect(spanBetween(0, 1)).toBeUndefined();
  });
});

import { describe, expect, it } from 'vitest';
import { lengthWords, longest, OCTETS_A_SECOND, RATE, wav } from './wav';

const words = (file: ArrayBuffer, at: number) => String.fromCharCode(...new Uint8Array(file, at, 4));

describe('a recorded voice', () => {
  it('is a WAV file of one channel that says how long it is', () => {
    const file = wav(new Float32Array([0, 1, -1, 2, 0.5]));
    const view = new DataView(file);
    expect([words(file, 0), words(file, 8), words(file, 12), words(file, 36)]).toEqual([
      'RIFF',
      'WAVE',
      'fmt ',
      'data',
    ]);
    expect(file.byteLength).toBe(44 + 10);
    expect(view.getUint32(4, true)).toBe(file.byteLength - 8);
    expect(view.getUint16(22, true)).toBe(1);
    expect(view.getUint32(24, true)).toBe(RATE);
    expect(view.getUint32(40, true)).toBe(10);
    expect([0, 1, 2, 3, 4].map((i) => view.getInt16(44 + 2 * i, true))).toEqual([0, 32767, -32767, 32767, 16384]);
  });

  it.each([
    [5_000, 156],
    [25_000, 300],
    [100, 3],
  ])('of %d kB lasts at most %d s', (kilobytes, seconds) => {
    expect(longest(kilobytes)).toBe(seconds);
    expect(44 + seconds * OCTETS_A_SECOND).toBeLessThanOrEqual(kilobytes * 1_000);
  });

  it.each([
    [0, '0:00'],
    [65.9, '1:05'],
    [156, '2:36'],
  ])('%d s are said as %s', (seconds, said) => expect(lengthWords(seconds)).toBe(said));
});

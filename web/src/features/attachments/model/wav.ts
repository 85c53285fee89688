/** Samples a second: enough for a voice, and every phone plays it. */
export const RATE = 16_000;

const HEADER = 44;
const OCTETS_A_SAMPLE = 2;

/** How many octets a second of a voice takes. */
export const OCTETS_A_SECOND = RATE * OCTETS_A_SAMPLE;

/** A sound as a WAV file (RIFF, Multimedia Programming Interface 1.0): one channel, 16 bits a sample. */
export function wav(samples: Float32Array, rate = RATE): ArrayBuffer {
  const octets = samples.length * OCTETS_A_SAMPLE;
  const file = new ArrayBuffer(HEADER + octets);
  const view = new DataView(file);
  const words = (at: number, said: string) => [...said].forEach((one, i) => view.setUint8(at + i, one.charCodeAt(0)));
  words(0, 'RIFF');
  view.setUint32(4, HEADER - 8 + octets, true);
  words(8, 'WAVEfmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * OCTETS_A_SAMPLE, true);
  view.setUint16(32, OCTETS_A_SAMPLE, true);
  view.setUint16(34, 8 * OCTETS_A_SAMPLE, true);
  words(36, 'data');
  view.setUint32(40, octets, true);
  samples.forEach((sample, i) => {
    const held = Math.max(-1, Math.min(1, sample));
    view.setInt16(HEADER + i * OCTETS_A_SAMPLE, Math.round(held * 0x7fff), true);
  });
  return file;
}

/** How long a recording may be, so that the line carries it: in whole seconds, at most five minutes. */
export function longest(mostKilobytes: number): number {
  return Math.min(300, Math.floor((mostKilobytes * 1_000 - HEADER) / OCTETS_A_SECOND));
}

/** "1:05" */
export function lengthWords(seconds: number): string {
  return `${Math.floor(seconds / 60)}:${String(Math.floor(seconds % 60)).padStart(2, '0')}`;
}

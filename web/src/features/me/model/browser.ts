const BROWSERS: [RegExp, string][] = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chrome or Chromium'],
  [/Safari\//, 'Safari'],
];
const MACHINES: [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'a Mac'],
  [/Linux/, 'Linux'],
];

/** "Firefox on Windows": what a browser calls itself, in words; what cannot be told is left open. */
export function browserWords(agent: string): string {
  const browser = BROWSERS.find(([sign]) => sign.test(agent))?.[1] ?? 'A browser';
  const machine = MACHINES.find(([sign]) => sign.test(agent))?.[1];
  return machine ? `${browser} on ${machine}` : browser;
}

const made = new Map<string, Intl.DateTimeFormat>();

/**
 * How times of a zone are written; made once, since making one takes a hundred times as long as using it.
 *
 * @param name tells it from others of the same language and zone
 */
export function format(
  locale: string,
  zone: string,
  name: string,
  options: Intl.DateTimeFormatOptions,
): Intl.DateTimeFormat {
  const key = `${locale} ${zone} ${name}`;
  let found = made.get(key);
  if (!found) {
    found = new Intl.DateTimeFormat(locale, { timeZone: zone, ...options });
    made.set(key, found);
  }
  return found;
}

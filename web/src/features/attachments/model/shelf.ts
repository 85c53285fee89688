/** Those whose title or name contains what is typed. */
export function found<T extends { title: string; name: string }>(files: T[], typed: string): T[] {
  const wanted = typed.trim().toLowerCase();
  return files.filter(({ title, name }) => `${title} ${name}`.toLowerCase().includes(wanted));
}

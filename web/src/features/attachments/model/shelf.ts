/** Those whose title or name has what one types in it, wherever. */
export function found<T extends { title: string; name: string }>(files: T[], typed: string): T[] {
  const wanted = typed.trim().toLowerCase();
  return files.filter(({ title, name }) => `${title} ${name}`.toLowerCase().includes(wanted));
}

import type { Template, TemplateUsage } from '../../../shared/api';

export interface Chapter {
  name: string;
  templates: Template[];
}

function fold(words: string): string {
  return words.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();
}

/** Those that have all the words typed, anywhere in their title, short name, folder or text. */
export function found(templates: Template[], typed: string): Template[] {
  const sought = fold(typed).split(/\s+/).filter(Boolean);
  if (sought.length === 0) return templates;
  return templates.filter((one) => {
    const all = fold(`${one.shortName} ${one.title} ${one.folder} ${one.words}`);
    return sought.every((word) => all.includes(word));
  });
}

/** The templates by folder; a person's favourites before all, the retired behind. */
export function chapters(templates: Template[]): Chapter[] {
  const used = templates.filter(({ retired }) => !retired);
  const names = [...new Set(used.map(({ folder }) => folder))].sort((a, b) =>
    a === '' ? 1 : b === '' ? -1 : a.localeCompare(b, 'en', { sensitivity: 'base' }),
  );
  return [
    { name: 'Favourites', templates: used.filter(({ favourite }) => favourite) },
    ...names.map((name) => ({
      name: name === '' ? 'No folder' : name,
      templates: used.filter(({ folder }) => folder === name),
    })),
    { name: 'Retired', templates: templates.filter(({ retired }) => retired) },
  ].filter((chapter) => chapter.templates.length > 0);
}

/** "1 part", "1 to 3 parts" */
export function partsWords(shortest: number, longest: number): string {
  if (shortest === longest) return shortest === 1 ? '1 part' : `${shortest} parts`;
  return `${shortest} to ${longest} parts`;
}

/** How often, by whom, and whether it answered what was asked. */
export function usageWords({ times, by, latest, askedAgain }: TemplateUsage): string {
  if (times === 0) return 'Not used yet.';
  const often = times === 1 ? 'Used once' : `Used ${times.toLocaleString('en-US')} times`;
  const whom = by.map((one) => `${one.name} ${one.times}`).join(', ');
  const again =
    askedAgain === 0
      ? 'No customer asked again within a day.'
      : `After ${askedAgain} of ${latest} the customer asked again within a day.`;
  return `${often}: ${whom}. ${again}`;
}

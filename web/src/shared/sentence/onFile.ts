import { after, counted, part, quoted } from './grammar';

/** Parts about what is on file of customers, for every sentence that has them. */

export interface Named {
  id: number;
  name: string;
}

export interface OnFile {
  kind: string;
  list?: number | undefined;
  detail?: { id: number; words: string } | undefined;
}

export interface OnFileTerms {
  kinds: string[];
  lists: Named[];
  details: Named[];
}

const LONGEST_WORDS = 80;

export const named = ({ id, name }: Named) => ({ value: String(id), words: name });

export const kindPart = <S extends OnFile, G extends OnFileTerms>() =>
  part<S, 'kind', G>({
    field: 'kind',
    unsaid: '',
    menu: 'of a kind',
    begin: ({ kinds }) => kinds[0] ?? '',
    write: (kind) => [`kind ${quoted(kind)}`],
    read: (clause) => {
      const kind = after('kind', clause);
      return kind !== undefined && kind.length <= LONGEST_WORDS ? kind : undefined;
    },
    say: (kind, { kinds }) => [
      'of the kind ',
      {
        kind: 'choice',
        name: 'Kind of customer',
        value: kind,
        options: (kinds.includes(kind) || kind === '' ? kinds : [kind, ...kinds]).map((words) => ({
          value: words,
          words,
        })),
        filled: (value) => value,
      },
    ],
  });

export const detailPart = <S extends OnFile, G extends OnFileTerms>() =>
  part<S, 'detail', G>({
    field: 'detail',
    unsaid: undefined,
    menu: 'with a detail',
    begin: ({ details }) => (details[0] ? { id: details[0].id, words: '' } : undefined),
    write: (detail) => (detail ? [`detail ${detail.id} ${quoted(detail.words)}`.trim()] : []),
    read: (clause) => {
      const said = after('detail', clause)?.match(/^(\d+)(?: (.*))?$/s);
      const id = counted(said?.[1]);
      const words = said?.[2]?.trim() ?? '';
      return id !== undefined && words.length <= LONGEST_WORDS ? { id, words } : undefined;
    },
    say: (detail, { details }) => [
      'whose ',
      {
        kind: 'choice',
        name: 'Detail',
        value: String(detail?.id ?? ''),
        options: details.map(named),
        filled: (value) => ({ id: Number(value), words: detail?.words ?? '' }),
      },
      ' has ',
      {
        kind: 'words',
        name: 'Words in the detail',
        value: detail?.words ?? '',
        hint: 'anything',
        filled: (words) => ({ id: detail?.id ?? 0, words }),
      },
    ],
  });

export const listPart = <S extends OnFile, G extends OnFileTerms>() =>
  part<S, 'list', G>({
    field: 'list',
    unsaid: undefined,
    menu: 'on a list',
    begin: ({ lists }) => lists[0]?.id,
    write: (id) => [`list ${id ?? ''}`],
    read: (clause) => counted(after('list', clause)),
    say: (id, { lists }) => [
      'on the list ',
      {
        kind: 'choice',
        name: 'Customer list',
        value: String(id ?? ''),
        options: lists.map(named),
        filled: (value) => (value === '' ? undefined : Number(value)),
      },
    ],
  });

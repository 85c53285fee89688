import { type Column } from '../../shared/table';
import { fullMoment } from '../../shared/format';
import { Moment } from '../../shared/ui';

export interface ChangeRow {
  at: string;
  who: string | undefined;
  /** What it concerns. */
  about: string;
  what: string;
  before?: string | undefined;
  after?: string | undefined;
}

const told = (words: string) => (words === '' ? 'none' : words);

/** "narrowed: not narrowed → narrowed" */
function changeText({ what, before, after }: ChangeRow): string {
  const sides = [before, after].flatMap((side) => (side === undefined ? [] : [told(side)]));
  return sides.length === 0 ? what : `${what}: ${sides.join(' → ')}`;
}

/** The columns of a log: when, by whom, of what, and how it was before. */
export function changeColumns<R>(zone: string, read: (row: R) => ChangeRow): Column<R>[] {
  return [
    {
      name: 'When',
      width: '150px',
      always: true,
      orders: true,
      text: (row) => fullMoment(new Date(read(row).at), zone),
      cell: (row) => (
        <span className="figures">
          <Moment at={read(row).at} zone={zone} />
        </span>
      ),
    },
    { name: 'By', width: '150px', cell: (row) => read(row).who, text: (row) => read(row).who ?? '' },
    {
      name: 'Concerns',
      width: 'minmax(120px, 200px)',
      cell: (row) => <strong>{read(row).about}</strong>,
      text: (row) => read(row).about,
    },
    {
      name: 'Change',
      width: 'minmax(240px, 1fr)',
      always: true,
      text: (row) => changeText(read(row)),
      cell: (row) => {
        const { what, before, after } = read(row);
        return (
          <>
            {what}
            {(before ?? after) !== undefined && ': '}
            {before !== undefined && <s>{told(before)}</s>}
            {before !== undefined && after !== undefined && ' → '}
            {after !== undefined && told(after)}
          </>
        );
      },
    },
  ];
}

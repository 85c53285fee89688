import { Box, ButtonBase } from '@mui/material';
import { Fragment, type ReactNode, useState } from 'react';
import { Blank, BlankText } from '../ui';
import { type Grammar, type Part, type Piece, pieceWords } from './grammar';

interface Props<S, G> {
  grammar: Grammar<S, G>;
  sentence: S;
  given: G;
  /** How it begins: "Showing ". */
  opening: string;
  /** Parts that the place says already, and are not offered. */
  without?: (keyof S)[];
  onChange: (sentence: S) => void;
  /** How it ends. */
  children?: ReactNode;
}

/** A sentence of any grammar. Every blank is edited in place; parts can be added and removed. */
export function SentenceEditor<S extends object, G>({
  grammar,
  sentence,
  given,
  opening,
  without = [],
  onChange,
  children,
}: Props<S, G>) {
  const [adding, setAdding] = useState<keyof S>();
  const stands = (each: Part<S, G>) => !each.menu || each.isSaid(sentence) || adding === each.field;
  const parts = grammar.parts.filter((each) => !without.includes(each.field));
  const standing = parts.filter(stands);
  const addable = parts.filter((each) => !stands(each) && !each.byLink);
  const words = standing.map((each) => (each.menu ? ', ' : '') + each.say(sentence, given).map(pieceWords).join(''));
  const add = (field: string) => {
    const chosen = addable.find((each) => each.field === field);
    if (!chosen) return;
    setAdding(chosen.field);
    onChange(chosen.begin(sentence, given));
  };
  return (
    <Box
      role="group"
      aria-label={opening + words.join('')}
      sx={{ typography: 'body2', color: 'text.secondary', lineHeight: 1.7 }}
    >
      {opening}
      {standing.map((each) => {
        const pieces = each
          .say(sentence, given)
          .map((piece, i) => (
            <PieceOf key={i} piece={piece} begins={adding === each.field} onFilled={(next) => onChange(next)} />
          ));
        if (!each.menu) return <Fragment key={String(each.field)}>{pieces}</Fragment>;
        const leave = () => {
          setAdding(undefined);
          onChange(each.leave(sentence));
        };
        return (
          <Fragment key={String(each.field)}>
            {', '}
            <Box component="span" sx={{ whiteSpace: 'nowrap' }}>
              {pieces}
              <ButtonBase
                aria-label={`Remove ${each.menu}`}
                onClick={leave}
                sx={{ font: 'inherit', pl: 0.5, pr: 0.125, color: 'text.secondary', lineHeight: 1.2 }}
              >
                ×
              </ButtonBase>
            </Box>
          </Fragment>
        );
      })}
      {addable.length > 0 && (
        <>
          {' '}
          <Blank
            name="Add a condition"
            value={undefined as string | undefined}
            unsaid="and …"
            options={addable.map((each) => ({ value: String(each.field), words: each.menu ?? '' }))}
            onChange={(field) => field && add(field)}
          />
        </>
      )}
      {children}
    </Box>
  );
}

function PieceOf<S>({ piece, begins, onFilled }: { piece: Piece<S>; begins: boolean; onFilled: (next: S) => void }) {
  if (typeof piece === 'string') return piece;
  const { name, value } = piece;
  const fill = (next: string) => onFilled(piece.filled(next));
  if (piece.kind === 'choice') return <Blank name={name} value={value} options={piece.options} onChange={fill} />;
  return (
    <BlankText
      name={name}
      value={value}
      placeholder={piece.hint}
      type={piece.kind === 'date' ? 'date' : 'text'}
      begin={begins && piece.kind === 'words'}
      onChange={fill}
    />
  );
}

import { Box, Button } from '@mui/material';
import type { KeyboardEvent, ReactNode } from 'react';
import { Blank, Field, ProblemNote } from '../../shared/ui';
import type { Find, ShownPart } from './useFind';

const PARTS: { value: ShownPart; words: string }[] = [
  { value: 'all', words: 'everything' },
  { value: 'texts', words: 'texts only' },
  { value: 'notes', words: 'notes only' },
  { value: 'planned', words: 'what is planned' },
];

interface Props {
  find: Find;
  /** What is looked through: "this conversation". */
  label: string;
  /** Whether there can be planned texts. */
  plans: boolean;
  /** What else can be done with the script. */
  children?: ReactNode;
}

function counted({ count, at, words }: Find): string {
  if (words.trim() === '' || count === undefined) return '';
  return count === 0 ? 'not found' : `${at} of ${count}`;
}

/** Finds words in a script whose lines are drawn only as they come into view, and shows only a part of it. */
export function FindBar({ find, label, plans, children }: Props) {
  const pressed = (event: KeyboardEvent) => {
    if (event.key === 'Enter') find.step(event.shiftKey ? -1 : 1);
    if (event.key === 'Escape') find.close();
    if (event.key === 'Enter' || event.key === 'Escape') event.preventDefault();
  };
  const none = find.count === undefined || find.count === 0;
  return (
    <Box
      role="search"
      aria-label={`Find in ${label}`}
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        alignItems: 'center',
        gap: 1,
        px: { xs: 1, sm: 2 },
        py: 0.5,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Field
        label={`Find in ${label}`}
        value={find.words}
        // The person who opened it wants to type.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        slotProps={{ htmlInput: { maxLength: 300 } }}
        sx={{ width: 260, maxWidth: '100%' }}
        onChange={(event) => find.setWords(event.target.value)}
        onKeyDown={pressed}
      />
      <Box role="status" className="figures" sx={{ typography: 'caption', color: 'text.secondary', minWidth: '8ch' }}>
        {counted(find)}
      </Box>
      <Button disabled={none} aria-label="Earlier" onClick={() => find.step(1)}>
        ↑ Earlier
      </Button>
      <Button disabled={none} aria-label="Later" onClick={() => find.step(-1)}>
        ↓ Later
      </Button>
      <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
        {'Showing '}
        <Blank
          name="What is shown"
          value={find.part}
          options={plans ? PARTS : PARTS.filter(({ value }) => value !== 'planned')}
          onChange={find.setPart}
        />
      </Box>
      <Box sx={{ flex: 1 }} />
      {children}
      <Button color="inherit" onClick={find.close}>
        Close
      </Button>
      {find.hints.map((hint) => (
        <Box key={hint} sx={{ flexBasis: '100%', typography: 'caption', color: 'text.secondary' }}>
          {hint}
        </Box>
      ))}
      {find.error instanceof Error && <ProblemNote problem={find.error} />}
    </Box>
  );
}

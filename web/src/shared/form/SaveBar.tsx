import { Box, Button } from '@mui/material';
import type { ReactNode } from 'react';
import { ProblemNote } from '../ui';
import { Crossed } from './Crossed';
import type { FormOf } from './useForm';

interface Props<T extends object, R> {
  form: FormOf<T, R>;
  /** What the button says. */
  save: string;
  /** Whether it can be saved as it is; unless said otherwise, when something was changed. */
  ready?: boolean;
  /** What is said when it was saved. */
  saved?: (answer: R) => string;
  /** Ends the form without saving; else the changes can be undone. */
  onCancel?: () => void;
  /** Not within a form of its own: the button saves. */
  alone?: boolean;
  /** Stays in sight at the lower edge of a long form. */
  stays?: boolean;
  /** Further things to do. */
  children?: ReactNode;
}

const STAYS = {
  position: 'sticky',
  bottom: 0,
  bgcolor: 'background.default',
  borderTop: 1,
  borderColor: 'divider',
  py: 1,
};

/** The end of a form: what speaks against saving, what a colleague has changed, the way to save and the way back. */
export function SaveBar<T extends object, R>({
  form,
  save,
  ready = form.changed,
  saved,
  onCancel,
  alone = false,
  stays = false,
  children,
}: Props<T, R>) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', ...(stays && STAYS) }}>
      <Crossed what={form.crossed} leave={onCancel ? 'Cancel' : 'Undo changes'} />
      {form.problem && (
        <Box sx={{ flexBasis: '100%' }}>
          <ProblemNote problem={form.problem} />
          {form.elsewhere.map((why) => (
            <Box key={why} role="alert" sx={{ px: 2, color: 'error.main' }}>
              {why}
            </Box>
          ))}
        </Box>
      )}
      <Button
        type={alone ? 'button' : 'submit'}
        variant="contained"
        disabled={!ready || form.saving}
        onClick={alone ? () => form.save() : undefined}
      >
        {save}
      </Button>
      {onCancel ? (
        <Button onClick={onCancel}>Cancel</Button>
      ) : (
        form.changed && <Button onClick={form.undo}>Undo changes</Button>
      )}
      {children}
      {saved && form.saved && (
        <Box role="status" sx={{ color: 'text.secondary' }}>
          {saved(form.saved.answer)}
        </Box>
      )}
    </Box>
  );
}

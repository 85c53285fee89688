import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, LinearProgress } from '@mui/material';
import { useRef } from 'react';
import type { SeveralAct, SeveralCheck } from '../../shared/api';
import { money } from '../../shared/format';
import { ProblemNote } from '../../shared/ui';
import { useSeveral } from './useSeveral';

interface Props {
  act: SeveralAct;
  /** Under which it is done once; without it, one is made for it. */
  reference?: string | undefined;
  /** Told when the server has begun it. */
  onBegun?: (() => void) | undefined;
  onClose: (finished: boolean) => void;
}

const TITLES = {
  TOPIC: 'Add the topic',
  SET_ASIDE: 'Set them aside',
  DONE: 'Finish them',
  TEXT: 'Send the text',
};

function many(count: number, of = 'conversation'): string {
  return count === 1 ? `1 ${of}` : `${count} ${of}s`;
}

function costOf({ cost, currency }: SeveralCheck): string {
  return cost === undefined || currency === undefined ? '' : `, ${money({ amount: cost, currency })}`;
}

/** What the button does, with its count. */
function goWords(act: SeveralAct, check: SeveralCheck): string {
  switch (act.what) {
    case 'TOPIC':
      return `Add it to ${check.will}`;
    case 'SET_ASIDE':
      return `Set ${check.will} aside`;
    case 'DONE':
      return `Finish ${check.will}`;
    case 'TEXT':
      return `Send ${many(check.will, 'text')}, ${many(check.parts, 'part')}${costOf(check)}`;
  }
}

function Skips({ name, skipped }: Pick<SeveralCheck, 'skipped'> & { name: string }) {
  return (
    <Box
      component="ul"
      aria-label={name}
      sx={{ maxHeight: 220, overflowY: 'auto', pl: 2.5, my: 1, typography: 'body2' }}
    >
      {skipped.map((skip) => (
        <li key={skip.conversationId}>
          <strong>{skip.name}</strong>: {skip.why}
        </li>
      ))}
    </Box>
  );
}

/** Says before anything goes what will happen and who is skipped; then shows how far it is. */
export function SeveralDialog({ act, reference, onBegun, onClose }: Props) {
  const { check, begin, result } = useSeveral(act, reference, onBegun);
  const close = useRef<HTMLButtonElement>(null);
  const running = begin.isPending || result?.running === true;
  const finished = result !== undefined && !result.running;
  const coming = check.data;
  const skipped = result?.skipped ?? coming?.skipped ?? [];
  return (
    <Dialog open onClose={() => onClose(finished)} aria-labelledby="several-title" fullWidth maxWidth="sm">
      <DialogTitle id="several-title">{TITLES[act.what]}</DialogTitle>
      <DialogContent>
        {(check.error ?? begin.error) && <ProblemNote problem={check.error ?? begin.error} />}
        {!result && coming && (
          <p>
            {coming.will === 0 ? 'There is nothing to do.' : `This applies to ${many(coming.will)}.`}
            {skipped.length > 0 && ` ${many(skipped.length)} will be skipped:`}
          </p>
        )}
        {!result &&
          coming?.against.map((why) => (
            <Box key={why} role="note" sx={{ fontWeight: 600 }}>
              {coming.refused ? '×' : '·'} {why}
            </Box>
          ))}
        {result && (
          <p role="status">
            {running ? `${result.done} of ${result.total - skipped.length}…` : `Done for ${many(result.done)}.`}
            {finished && skipped.length > 0 && ` Skipped:`}
          </p>
        )}
        {running && (
          <LinearProgress
            variant="determinate"
            aria-label="Progress"
            value={result ? (100 * result.done) / Math.max(1, result.total - skipped.length) : 0}
          />
        )}
        {skipped.length > 0 && <Skips name="Skipped" skipped={skipped} />}
        {result && result.notDelivered.length > 0 && (
          <>
            <p>{many(result.notDelivered.length, 'text')} not delivered:</p>
            <Skips name="Not delivered" skipped={result.notDelivered} />
          </>
        )}
        {act.what === 'TEXT' && !result && <Box sx={{ whiteSpace: 'pre-wrap', fontStyle: 'italic' }}>{act.words}</Box>}
      </DialogContent>
      <DialogActions>
        <Button ref={close} onClick={() => onClose(finished)}>
          {finished || running ? 'Close' : 'Cancel'}
        </Button>
        {!result && coming && (
          <Button
            variant="contained"
            disabled={running || coming.will === 0 || coming.refused}
            onClick={() => {
              // This button goes; the keys stay in the dialog.
              close.current?.focus();
              begin.mutate();
            }}
          >
            {goWords(act, coming)}
          </Button>
        )}
      </DialogActions>
    </Dialog>
  );
}

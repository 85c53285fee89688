import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect, useSyncExternalStore } from 'react';
import { useBlocker } from 'react-router';
import { anythingUnsaved, onUnsaved } from '../shared/ui';

/** Asks before one leaves something that was changed and not saved. */
export function AskBeforeLeaving() {
  const blocker = useBlocker(
    ({ currentLocation, nextLocation }) => currentLocation.pathname !== nextLocation.pathname && anythingUnsaved(),
  );
  useEffect(() => {
    const leaving = (event: BeforeUnloadEvent) => {
      if (anythingUnsaved()) event.preventDefault();
    };
    window.addEventListener('beforeunload', leaving);
    return () => window.removeEventListener('beforeunload', leaving);
  }, []);
  const unsaved = useSyncExternalStore(onUnsaved, anythingUnsaved);
  // The person who saved and went on at once need not answer: it is saved meanwhile.
  useEffect(() => {
    if (blocker.state === 'blocked' && !unsaved) blocker.proceed();
  }, [blocker, unsaved]);
  if (blocker.state !== 'blocked') return null;
  return (
    <Dialog open onClose={() => blocker.reset()} aria-labelledby="leave-title">
      <DialogTitle id="leave-title">Leave without saving?</DialogTitle>
      <DialogContent>What you changed here is not saved yet.</DialogContent>
      <DialogActions>
        <Button onClick={() => blocker.proceed()}>Leave without saving</Button>
        <Button variant="contained" onClick={() => blocker.reset()}>
          Stay here
        </Button>
      </DialogActions>
    </Dialog>
  );
}

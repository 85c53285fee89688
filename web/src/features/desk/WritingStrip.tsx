import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { Link, useMatch } from 'react-router';
import { ApiProblem, dossierQuery, linesQuery, type Session } from '../../shared/api';
import { openWriting, ProblemNote, useOpenWriting } from '../../shared/ui';
import { type WritingHandle, WritingPlace } from '../writing';
import { useActs, useTypedLately, useWatch } from '../script';

/** The writing place that stays open, with its draft, while the user moves about the program. */
export function WritingStrip({ session }: { session: Session }) {
  const id = useOpenWriting();
  const inbox = useMatch('/inbox/:id')?.params.id;
  const identify = useMatch('/identify/:id')?.params.id;
  const shown = inbox ?? identify;
  // There the script has its own.
  if (id === undefined || shown === String(id)) return null;
  return <Strip key={id} id={id} session={session} />;
}

function Strip({ id, session }: { id: number; session: Session }) {
  const dossier = useQuery(dossierQuery(id));
  const line = useQuery(linesQuery).data?.find((one) => one.id === dossier.data?.conversation.lineId);
  const name = dossier.data?.customer?.name ?? dossier.data?.conversation.number ?? '';
  const acts = useActs(id, name);
  const [busyWriting, setBusyWriting] = useTypedLately();
  useWatch(id, true, busyWriting);
  const writing = useRef<WritingHandle>(null);
  const loaded = dossier.data !== undefined;
  useEffect(() => {
    if (loaded) writing.current?.begin('REPLY');
  }, [loaded]);
  const missing = dossier.error instanceof ApiProblem && dossier.error.status === 404;
  useEffect(() => {
    if (missing) openWriting(undefined);
  }, [missing]);
  return (
    <Box
      component="section"
      aria-label={`Writing to ${name}`}
      className="no-print"
      sx={{ borderTop: 2, borderColor: 'primary.main', bgcolor: 'background.paper' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, px: 2, pt: 0.5, typography: 'body2' }}>
        <Box sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
          Writing to <strong>{name}</strong>
          {line && `, from ${line.name}`}
        </Box>
        <Button component={Link} to={`/inbox/${id}`}>
          Open conversation
        </Button>
        <Button onClick={() => openWriting(undefined)} aria-label="Close the writing place; the draft is kept">
          Close
        </Button>
      </Box>
      {dossier.error && !dossier.data && <ProblemNote problem={dossier.error} onRetry={() => void dossier.refetch()} />}
      {dossier.data && (
        <WritingPlace
          ref={writing}
          dossier={dossier.data}
          line={line}
          me={session.staff.id}
          onFinish={acts.finishAfter}
          onWriting={setBusyWriting}
        />
      )}
    </Box>
  );
}

import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { ApiProblem, dossierQuery, linesQuery, type Session } from '../../shared/api';
import { ProblemNote, useKeys } from '../../shared/ui';
import { type WritingHandle, WritingPlace } from '../writing';
import { Dossier } from './Dossier';
import { Lines } from './Lines';
import { useActs } from './useActs';

const FOLDED = 'fabulum.dossier-folded';

/** As it was left; on a phone, where the script needs the room, folded. */
function unfoldedAtFirst(): boolean {
  const left = localStorage.getItem(FOLDED);
  return left === null ? window.matchMedia('(min-width: 761px)').matches : left === 'no';
}

interface Props {
  id: number;
  session: Session;
  onBack: (() => void) | undefined;
}

/** One conversation: its dossier, its script, and the writing place. */
export function Script({ id, session, onBack }: Props) {
  const dossier = useQuery(dossierQuery(id));
  const lines = useQuery(linesQuery);
  const acts = useActs(id);
  const [open, setOpen] = useState(unfoldedAtFirst);
  const writing = useRef<WritingHandle>(null);
  const fold = () => {
    localStorage.setItem(FOLDED, open ? 'yes' : 'no');
    setOpen(!open);
  };
  const conversation = dossier.data?.conversation;
  useKeys({
    t: acts.take,
    l: acts.letGo,
    d: conversation && conversation.group !== 'DONE' ? acts.finish : undefined,
    o: conversation?.group === 'DONE' ? acts.reopen : undefined,
    r: () => writing.current?.begin('REPLY'),
    n: () => writing.current?.begin('NOTE'),
    i: fold,
    escape: onBack,
  });

  if (dossier.error && !dossier.data) {
    const missing = dossier.error instanceof ApiProblem && dossier.error.status === 404;
    return (
      <Box sx={{ p: 3 }}>
        <ProblemNote problem={dossier.error} onRetry={missing ? undefined : () => void dossier.refetch()} />
      </Box>
    );
  }
  if (!dossier.data || !conversation) return <Box aria-busy="true" />;
  const line = lines.data?.find((each) => each.id === conversation.lineId);
  const name = dossier.data.customer?.name ?? conversation.number;
  return (
    <Box
      component="section"
      aria-label={`Conversation with ${name}`}
      sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0 }}
    >
      <Dossier
        dossier={dossier.data}
        line={line}
        me={session.staff.id}
        open={open}
        onFold={fold}
        onBack={onBack}
        acts={acts}
      />
      {acts.problem && <ProblemNote problem={acts.problem} />}
      <Lines
        id={id}
        zone={line?.zone ?? 'UTC'}
        customer={name}
        onWriteAgain={(words) => writing.current?.begin('REPLY', words)}
      />
      <WritingPlace ref={writing} dossier={dossier.data} line={line} me={session.staff.id} onFinish={acts.finish} />
    </Box>
  );
}

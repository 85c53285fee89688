import { Box, Button } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { ApiProblem, ask } from '../shared/api';
import {
  lastOffer,
  onceActsAnswered,
  readAgainAfterUndo,
  useKeys,
  useOffer,
  useTakeBack,
  withdrawOffer,
  useOpenConversation,
} from '../shared/ui';

const PROBLEM_SHOWN_MS = 6_000;

const MOST_NAMED = 5;

/** The names, as far as they can be read at a glance. */
function names(all: string[]): string {
  const more = all.length - MOST_NAMED;
  return more > 0 ? `${all.slice(0, MOST_NAMED).join(', ')} and ${more} more` : all.join(', ');
}

/** What was just done, and for some seconds the way to take it back. */
export function UndoBar() {
  const queries = useQueryClient();
  const offer = useOffer();
  const open = useOpenConversation();
  const { pathname } = useLocation();
  const [problem, setProblem] = useState('');
  const undo = useMutation({
    mutationFn: (back: { undo: string } | { identifying: number }) =>
      'undo' in back
        ? ask('POST', '/api/undo/{name}', { path: { name: back.undo } })
        : ask('POST', '/api/identifying/{act}/undo', { path: { act: back.identifying } }).then(() => undefined),
    onSuccess: (answer) => {
      if (answer && answer.left.length > 0)
        say(`${answer.undone} undone. Not undone, because something changed there since: ${names(answer.left)}.`);
    },
    onError: (why) => say(why instanceof ApiProblem ? why.message : 'It could not be undone.'),
    onSettled: () => readAgainAfterUndo(queries),
  });
  const back = useTakeBack((conversation) => {
    if (pathname !== `/inbox/${conversation}`) open(conversation, { write: true });
  });
  function say(words: string) {
    setProblem(words);
    setTimeout(() => setProblem(''), PROBLEM_SHOWN_MS);
  }
  const takeBack = () => {
    const offer = lastOffer();
    if (!offer) return;
    withdrawOffer();
    if ('text' in offer.back)
      back.mutate(offer.back.text, {
        onError: (why) => say(why instanceof ApiProblem ? why.message : 'It could not be taken back.'),
      });
    else undo.mutate(offer.back);
  };
  // The last act is meant, also while the server has not answered it yet.
  useKeys({ z: () => onceActsAnswered(queries, takeBack) });
  if (!offer && problem === '') return null;
  return (
    <Box
      role="status"
      className="no-print"
      sx={{
        display: 'flex',
        gap: 1,
        alignItems: 'center',
        minWidth: 0,
        px: 1.25,
        borderRadius: 1,
        typography: 'body2',
        bgcolor: 'text.primary',
        color: 'background.default',
      }}
    >
      <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        {offer?.words ?? problem}
      </Box>
      {offer && (
        <Button color="inherit" onClick={takeBack} sx={{ textDecoration: 'underline', whiteSpace: 'nowrap' }}>
          {'text' in offer.back ? 'Take back (Z)' : 'Undo (Z)'}
        </Button>
      )}
    </Box>
  );
}

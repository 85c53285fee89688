import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type Candidate, type Conversation, linesQuery } from '../../shared/api';
import { ActButton, Answered, NumberCheckLine, ProblemNote, tellMovedOn, useKeys, useRefusal } from '../../shared/ui';
import { CandidateRow } from './CandidateRow';
import { FindCustomer } from './FindCustomer';
import { ASK_WHICH, ASK_WHO, placeOfNobody, shownAtFirst } from './model/likelihood';
import { NewCustomer } from './NewCustomer';
import { NobodyRow } from './NobodyRow';
import { NotForUsChoice } from './NotForUsChoice';
import { type Answer, likelyQuery, useIdentify, useTakeBackIdentifying } from './queries';
import { ScopeChoice } from './ScopeChoice';

interface Props {
  conversation: Conversation;
  /** Begins a text that asks who is writing. */
  onAsk: (words: string) => void;
}

type Part = 'none' | 'new' | 'find' | 'not-for-us';
type Scope = Extract<Answer, { as: 'holder' }>['scope'];

const UNKNOWN: { nobody: number; candidates: Candidate[] } = { nobody: 0, candidates: [] };
const NOBODY: number[] = [];
const KEYS = ['Y', 'J', 'K'];

/** Who writes, when that is not known: the likely customers with their evidence, and what can be done, each with one key. */
export function IdentifyBand({ conversation, onAsk }: Props) {
  const query = useQuery(likelyQuery(conversation));
  const [part, setPart] = useState<Part>('none');
  const [all, setAll] = useState(false);
  const [scope, setScope] = useState<Scope>('CONVERSATION');
  const holders = query.data?.holders ?? NOBODY;
  const identify = useIdentify(conversation.id, holders);
  const refusal = useRefusal('WORK');
  const zone = useQuery(linesQuery).data?.find(({ id }) => id === conversation.lineId)?.zone ?? 'UTC';
  const ready = refusal === '' && query.data !== undefined && !identify.isPending && !conversation.notForUs;
  const likely = query.data ?? UNKNOWN;
  const candidates = likely.candidates.slice(0, all ? undefined : shownAtFirst(likely));
  const before = Math.min(placeOfNobody(likely), candidates.length);
  const isIt = (candidate: Candidate | undefined, givesUp?: number) => {
    if (!candidate) return;
    const { customerId, name } = candidate;
    identify.mutate(
      candidate.holds
        ? { as: 'holder', customerId, name, scope }
        : { as: 'customer', customerId, name, shared: holders.length > 0, ...(givesUp ? { givesUp } : {}) },
    );
  };
  const ask = () => onAsk(holders.length > 1 ? ASK_WHICH : ASK_WHO);
  const later = () => tellMovedOn(conversation.id);
  useKeys(
    ready
      ? {
          y: () => isIt(candidates[0]),
          j: () => isIt(candidates[1]),
          k: () => isIt(candidates[2]),
          p: () => setPart('new'),
          q: ask,
          '-': () => setPart('not-for-us'),
          '.': later,
        }
      : {},
  );
  const row = (candidate: Candidate, i: number) => (
    <CandidateRow
      key={candidate.customerId}
      candidate={candidate}
      hint={KEYS[i]}
      refusal={refusal}
      busy={identify.isPending}
      onIsIt={(givesUp) => isIt(candidate, givesUp)}
    />
  );
  if (conversation.notForUs) return <NotForUs conversation={conversation} />;
  return (
    <Box
      component="section"
      aria-label="Who is writing?"
      sx={{
        mx: 2,
        my: 1,
        pl: 1.5,
        borderLeft: 3,
        borderColor: 'info.main',
        typography: 'body2',
      }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 0.5, mb: 0.25 }}>
        <Box sx={{ flex: 1, minWidth: 240 }}>
          <strong>Who is writing?</strong>{' '}
          {holders.length > 1 ? 'Several customers have this number.' : 'This number is not on file.'}
        </Box>
        <ActButton refusal={refusal} aria-expanded={part === 'find'} onClick={() => setPart('find')}>
          Someone else…
        </ActButton>
        <ActButton hint="Q" refusal={refusal} onClick={ask}>
          Ask who it is
        </ActButton>
        <ActButton
          hint="-"
          refusal={refusal}
          aria-expanded={part === 'not-for-us'}
          onClick={() => setPart('not-for-us')}
        >
          Not for us…
        </ActButton>
        <ActButton hint="." onClick={later}>
          Later
        </ActButton>
      </Box>
      {part === 'new' && (
        <NewCustomer
          guessed={query.data?.guessedName ?? ''}
          problem={identify.error}
          onMake={(name) => identify.mutate({ as: 'new', name })}
          onClose={() => setPart('none')}
        />
      )}
      {part === 'find' && (
        <FindCustomer
          onChoose={(customerId, name) =>
            identify.mutate({ as: 'customer', customerId, name, shared: holders.length > 0 })
          }
          onClose={() => setPart('none')}
        />
      )}
      {part === 'not-for-us' && (
        <NotForUsChoice
          onChoose={(reason) => identify.mutate({ as: 'not-for-us', reason })}
          onClose={() => setPart('none')}
        />
      )}
      <Answered query={query}>
        {(likely) => (
          <>
            <NumberCheckLine
              address={conversation.address}
              check={likely.check}
              zone={zone}
              may={refusal === '' && likely.canCheck && conversation.answerable}
              onAsked={() => void query.refetch()}
            />
            {holders.length > 1 && <ScopeChoice scope={scope} onChange={setScope} />}
            <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {candidates.slice(0, before).map((candidate, i) => row(candidate, i))}
              <NobodyRow likely={likely} refusal={refusal} expanded={part === 'new'} onNew={() => setPart('new')} />
              {candidates.slice(before).map((candidate, i) => row(candidate, before + i))}
            </Box>
            {likely.candidates.length > candidates.length && (
              <Button onClick={() => setAll(true)} sx={{ p: 0 }}>
                Show {likely.candidates.length - candidates.length} more
              </Button>
            )}
          </>
        )}
      </Answered>
      {identify.error && <ProblemNote problem={identify.error} onRetry={() => void query.refetch()} />}
    </Box>
  );
}

function NotForUs({ conversation }: { conversation: Conversation }) {
  const { data } = useQuery(likelyQuery(conversation));
  const back = useTakeBackIdentifying();
  const refusal = useRefusal('WORK');
  const act = data?.acts.find((each) => each.kind === 'NOT_FOR_US' && each.undoneAt === undefined);
  return (
    <Box role="note" sx={{ mx: 2, my: 1, pl: 1.5, borderLeft: 3, borderColor: 'info.main', typography: 'body2' }}>
      <strong>Not for us{act?.words === 'JUNK' ? ': junk' : ': wrong number'}.</strong> Texts from this number stay out
      of the inbox.{' '}
      {act && (
        <ActButton refusal={refusal} disabled={back.isPending} onClick={() => back.mutate(act.id)} sx={{ p: 0 }}>
          It is for us after all
        </ActButton>
      )}
      {back.error && <ProblemNote problem={back.error} />}
    </Box>
  );
}

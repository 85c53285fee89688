import { Box, Button } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Comparison, linesQuery } from '../../shared/api';
import { instantOf, moment } from '../../shared/format';
import { Blank, BlankText, OfficeTabs, ProblemNote, useNow, useTitle } from '../../shared/ui';
import { HeldList } from './HeldList';
import { isBusy, outageQuery } from './queries';

const DAY_MS = 86_400_000;
const utcDay = (at: Date) => at.toISOString().slice(0, 10);

/** After an outage: what the network holds, compared with what we have, and what is missing taken in. */
export function OutagePage() {
  useTitle('After an outage');
  const queries = useQueryClient();
  const now = useNow();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const outage = useQuery(outageQuery);
  const [first, setFirst] = useState(() => utcDay(new Date(now.getTime() - DAY_MS)));
  const [last, setLast] = useState(() => utcDay(now));
  const readAgain = () => queries.invalidateQueries({ queryKey: outageQuery.queryKey });
  const compare = useMutation({
    mutationFn: () => ask('POST', '/api/outage/compare', { body: { first, last } }),
    onSettled: readAgain,
  });
  const look = useMutation({
    mutationFn: () => ask('POST', '/api/outage/ask'),
    onSettled: readAgain,
  });
  const busy = isBusy(outage.data);
  const comparison = outage.data?.comparison;
  const unreported = outage.data?.unreported ?? 0;
  const possible = first !== '' && last !== '';
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <OfficeTabs />
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          overflowY: 'auto',
          p: 2,
          maxWidth: 980,
          '& > * + *': { mt: 1.5 },
        }}
      >
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
          Fabulum asks the network by itself what reached it while we could not be reached. Here you can compare any
          days, and take in what is missing. Nothing is taken twice.
        </Box>
        <Box sx={{ lineHeight: 1.8 }}>
          Compare the network’s days from{' '}
          <BlankText name="First day" placeholder="day" type="date" value={first} onChange={setFirst} /> to{' '}
          <BlankText name="Last day" placeholder="day" type="date" value={last} onChange={setLast} />
          {'. '}
          <Button
            variant="contained"
            disabled={busy || compare.isPending || !possible}
            onClick={() => compare.mutate()}
          >
            Compare
          </Button>
          {possible && (
            <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
              The network counts its days in UTC: these are {localSpan(first, last, now, zone)} for us.
            </Box>
          )}
        </Box>
        {compare.error && <ProblemNote problem={compare.error} />}
        {outage.error && <ProblemNote problem={outage.error} onRetry={() => void outage.refetch()} />}
        {comparison && <Compared comparison={comparison} onTaken={() => void readAgain()} />}
        <Box component="section" aria-label="Texts of ours" sx={{ pt: 1.5, borderTop: 1, borderColor: 'divider' }}>
          {unreported === 0 ? (
            'The network has said of every text of ours what became of it.'
          ) : (
            <>
              Of {unreported} {unreported === 1 ? 'text' : 'texts'} of ours the network has not said what became of{' '}
              {unreported === 1 ? 'it' : 'them'}.{' '}
              <Button disabled={look.isPending} onClick={() => look.mutate()}>
                Ask about {unreported === 1 ? 'it' : 'them'} now
              </Button>
            </>
          )}
          {look.data && (
            <Box role="status" sx={{ typography: 'body2', color: 'text.secondary' }}>
              Fabulum is asking. What it hears appears in the scripts.
            </Box>
          )}
          {look.error && <ProblemNote problem={look.error} />}
        </Box>
      </Box>
    </Box>
  );
}

/** Days of UTC as the moments they are for us. */
function localSpan(first: string, last: string, now: Date, zone: string): string {
  const begins = new Date(`${first}T00:00:00Z`);
  const ends = new Date(new Date(`${last}T00:00:00Z`).getTime() + DAY_MS);
  if (Number.isNaN(begins.getTime()) || Number.isNaN(ends.getTime())) return '…';
  return `${moment(begins, now, zone)} to ${moment(ends, now, zone)}`;
}

const NONE = 'none';
const ALL = 'all';

/** What was found, and how it is taken in. */
function Compared({ comparison, onTaken }: { comparison: Comparison; onTaken: () => void }) {
  const now = useNow();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const [waits, setWaits] = useState('1');
  const take = useMutation({
    mutationFn: () => ask('POST', '/api/outage/take', { body: since(waits, now) }),
    onSettled: onTaken,
  });
  const { doing, days, daysDone, known, missing, different, taken, cannot, unreadable, problem } = comparison;
  return (
    <Box component="section" aria-label="Comparison" sx={{ '& > * + *': { mt: 1 } }}>
      <Box role="status" sx={{ typography: 'heading' }} className="figures">
        {doing === 'COMPARING'
          ? `Comparing, ${daysDone} of ${days} days`
          : doing === 'TAKING'
            ? `Taking in, ${taken} so far`
            : `${missing} missing, ${different} different, ${known} known${taken > 0 ? `, ${taken} taken in` : ''}`}
      </Box>
      {problem !== undefined && <Box sx={{ color: 'error.main' }}>{problem}</Box>}
      {cannot + unreadable > 0 && (
        <Box sx={{ typography: 'body2' }}>
          {cannot + unreadable} cannot be taken in. They are kept aside under Set-up, with the reason.
        </Box>
      )}
      {doing !== 'COMPARING' && missing > 0 && (
        <Box sx={{ lineHeight: 1.8 }}>
          {'Take them in, each at its own time. '}
          <Blank
            name="Who waits for an answer"
            value={waits}
            options={[
              { value: '1', words: 'Those of the last 24 hours wait for an answer' },
              { value: '3', words: 'Those of the last 3 days wait for an answer' },
              { value: ALL, words: 'All of them wait for an answer' },
              { value: NONE, words: 'None of them waits for an answer' },
            ]}
            onChange={(next) => setWaits(next)}
          />
          {waits === ALL ? '. ' : '; the others stand in their scripts and alert nobody. '}
          <Button variant="contained" disabled={doing === 'TAKING' || take.isPending} onClick={() => take.mutate()}>
            Take in {missing}
          </Button>
        </Box>
      )}
      {take.error && <ProblemNote problem={take.error} />}
      {comparison.texts.length > 0 && <HeldList texts={comparison.texts} now={now} zone={zone} />}
      {doing === 'RESTING' && missing + different + taken === 0 && (
        <Box sx={{ color: 'text.secondary' }}>We have everything the network holds for these days.</Box>
      )}
    </Box>
  );
}

/** From when on texts wait for an answer. */
function since(waits: string, now: Date): { waitsSince?: string } {
  if (waits === NONE) return {};
  if (waits === ALL) return { waitsSince: instantOf('2000-01-01T00:00', 'UTC').toISOString() };
  return { waitsSince: new Date(now.getTime() - Number(waits) * DAY_MS).toISOString() };
}

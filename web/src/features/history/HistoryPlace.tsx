import { Box, Button, useMediaQuery } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { useNavigate, useParams } from 'react-router';
import { type HistoryRow, linesQuery, type Session, teamsQuery } from '../../shared/api';
import {
  HISTORY,
  type HistorySentence,
  historyWords,
  LONGEST_MENTION,
  readHistory,
  writeHistory,
} from '../../shared/sentence/history';
import { SentenceEditor } from '../../shared/sentence/SentenceEditor';
import { Field, ProblemNote, useAddress, useKeys, useTitle } from '../../shared/ui';
import { ExportButton } from '../exports';
import { Script } from '../script';
import { SavedSentences } from '../sentences';
import { HistoryList } from './HistoryList';
import { historyQuery } from './queries';
import { useTerms } from './useTerms';

const NONE: HistoryRow[] = [];

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

function countWords(count: number, many: boolean): string {
  return many ? `more than ${count.toLocaleString('en-US')} found` : `${count.toLocaleString('en-US')} found`;
}

/** Every text, note and event of all lines the user sees, found by a sentence; beside it the script at the place that was found. */
export function HistoryPlace({ session }: { session: Session }) {
  useTitle('History');
  const navigate = useNavigate();
  const params = useParams();
  const entry = Number(params.entry) || undefined;
  const conversation = Number(params.conversation) || undefined;
  const [search, setSearch] = useAddress();
  const narrow = useMediaQuery('(max-width: 760px)');
  const sentence = readHistory(search.get('show') ?? '');
  const written = writeHistory(sentence);
  const query = useInfiniteQuery(historyQuery(written));
  const rows = useMemo(() => query.data?.pages.flatMap((page) => page.rows) ?? NONE, [query.data]);
  const marks = useMemo(() => new Map(rows.map(({ entry: { id }, hits }) => [id, hits])), [rows]);
  const first = query.data?.pages[0];
  const lines = useQuery(linesQuery).data ?? [];
  const teams = useQuery(teamsQuery).data;
  const terms = useTerms(sentence.customer);
  const teamName = useCallback((team: number) => teams?.find((one) => one.id === team)?.name ?? 'a team', [teams]);
  const say = (next: HistorySentence) => {
    const show = writeHistory(next);
    setSearch(show === '' ? {} : { show }, { replace: true });
  };
  const open = (row: HistoryRow | undefined) => {
    if (row)
      void navigate({ pathname: `/history/${row.entry.conversationId}/${row.entry.id}`, search: search.toString() });
  };
  const back = () => void navigate({ pathname: '/history', search: search.toString() });
  const at = rows.findIndex((row) => row.entry.id === entry);
  useKeys({
    arrowdown: () => open(rows[at < 0 ? 0 : Math.min(rows.length - 1, at + 1)]),
    arrowup: () => open(rows[Math.max(0, at - 1)]),
  });
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = query;
  const more = useCallback(() => void fetchNextPage(), [fetchNextPage]);
  const showList = !narrow || conversation === undefined;
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: narrow ? '1fr' : 'minmax(400px, 44%) 1fr',
      }}
    >
      {showList && (
        <Box
          component="section"
          aria-label="History"
          sx={{
            display: 'flex',
            flexDirection: 'column',
            minHeight: 0,
            minWidth: 0,
            borderRight: narrow ? 0 : 1,
            borderColor: 'divider',
          }}
        >
          <Box sx={{ px: 1.5, pt: 1.5, pb: 1, borderBottom: 1, borderColor: 'divider', display: 'grid', gap: 0.75 }}>
            <Field
              label="Words"
              placeholder='lift slot, "bilge pump", -storm, dav*, 555-0142'
              value={sentence.mention}
              // One comes here to look for something.
              // eslint-disable-next-line jsx-a11y/no-autofocus
              autoFocus={conversation === undefined}
              autoComplete="off"
              slotProps={{ htmlInput: { maxLength: LONGEST_MENTION } }}
              onChange={(event) => say({ ...sentence, mention: event.target.value })}
              onKeyDown={(event) => {
                if ((event.key !== 'ArrowDown' && event.key !== 'Enter') || rows.length === 0) return;
                event.preventDefault();
                // From here on the arrows move through what was found.
                if (event.target instanceof HTMLElement) event.target.blur();
                open(rows[0]);
              }}
            />
            <SavedSentences
              session={session}
              here={{ place: 'HISTORY', said: written }}
              plain={written === ''}
              onChoose={({ said }) => say(readHistory(said))}
            />
            <SentenceEditor
              grammar={HISTORY}
              sentence={sentence}
              given={terms}
              opening="Showing "
              without={['mention']}
              onChange={say}
            >
              {' '}
              <ExportButton
                said={written}
                title={capital(historyWords(sentence, terms))}
                zone={lines[0]?.zone ?? 'UTC'}
              />
              {first?.count !== undefined && (
                <Box
                  component="span"
                  role="status"
                  className="figures"
                  sx={{ ml: 1, fontWeight: 650, whiteSpace: 'nowrap' }}
                >
                  {countWords(first.count, first.many)}
                </Box>
              )}
            </SentenceEditor>
            {first && first.percent < 100 && (
              <Box role="status" sx={{ typography: 'body2', color: 'info.main' }}>
                History is being prepared. {first.percent} % can be found so far, the newest first.
              </Box>
            )}
            {first?.hints.map((hint) => (
              <Box key={hint} sx={{ typography: 'caption', color: 'text.secondary' }}>
                {hint}
              </Box>
            ))}
          </Box>
          {query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
          {first && rows.length === 0 && <Nothing sentence={sentence} nearMisses={first.nearMisses} onSay={say} />}
          {rows.length > 0 && (
            <HistoryList
              rows={rows}
              lines={lines}
              chosen={entry}
              teamName={teamName}
              hasMore={hasNextPage && !isFetchingNextPage}
              onMore={more}
              onOpen={open}
            />
          )}
        </Box>
      )}
      {conversation !== undefined ? (
        <Script
          key={conversation}
          id={conversation}
          session={session}
          at={entry}
          marks={marks}
          onBack={narrow ? back : undefined}
        />
      ) : (
        !narrow && (
          <Box sx={{ display: 'grid', placeItems: 'center', color: 'text.secondary', p: 4, textAlign: 'center' }}>
            <p>
              Choose a line to read it in its script, and answer it there.
              <br />
              The arrow keys move through what was found.
            </p>
          </Box>
        )
      )}
    </Box>
  );
}

interface NothingProps {
  sentence: HistorySentence;
  nearMisses: string[];
  onSay: (next: HistorySentence) => void;
}

/** Nothing was found: what may have been meant, and where else to look. */
function Nothing({ sentence, nearMisses, onSay }: NothingProps) {
  return (
    <Box sx={{ p: 3, color: 'text.secondary', display: 'grid', gap: 1, justifyItems: 'start' }}>
      {sentence.mention.trim() === ''
        ? 'Nothing here says all of this.'
        : sentence.match === 'alike'
          ? `Nothing was found that means “${sentence.mention}”.`
          : `Nothing was found with “${sentence.mention}”.`}
      {nearMisses.length > 0 && (
        <Box>
          Did you mean{' '}
          {nearMisses.map((words, i) => (
            <span key={words}>
              {i > 0 && ' or '}
              <Button sx={{ p: 0, verticalAlign: 'baseline' }} onClick={() => onSay({ ...sentence, mention: words })}>
                {words}
              </Button>
            </span>
          ))}
          ?
        </Box>
      )}
      {sentence.mention.trim() !== '' && sentence.match !== 'alike' && (
        <Button sx={{ p: 0 }} onClick={() => onSay({ ...sentence, match: 'alike' })}>
          Look for texts that mean this in other words
        </Button>
      )}
      {sentence.when === undefined && (
        <Button sx={{ p: 0 }} onClick={() => onSay({ ...sentence, when: { ever: true } })}>
          Look at any time, not only since Monday of last week
        </Button>
      )}
    </Box>
  );
}

import { Box, Link, useMediaQuery } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { type ReportSentence, writeReport } from '../../shared/sentence/reports';
import { writeHistory } from '../../shared/sentence/history';
import { part, ProblemNote } from '../../shared/ui';
import { BehindList } from './BehindList';
import { Costs } from './Costs';
import { summingWords, totalWords } from './model/values';
import { reportQuery, weekQuery } from './queries';
import { type Asked, ReportTable } from './ReportTable';
import { WeekMap } from './WeekMap';

/** Drawing is fetched when there is something to draw. */
const ReportChart = part(() => import('./ReportChart').then((part) => part.ReportChart));

/** Of these, the texts themselves are in History. */
const IN_HISTORY = ['texts', 'costs'];

/** The figures of a sentence: in words, drawn, as a table, and the conversations behind them. */
export function Figures({ sentence }: { sentence: ReportSentence }) {
  const written = writeReport(sentence);
  const narrow = useMediaQuery('(max-width: 900px)');
  const report = useQuery(reportQuery(written));
  const isWeek = sentence.subject === 'waits';
  const week = useQuery({ ...weekQuery(written), enabled: isWeek });
  const [asked, setAsked] = useState<Asked & { of: string }>();
  const open = asked?.of === written ? asked : undefined;
  // The figures before stay until the next are there; their rows are not rows of the next.
  const behind = !report.isPlaceholderData && !isWeek && !IN_HISTORY.includes(sentence.subject);
  const onAsk = behind ? (next: Asked) => setAsked({ ...next, of: written }) : undefined;
  const shown = report.data;
  const summing = shown && summingWords(shown.percent);
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: open && !narrow ? 'minmax(0, 1fr) 380px' : 'minmax(0, 1fr)',
      }}
    >
      <Box sx={{ overflowY: 'auto', px: 2, pb: 3, display: open && narrow ? 'none' : 'block' }}>
        {report.error && <ProblemNote problem={report.error} onRetry={() => void report.refetch()} />}
        {summing && (
          <Box role="status" sx={{ typography: 'body2', color: 'info.main', py: 0.5 }}>
            {summing}
          </Box>
        )}
        {shown && (
          <>
            <Box sx={{ typography: 'heading', py: 1 }} className="figures" aria-live="polite">
              {nothing(shown.total.values) ? 'Nothing to count on these days.' : totalWords(shown)}
            </Box>
            {isWeek && week.data && <WeekMap week={week.data} />}
            {!isWeek && sentence.subject !== 'people' && shown.rows.length > 0 && (
              <Suspense fallback={<Box sx={{ height: 250 }} />}>
                <ReportChart report={shown} onAsk={onAsk} />
              </Suspense>
            )}
            <Box sx={{ overflowX: 'auto' }}>
              <ReportTable report={shown} chosen={open} onAsk={onAsk} />
            </Box>
            {IN_HISTORY.includes(sentence.subject) && (
              <InHistory sentence={sentence} first={shown.first} last={shown.last} />
            )}
            {sentence.subject === 'costs' && sentence.person === undefined && <Costs />}
          </>
        )}
      </Box>
      {open && (
        <Box
          sx={{
            borderLeft: narrow ? 0 : 1,
            borderColor: 'divider',
            minHeight: 0,
            display: 'grid',
            displayPrint: 'none',
          }}
        >
          <BehindList sentence={written} asked={open} onClose={() => setAsked(undefined)} />
        </Box>
      )}
    </Box>
  );
}

function nothing(values: (number | null | undefined)[]): boolean {
  return values.every((value) => value === null || value === undefined || value === 0);
}

/** Where the texts are that were counted. */
function InHistory({ sentence, first, last }: { sentence: ReportSentence; first: string; last: string }) {
  const { line, site, team, person: by } = sentence;
  const show = writeHistory({
    what: 'texts',
    called: '',
    attached: false,
    match: 'all',
    mention: '',
    line,
    site,
    team,
    by,
    when: { from: first, to: last },
  });
  return (
    <Box sx={{ typography: 'body2', pt: 1 }}>
      <Link component={RouterLink} to={`/history?show=${encodeURIComponent(show)}`}>
        Show these texts in History
      </Link>
    </Box>
  );
}

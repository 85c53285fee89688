import { Box, Button, Link as Anchor } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ask, keys, type Session } from '../../shared/api';
import {
  impossibleParts,
  possibleReport,
  readReport,
  REPORTS,
  type ReportSentence,
  reportWords,
  writeReport,
} from '../../shared/sentence/reports';
import { SentenceEditor } from '../../shared/sentence/SentenceEditor';
import { OfficeTabs, ProblemNote, useAddress, useTitle } from '../../shared/ui';
import { SavedSentences, sentencesQuery } from '../sentences';
import { Figures } from './Figures';
import { useReportTerms } from './useReportTerms';

const QUIET = { displayPrint: 'none' } as const;

/** What was done, in figures: one sentence says of what. */
export function ReportsPage({ session }: { session: Session }) {
  useTitle('Reports');
  const [search, setSearch] = useAddress();
  const sentence = readReport(search.get('show') ?? '');
  const written = writeReport(sentence);
  const terms = useReportTerms(sentence.subject);
  const say = (next: ReportSentence) => {
    const show = writeReport(possibleReport(next));
    setSearch(show === '' ? {} : { show }, { replace: true });
  };
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Box sx={QUIET}>
        <OfficeTabs />
      </Box>
      <Box sx={{ px: 2, pt: 1.25, pb: 1, display: 'grid', gap: 0.5, borderBottom: 1, borderColor: 'divider' }}>
        <Box sx={{ ...QUIET, display: 'flex', flexWrap: 'wrap', columnGap: 2 }}>
          <SavedSentences
            session={session}
            here={{ place: 'REPORTS', said: written }}
            plain={written === ''}
            onChoose={({ said }) => say(readReport(said))}
          />
          <ByMail written={written} />
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'baseline' }}>
          <Box sx={{ flex: 1, minWidth: 280, ...QUIET }}>
            <SentenceEditor
              grammar={REPORTS}
              sentence={sentence}
              given={terms}
              opening="Showing "
              without={impossibleParts(sentence)}
              onChange={say}
            />
          </Box>
          <Box
            sx={{
              display: 'none',
              displayPrint: 'block',
              typography: 'title',
              '&::first-letter': { textTransform: 'uppercase' },
            }}
          >
            {reportWords(sentence, terms)}
          </Box>
          <Box sx={{ ...QUIET, display: 'flex', gap: 1.5, alignItems: 'baseline' }}>
            <Anchor href={`/api/reports/csv?sentence=${encodeURIComponent(written)}`} download="report.csv">
              Save as CSV
            </Anchor>
            <Button onClick={() => window.print()}>Print</Button>
          </Box>
        </Box>
      </Box>
      <Figures sentence={sentence} />
    </Box>
  );
}

/** A saved report of mine can come by mail each Monday. */
function ByMail({ written }: { written: string }) {
  const queries = useQueryClient();
  const saved = (useQuery(sentencesQuery).data ?? []).find(
    (one) => one.place === 'REPORTS' && one.said === written && one.mine,
  );
  const mail = useMutation({
    mutationFn: ({ id, mailed }: { id: number; mailed: boolean }) =>
      ask('PUT', '/api/sentences/{id}/mail', { path: { id }, body: { mailed } }),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.sentences }),
  });
  if (!saved) return null;
  return (
    <>
      <Button sx={{ px: 0, py: 0 }} onClick={() => mail.mutate({ id: saved.id, mailed: !saved.mailed })}>
        {saved.mailed ? 'Stop mailing it on Mondays' : 'Mail it to me on Mondays'}
      </Button>
      {mail.error && <ProblemNote problem={mail.error} />}
    </>
  );
}

import { Box } from '@mui/material';
import { useState } from 'react';
import type { Session } from '../../shared/api';
import {
  impossibleParts,
  possibleReport,
  REPORTS,
  type ReportSentence,
  type ReportTerms,
} from '../../shared/sentence/reports';
import { SentenceEditor } from '../../shared/sentence/SentenceEditor';
import { Figures } from './Figures';
import { useReportTerms } from './useReportTerms';

/** What I did, in figures; only I and leads see it. */
export function MyFigures({ session }: { session: Session }) {
  const [said, setSaid] = useState<ReportSentence>({ subject: 'answer times', by: 'week' });
  const terms = useReportTerms(said.subject);
  const mine = { ...possibleReport(said), person: session.staff.id };
  const given: ReportTerms = { ...terms, subjects: OWN };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      <Box sx={{ px: 2, pb: 0.5 }}>
        <SentenceEditor
          grammar={REPORTS}
          sentence={said}
          given={given}
          opening="Showing my own "
          without={[...impossibleParts(said), 'person']}
          onChange={(next) => setSaid(possibleReport(next))}
        />
        <Box sx={{ typography: 'caption', color: 'text.secondary' }}>Only you and leads see these figures.</Box>
      </Box>
      <Figures sentence={mine} />
    </Box>
  );
}

const OWN = ['answer times', 'first answers', 'time to done', 'people', 'costs'] as const;

import { Box, Button, LinearProgress } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { ask, type ImportPreview, type ImportRun, keys, linesQuery, staffQuery, upload } from '../../shared/api';
import { Answered, Moment, ProblemNote, useTitle } from '../../shared/ui';
import { UploadArea, useUploads } from '../../shared/upload';
import { importWords, subjects } from './model';
import { PreviewPart } from './PreviewPart';
import { importsQuery } from './queries';

/** Files: handed in, looked at, taken, and taken back. */
export function ImportPage() {
  useTitle('Import', 'Customers');
  const queries = useQueryClient();
  const [preview, setPreview] = useState<ImportPreview>();
  const uploads = useUploads<ImportPreview>((file, going) => upload('/api/imports', file, going), setPreview);
  const imports = useQuery(importsQuery);
  const again = () => {
    setPreview(undefined);
    void queries.invalidateQueries({ queryKey: keys.customers });
  };
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, overflowY: 'auto', p: 2 }}>
      <Box sx={{ maxWidth: 980, display: 'grid', gap: 2 }}>
        <Box>
          <Button component={Link} to="/customers" sx={{ p: 0 }}>
            ← All customers
          </Button>
          <Box component="h2" sx={{ m: 0, typography: 'title' }}>
            Import
          </Box>
          <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
            Customers from a CSV file or vCards, appointments from a calendar file (iCalendar) or CSV, jobs from CSV,
            past texts from CSV or JSON. You see what becomes of every row before anything changes, and can take an
            import back. Example files:{' '}
            {subjects.map(({ value, words }, i) => (
              <span key={value}>
                {i > 0 && ', '}
                <Button component="a" href={`/api/imports/example.csv?subject=${value}`} sx={{ p: 0 }}>
                  {words}
                </Button>
              </span>
            ))}
            .
          </Box>
        </Box>
        {preview ? (
          <PreviewPart key={preview.id} first={preview} onBegun={again} onGivenUp={again} />
        ) : (
          <UploadArea
            words="Choose a file"
            accept=".csv,.tsv,.txt,.vcf,.ics,.json,.jsonl,text/csv,text/vcard,text/calendar,application/json"
            going={uploads}
          />
        )}
        <Box component="section" aria-label="Imports so far">
          <Box component="h3" sx={{ m: 0, typography: 'heading', borderBottom: 1, borderColor: 'divider', mb: 0.5 }}>
            Imports so far
          </Box>
          <Answered query={imports}>
            {(rows) => {
              const shown = rows.filter(({ state }) => state !== 'HANDED_IN');
              return shown.length === 0 ? (
                <Box sx={{ color: 'text.secondary', typography: 'body2' }}>
                  None yet. Each is listed here with who did it, and can be undone.
                </Box>
              ) : (
                shown.map((one) => <Import key={one.id} one={one} onChange={again} />)
              );
            }}
          </Answered>
        </Box>
      </Box>
    </Box>
  );
}

function Import({ one, onChange }: { one: ImportRun; onChange: () => void }) {
  const staff = useQuery(staffQuery).data ?? [];
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const path = { id: one.id };
  const act = useMutation({
    mutationFn: async (what: 'undo' | 'cancel') => {
      if (what === 'undo') await ask('POST', '/api/imports/{id}/undo', { path });
      else await ask('POST', '/api/imports/{id}/cancel', { path });
    },
    onSettled: onChange,
  });
  return (
    <Box sx={{ py: 0.5, borderBottom: 1, borderColor: 'divider', typography: 'body2' }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, alignItems: 'baseline' }}>
        <Box sx={{ fontWeight: 650 }}>{one.fileName}</Box>
        <Moment at={one.madeAt} zone={zone} />
        <Box sx={{ color: 'text.secondary' }}>{staff.find(({ id }) => id === one.staffId)?.name}</Box>
        <Box role="status" className="figures" sx={{ flex: 1 }}>
          {importWords(one)}
        </Box>
        {one.state === 'DONE' && (
          <Button
            sx={{ p: 0 }}
            disabled={act.isPending}
            onClick={() => act.mutate('undo')}
            aria-label={`Take ${one.fileName} back`}
          >
            Take back
          </Button>
        )}
        {one.state === 'RUNNING' && (
          <Button sx={{ p: 0 }} disabled={act.isPending} onClick={() => act.mutate('cancel')}>
            Cancel
          </Button>
        )}
      </Box>
      {(one.state === 'RUNNING' || one.state === 'UNDOING') && (
        <LinearProgress
          aria-label={`${one.fileName} under way`}
          variant={one.state === 'RUNNING' ? 'determinate' : 'indeterminate'}
          value={one.total === 0 ? 100 : (100 * one.done) / one.total}
        />
      )}
      {act.error && <ProblemNote problem={act.error} />}
    </Box>
  );
}

import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { keys, type TemplatesTaken, upload } from '../../shared/api';
import { UploadArea, useUploads } from '../../shared/upload';

/** "3 new, 1 changed, 12 already there; 2 rows have problems and are left out" */
function tally({ added, changed, same, left }: TemplatesTaken): string {
  const rows = left === 1 ? '1 row has problems and is left out' : `${left} rows have problems and are left out`;
  return `${added} new, ${changed} changed, ${same} already there${left > 0 ? `; ${rows}` : ''}`;
}

/** Templates out of a file: what would become of it, then its good rows. */
export function ImportDialog({ onClose }: { onClose: () => void }) {
  const queries = useQueryClient();
  const [file, setFile] = useState<File>();
  const [taken, setTaken] = useState<TemplatesTaken>();
  const looks = useUploads<TemplatesTaken>(
    (one, going) => upload('/api/templates/import/preview', one, going),
    (answer, one) => {
      setFile(one);
      setTaken(answer);
    },
  );
  const takes = useUploads<TemplatesTaken>(
    (one, going) => upload('/api/templates/import', one, going),
    (answer) => {
      setTaken(answer);
      void queries.invalidateQueries({ queryKey: keys.templates });
    },
  );
  const good = taken && !taken.taken && taken.added + taken.changed > 0;
  return (
    <Dialog open onClose={onClose} aria-labelledby="template-import-title" fullWidth maxWidth="md">
      <DialogTitle id="template-import-title">Import templates</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, typography: 'body2' }}>
        {taken === undefined || file === undefined ? (
          <>
            <Box>
              A CSV or JSON file with the columns title and words, and where wanted short name, folder, language, lines,
              sites, teams. A row changes the template with its short name, or else with its folder and title. You see
              what becomes of it before anything changes.
            </Box>
            <UploadArea words="Choose a file" accept=".csv,.tsv,.txt,.json,text/csv,application/json" going={looks} />
          </>
        ) : (
          <>
            <Box role="status">
              {taken.taken ? 'Imported from' : 'In'} {file.name}: {tally(taken)}.
            </Box>
            {takes.uploads.some(({ problem }) => problem) && (
              <Box role="alert" sx={{ color: 'error.main' }}>
                {takes.uploads[0]?.problem?.message}
              </Box>
            )}
            <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
              {taken.problems.map(({ line, field, why }, i) => (
                <li key={i}>
                  Line {line}
                  {field !== '' && `, ${field}`}: {why}
                </li>
              ))}
            </Box>
            {taken.problems.length > 0 && taken.problems.length < taken.left && (
              <Box sx={{ color: 'text.secondary' }}>and more of the same kind</Box>
            )}
          </>
        )}
      </DialogContent>
      <DialogActions>
        {good && file && (
          <Button variant="contained" disabled={takes.uploads.length > 0} onClick={() => takes.add([file])}>
            Import {taken.added + taken.changed === 1 ? '1 template' : `${taken.added + taken.changed} templates`}
          </Button>
        )}
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

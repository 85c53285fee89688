import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogActions,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  Radio,
  RadioGroup,
} from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type Export } from '../../shared/api';
import { Moment, ProblemNote } from '../../shared/ui';
import { EXPORTS, exportsQuery } from './queries';

const FORMATS: { value: Export['format']; words: string }[] = [
  { value: 'PDF', words: 'PDF, a script to read and print' },
  { value: 'CSV', words: 'CSV, for a spreadsheet' },
  { value: 'JSON', words: 'JSON, for another program' },
];

interface Props {
  /** A sentence of History. */
  said: string;
  /** The same in words. */
  title: string;
  zone: string;
  onClose: () => void;
}

/** Takes out what a sentence means: in which format, and what is being made or can be fetched. */
export function ExportDialog({ said, title, zone, onClose }: Props) {
  const queries = useQueryClient();
  const [format, setFormat] = useState<Export['format']>('PDF');
  const [withFiles, setWithFiles] = useState(false);
  const mine = useQuery(exportsQuery);
  const begin = useMutation({
    mutationFn: () => ask('POST', '/api/exports', { body: { said, title, format, withFiles } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: EXPORTS }),
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="export-title" fullWidth maxWidth="sm">
      <DialogTitle id="export-title">Export</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5 }}>
        <Box sx={{ typography: 'body2' }}>{title}</Box>
        <RadioGroup
          aria-label="Format"
          value={format}
          onChange={(event) => setFormat(event.target.value as Export['format'])}
        >
          {FORMATS.map(({ value, words }) => (
            <FormControlLabel key={value} value={value} control={<Radio size="small" />} label={words} />
          ))}
        </RadioGroup>
        <FormControlLabel
          control={
            <Checkbox size="small" checked={withFiles} onChange={(event) => setWithFiles(event.target.checked)} />
          }
          label="With the attachments, in a ZIP"
        />
        <Box>
          <Button variant="contained" disabled={begin.isPending} onClick={() => begin.mutate()}>
            Export
          </Button>
        </Box>
        {begin.error && <ProblemNote problem={begin.error} />}
        {mine.error && <ProblemNote problem={mine.error} />}
        {mine.data && mine.data.length > 0 && (
          <Box component="section" aria-label="My exports">
            <Box sx={{ typography: 'caption', color: 'text.secondary', fontWeight: 700 }}>My exports</Box>
            <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {mine.data.map((one) => (
                <One key={one.id} one={one} zone={zone} />
              ))}
            </Box>
          </Box>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

function One({ one, zone }: { one: Export; zone: string }) {
  const queries = useQueryClient();
  const remove = useMutation({
    mutationFn: () => ask('DELETE', '/api/exports/{id}', { path: { id: one.id } }),
    onSettled: () => queries.invalidateQueries({ queryKey: EXPORTS }),
  });
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1,
        alignItems: 'baseline',
        py: 0.5,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ flex: '1 1 220px', minWidth: 0, typography: 'body2' }}>
        {one.title}
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {` · ${one.format}${one.withFiles ? ' in a ZIP' : ''} · `}
          <Moment at={one.madeAt} zone={zone} />
        </Box>
      </Box>
      <Standing one={one} zone={zone} />
      <Button color="inherit" aria-label={`Remove the export of ${one.title}`} onClick={() => remove.mutate()}>
        Remove
      </Button>
    </Box>
  );
}

function Standing({ one, zone }: { one: Export; zone: string }) {
  switch (one.state) {
    case 'WAITING':
      return <Box role="status">waits its turn</Box>;
    case 'RUNNING':
      return (
        <Box role="status" className="figures">
          {one.total > 0 ? `${one.done} of ${one.total} lines` : 'looking'}
        </Box>
      );
    case 'FAILED':
      return (
        <Box role="alert" sx={{ color: 'error.main', flexBasis: '100%', typography: 'body2' }}>
          {`× ${one.why ?? 'It could not be made.'}`}
        </Box>
      );
    case 'READY':
      return (
        <>
          <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
            {'until '}
            <Moment at={one.until} zone={zone} />
          </Box>
          <Button component="a" href={`/api/exports/${one.id}/file`} download>
            Download
          </Button>
        </>
      );
  }
}

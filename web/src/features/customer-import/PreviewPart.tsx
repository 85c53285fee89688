import {
  Box,
  Button,
  Checkbox,
  FormControlLabel,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, customerTermsQuery, type ImportChoice, type ImportPreview } from '../../shared/api';
import { Blank, ProblemNote } from '../../shared/ui';
import { fateWords, separators, subjects, takeWords, targets } from './model';

interface Props {
  first: ImportPreview;
  onBegun: () => void;
  onGivenUp: () => void;
}

/** How the file is read, and what would become of each row; nothing is changed yet. */
export function PreviewPart({ first, onBegun, onGivenUp }: Props) {
  const terms = useQuery(customerTermsQuery).data;
  const [preview, setPreview] = useState(first);
  const [choice, setChoice] = useState<ImportChoice>({
    subject: first.subject,
    encoding: first.encoding,
    separator: first.separator,
    headed: first.headed,
    targets: first.columns.map(({ target }) => target),
    answers: {},
    onlyGood: false,
  });
  const path = { id: first.id };
  const look = useMutation({
    mutationFn: (body: ImportChoice) => ask('POST', '/api/imports/{id}/preview', { path, body }),
    onSuccess: setPreview,
  });
  const run = useMutation({
    mutationFn: () => ask('POST', '/api/imports/{id}/run', { path, body: choice }),
    onSuccess: onBegun,
  });
  const giveUp = useMutation({
    mutationFn: () => ask('POST', '/api/imports/{id}/cancel', { path }),
    onSettled: onGivenUp,
  });
  const say = (next: Partial<ImportChoice>) => {
    const body = { ...choice, ...next };
    setChoice(body);
    look.mutate(body);
  };
  /** Read another way, the columns may be others. */
  const readAs = (next: Partial<ImportChoice>) => {
    const body = { ...choice, ...next, targets: undefined, answers: {} };
    look.mutate(body, {
      onSuccess: (came) =>
        setChoice({
          ...body,
          subject: came.subject,
          headed: came.headed,
          targets: came.columns.map(({ target }) => target),
        }),
    });
  };
  const { counts } = preview;
  const left = counts.refused + counts.asked;
  return (
    <Box component="section" aria-label="What would become of the file" sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ typography: 'body2', lineHeight: 1.7 }}>
        {preview.fileName} has{' '}
        {preview.fixed ? (
          subjects.find(({ value }) => value === preview.subject)?.words
        ) : (
          <Blank
            name="What is in the file"
            value={preview.subject}
            options={subjects}
            onChange={(subject) => readAs({ subject })}
          />
        )}{' '}
        and is read as{' '}
        <Blank
          name="Encoding"
          value={preview.encoding}
          options={preview.encodings.map((value) => ({ value, words: value }))}
          onChange={(encoding) => readAs({ encoding })}
        />
        {preview.separator !== '' && (
          <>
            {' with '}
            <Blank
              name="Separator"
              value={preview.separator}
              options={separators}
              onChange={(separator) => readAs({ separator })}
            />
            {' between the values; the first row has '}
            <Blank
              name="First row"
              value={preview.headed ? 'titles' : 'values'}
              options={['titles', 'values'].map((value) => ({ value, words: value }))}
              onChange={(value) => readAs({ headed: value === 'titles' })}
            />
          </>
        )}
        .{' '}
        {preview.subject === 'CUSTOMERS' && (
          <>
            Put them on{' '}
            <Blank
              name="Customer list"
              value={choice.list === undefined ? '' : String(choice.list)}
              options={[
                { value: '', words: 'no list' },
                ...(terms?.lists ?? []).map(({ id, name }) => ({ value: String(id), words: `the list ${name}` })),
              ]}
              onChange={(list) => say({ list: list === '' ? undefined : Number(list) })}
            />
            .
          </>
        )}
        {preview.subject === 'TEXTS' && 'They stand in the scripts at their time; nobody waits for an answer to them.'}
      </Box>
      <Columns
        preview={preview}
        details={terms?.details ?? []}
        onChange={(chosen) => say({ targets: chosen, answers: {} })}
      />
      <Box role="status" className="figures" sx={{ fontWeight: 650 }}>
        {look.isPending
          ? 'Looking …'
          : `${counts.added} new, ${counts.changed} to change, ${counts.same} unchanged, ${counts.asked} to answer, ${counts.refused} cannot be imported.`}
      </Box>
      <Rows preview={preview} answers={choice.answers ?? {}} onAnswer={(answers) => say({ answers })} />
      {counts.asked > 0 && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', typography: 'body2' }}>
          Rows you do not answer are left out.
          <Button
            sx={{ p: 0 }}
            onClick={() => say({ answers: answered(preview, choice.answers ?? {}, (row) => row.known ?? 0) })}
          >
            {preview.subject === 'CUSTOMERS' ? 'All are the same' : 'All are right'}
          </Button>
          {preview.subject === 'CUSTOMERS' && (
            <Button sx={{ p: 0 }} onClick={() => say({ answers: answered(preview, choice.answers ?? {}, () => 0) })}>
              All are new
            </Button>
          )}
        </Box>
      )}
      {counts.refused > 0 && (
        <FormControlLabel
          control={
            <Checkbox
              size="small"
              checked={choice.onlyGood}
              onChange={(_, onlyGood) => setChoice({ ...choice, onlyGood })}
            />
          }
          label={`Import only the good rows; skip the ${counts.refused} that cannot be imported`}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Button
          variant="contained"
          disabled={
            look.isPending ||
            run.isPending ||
            counts.added + counts.changed === 0 ||
            (counts.refused > 0 && !choice.onlyGood)
          }
          onClick={() => run.mutate()}
        >
          {takeWords(preview)}
        </Button>
        <Button onClick={() => giveUp.mutate()}>Give up this file</Button>
        {left > 0 && counts.added + counts.changed > 0 && (
          <Box sx={{ typography: 'body2', color: 'text.secondary' }}>{left} rows are left out.</Box>
        )}
      </Box>
      {(look.error ?? run.error) && <ProblemNote problem={look.error ?? run.error} />}
    </Box>
  );
}

type PreviewRow = ImportPreview['rows'][number];
type Answers = NonNullable<ImportChoice['answers']>;

function answered(preview: ImportPreview, had: Answers, answer: (row: PreviewRow) => number): Answers {
  const open = preview.rows.filter(({ fate }) => fate === 'ASKED');
  return { ...had, ...Object.fromEntries(open.map((row) => [row.line, answer(row)])) };
}

interface ColumnsProps {
  preview: ImportPreview;
  details: Parameters<typeof targets>[1];
  onChange: (targets: string[]) => void;
}

function Columns({ preview, details, onChange }: ColumnsProps) {
  const options = targets(preview.subject, details);
  const all = preview.columns.map(({ target }) => target);
  return (
    <Box sx={{ overflowX: 'auto', border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}>
      <Table size="small" aria-label="Columns of the file">
        <TableHead>
          <TableRow>
            <TableCell>Column</TableCell>
            <TableCell>Contains</TableCell>
            <TableCell>Use as</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {preview.columns.map(({ title, samples, target }, i) => (
            <TableRow key={i}>
              <TableCell>{title === '' ? `column ${i + 1}` : title}</TableCell>
              <TableCell sx={{ color: 'text.secondary', overflowWrap: 'anywhere' }}>{samples.join(', ')}</TableCell>
              <TableCell>
                <Blank
                  name={`What ${title === '' ? `column ${i + 1}` : title} is`}
                  value={target}
                  options={options}
                  onChange={(next) => onChange(all.map((had, j) => (i === j ? next : had)))}
                />
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

interface RowsProps {
  preview: ImportPreview;
  answers: Answers;
  onAnswer: (answers: Answers) => void;
}

function Rows({ preview, answers, onAnswer }: RowsProps) {
  return (
    <Box
      sx={{ maxHeight: 340, overflow: 'auto', border: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
      role="region"
      aria-label="Rows of the file"
      tabIndex={0}
    >
      <Table size="small" stickyHeader>
        <TableHead>
          <TableRow>
            <TableCell>Line</TableCell>
            <TableCell>What it says</TableCell>
            <TableCell>What will happen</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {preview.rows.map((row) => (
            <TableRow key={row.line}>
              <TableCell className="figures">{row.line}</TableCell>
              <TableCell sx={{ overflowWrap: 'anywhere' }}>{row.shown}</TableCell>
              <TableCell sx={{ color: row.fate === 'REFUSED' ? 'error.main' : 'text.primary' }}>
                <strong>{fateWords(preview.subject, row.fate)}</strong>
                {row.fate === 'CHANGED' && row.knownName && `: ${row.knownName}`}
                {row.words.length > 0 && <Box>{row.words.join('; ')}</Box>}
                {row.fate === 'ASKED' && (
                  <Box sx={{ display: 'flex', gap: 1.5 }}>
                    <Button sx={{ p: 0 }} onClick={() => onAnswer({ ...answers, [row.line]: row.known ?? 0 })}>
                      {preview.subject === 'CUSTOMERS' ? 'Yes, the same' : `Yes, for ${row.knownName ?? 'them'}`}
                    </Button>
                    {preview.subject === 'CUSTOMERS' && (
                      <Button sx={{ p: 0 }} onClick={() => onAnswer({ ...answers, [row.line]: 0 })}>
                        No, a new one
                      </Button>
                    )}
                  </Box>
                )}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}

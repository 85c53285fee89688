import { Box, Button, ButtonBase } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, startTransition, useEffect, useRef, useState } from 'react';
import { type Conversation, offeredQuery, type OfferedTemplate, type Template } from '../../shared/api';
import { money } from '../../shared/format';
import { SideSheet } from '../../shared/sheet';
import { ActButton, Field, ProblemNote, useRefusal } from '../../shared/ui';
import { templatesQuery } from './queries';
import { TemplateDialog } from './TemplateDialog';
import { FilledWords } from './TemplateWords';
import { MakeTemplate } from './MakeTemplate';

interface Props {
  conversation: Conversation;
  asked: boolean;
  /** What is on the paper, to be made a template. */
  written: () => string;
  onInsert: (template: OfferedTemplate) => void;
  onClose: () => void;
}

const AT_ONCE = 8;

/** The templates beside the script, filled for this customer, found while the user types. */
export function TemplateSheet({ conversation, asked, written, onInsert, onClose }: Props) {
  const { id, version } = conversation;
  const [words, setWords] = useState('');
  const [at, setAt] = useState(0);
  const [changing, setChanging] = useState<Template>();
  const [making, setMaking] = useState<string>();
  const refusal = useRefusal('CHANGE_TEMPLATES');
  const book = useQuery(templatesQuery).data;
  const offered = useInfiniteQuery(offeredQuery(id, version, words));
  const found = offered.data?.pages.flatMap((page) => page.templates) ?? [];
  // The first few show at once; the others follow when the sheet stands.
  const [stands, setStands] = useState(false);
  useEffect(() => startTransition(() => setStands(true)), []);
  const rows = stands ? found : found.slice(0, AT_ONCE);
  const all = offered.data?.pages[0]?.all ?? 0;
  const list = useRef<HTMLDivElement>(null);
  const move = (to: number) => {
    setAt(to);
    list.current?.children[to]?.scrollIntoView({ block: 'nearest' });
  };
  const pressed = (event: KeyboardEvent) => {
    const row = rows[at];
    if (event.key === 'ArrowDown') move(Math.min(rows.length - 1, at + 1));
    else if (event.key === 'ArrowUp') move(Math.max(0, at - 1));
    else if (event.key === 'Enter' && row) onInsert(row);
    else return;
    event.preventDefault();
  };
  return (
    <SideSheet title="Templates" asked={false} onClose={onClose}>
      <Field
        label="Find a template"
        placeholder="words or a short name"
        value={words}
        autoComplete="off"
        fullWidth
        // Just opened, it is there to look for something.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus={asked}
        onKeyDown={pressed}
        onChange={(event) => {
          setWords(event.target.value);
          setAt(0);
        }}
      />
      <Box sx={{ typography: 'caption', color: 'text.secondary', py: 0.5 }}>
        {all > 0 && `${all === 1 ? '1 template' : `${all} templates`}, filled for this conversation. Enter inserts.`}
      </Box>
      {offered.error && <ProblemNote problem={offered.error} />}
      <Box ref={list}>
        {rows.map((row, i) => (
          <Row
            key={row.id}
            row={row}
            here={i === at}
            mayChange={book?.find((one) => one.id === row.id)?.mayChange === true}
            onInsert={() => onInsert(row)}
            onChange={() => setChanging(book?.find((one) => one.id === row.id))}
          />
        ))}
      </Box>
      {offered.data && rows.length === 0 && (
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
          {words === ''
            ? 'No templates for this line yet. Write an answer, then make a template of it here.'
            : 'No template has these words.'}
        </Box>
      )}
      {offered.hasNextPage && <Button onClick={() => void offered.fetchNextPage()}>Show more</Button>}
      <ActButton refusal={refusal} sx={{ px: 0, mt: 1 }} onClick={() => setMaking(written())}>
        Make a template of what I wrote
      </ActButton>
      {changing && <TemplateDialog template={changing} onDone={() => setChanging(undefined)} />}
      {making !== undefined && <MakeTemplate id={id} words={making} onDone={() => setMaking(undefined)} />}
    </SideSheet>
  );
}

interface RowProps {
  row: OfferedTemplate;
  here: boolean;
  mayChange: boolean;
  onInsert: () => void;
  onChange: () => void;
}

function Row({ row, here, mayChange, onInsert, onChange }: RowProps) {
  const parts = row.parts === 1 ? '1 part' : `${row.parts} parts`;
  return (
    <Box
      sx={{
        borderTop: 1,
        borderColor: 'divider',
        py: 0.75,
        bgcolor: here ? 'inks.pineWash' : undefined,
        mx: -1,
        px: 1,
      }}
    >
      <ButtonBase
        onClick={onInsert}
        aria-label={`Insert ${row.title}`}
        sx={{ display: 'block', width: '100%', textAlign: 'left', borderRadius: 0 }}
      >
        <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
          <Box sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>{row.title}</Box>
          <Box sx={{ typography: 'caption', color: 'text.secondary' }}>{row.shortName}</Box>
        </Box>
        <Box
          sx={{
            typography: 'excerpt',
            overflow: 'hidden',
            display: '-webkit-box',
            WebkitLineClamp: 4,
            WebkitBoxOrient: 'vertical',
            overflowWrap: 'anywhere',
          }}
        >
          <FilledWords words={row.words} gaps={row.gaps} />
        </Box>
      </ButtonBase>
      <Box sx={{ display: 'flex', gap: 1, typography: 'caption', color: 'text.secondary' }} className="figures">
        <span>
          {[
            parts,
            ...(row.files.length > 0
              ? [row.files.length === 1 ? '1 attachment' : `${row.files.length} attachments`]
              : []),
            row.cost ? money(row.cost) : '',
            row.gaps.length > 0 ? 'something is missing' : '',
            row.favourite ? 'favourite' : row.recent ? 'used lately' : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
        <Box sx={{ flex: 1 }} />
        {mayChange && (
          <Button sx={{ p: 0, typography: 'caption' }} aria-label={`Change ${row.title}`} onClick={onChange}>
            Change
          </Button>
        )}
      </Box>
    </Box>
  );
}

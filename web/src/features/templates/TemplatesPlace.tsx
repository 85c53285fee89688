import { Box, Button, ButtonBase, Menu, MenuItem } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { linesQuery, type Template } from '../../shared/api';
import { ActButton, Answered, Field, part, useAddress, useRefusal, useTitle } from '../../shared/ui';
import { chapters, found } from './model/book';
import { piecesOf } from './model/pieces';
import { ImportDialog } from './ImportDialog';
import { Leaf } from './Leaf';
import { LinksDialog } from './LinksDialog';
import { templatesQuery } from './queries';
import { TemplateForm } from './TemplateForm';

/** Fetched when the shelf is first looked at. */
const Shelf = part(() => import('../attachments').then((part) => part.Shelf));

/** The team's texts, as a book to leaf through. */
export function TemplatesPlace() {
  useTitle('Templates');
  const templates = useQuery(templatesQuery);
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const { id } = useParams();
  const navigate = useNavigate();
  const [params, setParams] = useAddress();
  const words = params.get('find') ?? '';
  const suffix = words === '' ? '' : `?find=${encodeURIComponent(words)}`;
  const open = templates.data?.find((one) => String(one.id) === id);
  const making = id === 'new';
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '380px minmax(0, 1fr)' },
        gridTemplateRows: 'minmax(0, 1fr)',
      }}
    >
      <Box
        sx={{
          display: { xs: id === undefined ? 'flex' : 'none', sm: 'flex' },
          flexDirection: 'column',
          minHeight: 0,
          borderRight: { sm: 1 },
          borderColor: { sm: 'divider' },
        }}
      >
        <Box sx={{ p: 2, pb: 1, display: 'grid', gap: 1 }}>
          <Field
            label="Find a template"
            placeholder="any words, or a short name"
            value={words}
            autoComplete="off"
            onChange={(event) =>
              setParams(event.target.value === '' ? {} : { find: event.target.value }, { replace: true })
            }
          />
          <Tools onNew={() => void navigate(`/templates/new${suffix}`)} />
        </Box>
        <Box component="nav" aria-label="Templates" sx={{ flex: 1, minHeight: 0, overflowY: 'auto', pb: 2 }}>
          <Answered query={templates}>
            {(all) => <Contents all={all} words={words} open={open?.id} suffix={suffix} />}
          </Answered>
        </Box>
      </Box>
      <Box
        sx={{
          display: { xs: id === undefined ? 'none' : 'block', sm: 'block' },
          minHeight: 0,
          overflowY: 'auto',
          p: { xs: 2, sm: 3 },
          bgcolor: 'background.paper',
        }}
      >
        <Button component={Link} to={`/templates${suffix}`} sx={{ p: 0, mb: 1, display: { sm: 'none' } }}>
          ← All templates
        </Button>
        {making && (
          <Box sx={{ maxWidth: '72ch' }}>
            <Box component="h2" sx={{ m: 0, mb: 1, typography: 'title' }}>
              New template
            </Box>
            <TemplateForm
              template={undefined}
              onDone={(saved) => void navigate(saved ? `/templates/${saved.id}` : `/templates${suffix}`)}
            />
          </Box>
        )}
        {id === 'shelf' && (
          <Suspense fallback={null}>
            <Shelf />
          </Suspense>
        )}
        {open && <Leaf key={open.id} template={open} zone={zone} />}
        {!open && !making && id !== 'shelf' && templates.data && (
          <Box sx={{ color: 'text.secondary' }}>
            {id === undefined
              ? 'Choose a template to read how it looks for a customer, how often it is used, and how it read before.'
              : 'This template does not exist, or you cannot see it.'}
          </Box>
        )}
      </Box>
    </Box>
  );
}

function Tools({ onNew }: { onNew: () => void }) {
  const refusal = useRefusal('CHANGE_TEMPLATES');
  const mayExport = useRefusal('EXPORT');
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [dialog, setDialog] = useState<'import' | 'links'>();
  return (
    <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap' }}>
      <ActButton refusal={refusal} variant="outlined" onClick={onNew}>
        New template
      </ActButton>
      <ActButton refusal={refusal} onClick={() => setDialog('import')}>
        Import…
      </ActButton>
      <ActButton refusal={mayExport} aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Export…
      </ActButton>
      <Button onClick={() => setDialog('links')}>Links…</Button>
      <Button component={Link} to="/templates/shelf">
        Shelf
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {['csv', 'json'].map((form) => (
          <MenuItem
            key={form}
            component="a"
            href={`/api/templates/export/${form}`}
            download
            onClick={() => setAnchor(null)}
          >
            {form === 'csv' ? 'CSV, for spreadsheets' : 'JSON, for programs'}
          </MenuItem>
        ))}
      </Menu>
      {dialog === 'import' && <ImportDialog onClose={() => setDialog(undefined)} />}
      {dialog === 'links' && <LinksDialog onClose={() => setDialog(undefined)} />}
    </Box>
  );
}

interface ContentsProps {
  all: Template[];
  words: string;
  open: number | undefined;
  suffix: string;
}

function Contents({ all, words, open, suffix }: ContentsProps) {
  const shown = found(all, words);
  if (shown.length === 0) {
    return (
      <Box sx={{ px: 2, color: 'text.secondary' }}>
        {all.length === 0
          ? 'No templates yet. Write one here, or make one from an answer in a conversation.'
          : 'No template has these words.'}
      </Box>
    );
  }
  return chapters(shown).map((chapter) => (
    <Box key={chapter.name} component="section" aria-label={chapter.name}>
      <Box component="h3" sx={{ m: 0, px: 2, pt: 1.5, pb: 0.5, typography: 'heading', color: 'text.secondary' }}>
        {chapter.name}
      </Box>
      {chapter.templates.map((one) => (
        <ButtonBase
          key={one.id}
          component={Link}
          to={`/templates/${one.id}${suffix}`}
          aria-current={one.id === open ? 'page' : undefined}
          sx={{
            display: 'block',
            width: '100%',
            px: 2,
            py: 0.75,
            borderRadius: 0,
            borderTop: 1,
            borderColor: 'divider',
            bgcolor: one.id === open ? 'inks.pineWash' : undefined,
            '&:hover': { bgcolor: 'inks.pineWash' },
          }}
        >
          <Box sx={{ display: 'flex', gap: 1, justifyContent: 'space-between' }}>
            <Box sx={{ fontWeight: 650, overflowWrap: 'anywhere' }}>{one.title}</Box>
            <Box sx={{ typography: 'caption', color: 'text.secondary', whiteSpace: 'nowrap' }}>{one.shortName}</Box>
          </Box>
          <Box
            sx={{
              typography: 'excerpt',
              color: 'text.secondary',
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {piecesOf(one.words)
              .map((piece) => piece.words ?? `[${piece.name ?? ''}]`)
              .join('')}
          </Box>
        </ButtonBase>
      ))}
    </Box>
  ));
}

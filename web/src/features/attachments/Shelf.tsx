import { Autocomplete, Box, Button, Link, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type KeptFile, linesQuery, shelfQuery, upload } from '../../shared/api';
import { ActButton, Answered, Field, ProblemNote, useRefusal, whyOf } from '../../shared/ui';
import { UploadArea, useUploads } from '../../shared/upload';
import { kindWords, sizeWords } from './model/files';
import { found } from './model/shelf';
import { useKeptChange } from './queries';

/** The team's own files to send: named, searched, for which lines, retired and not deleted. */
export function Shelf() {
  const query = useQuery(shelfQuery);
  const refusal = useRefusal('CHANGE_TEMPLATES');
  const { again } = useKeptChange();
  const going = useUploads<KeptFile>(
    (file, sending) => upload('/api/shelf', file, sending),
    () => void again(),
  );
  const [typed, setTyped] = useState('');
  return (
    <Box component="section" aria-label="Shelf" sx={{ display: 'grid', gap: 2, maxWidth: '80ch' }}>
      <Box>
        <Box component="h2" sx={{ m: 0, typography: 'title' }}>
          Shelf
        </Box>
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
          Files your team sends often. Attach them to a text with Attach (Alt+A).
        </Box>
      </Box>
      {refusal === '' ? (
        <UploadArea words="Add files" accept="" several going={going} />
      ) : (
        <Box sx={{ typography: 'body2', color: 'text.secondary' }}>{refusal}</Box>
      )}
      <Field
        label="Find on the shelf"
        value={typed}
        autoComplete="off"
        onChange={(event) => setTyped(event.target.value)}
      />
      <Answered query={query}>
        {(all) => {
          const shown = found(all, typed);
          return shown.length === 0 ? (
            <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
              {all.length === 0 ? 'Files that you add here can be attached to any text.' : 'No file has that name.'}
            </Box>
          ) : (
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {shown.map((file) => (
                <OnShelf key={`${file.id} ${file.version}`} file={file} refusal={refusal} />
              ))}
            </Box>
          );
        }}
      </Answered>
    </Box>
  );
}

function OnShelf({ file, refusal }: { file: KeptFile; refusal: string }) {
  const lines = useQuery(linesQuery).data ?? [];
  const { change } = useKeptChange();
  const [editing, setEditing] = useState(false);
  const [title, setTitle] = useState(file.title);
  const [for_, setFor] = useState(file.lines);
  const names = lines.filter(({ id }) => file.lines.includes(id)).map(({ name }) => name);
  return (
    <Box
      component="li"
      sx={{ borderTop: 1, borderColor: 'divider', py: 1, display: 'flex', gap: 1.5, alignItems: 'flex-start' }}
    >
      {file.preview && (
        <Box
          component="img"
          src={`/api/kept-files/${file.id}/preview`}
          alt=""
          loading="lazy"
          sx={{ width: 56, height: 56, objectFit: 'cover', border: 1, borderColor: 'divider', borderRadius: 1 }}
        />
      )}
      {editing ? (
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            change.mutate({ ...file, title, lines: for_ });
          }}
          sx={{ flex: 1, display: 'grid', gap: 1 }}
        >
          <TextField
            label="Title"
            value={title}
            onChange={(event) => setTitle(event.target.value)}
            {...whyOf(change.error, 'title')}
            slotProps={{ htmlInput: { maxLength: 80 } }}
          />
          <Autocomplete
            multiple
            options={lines}
            getOptionLabel={({ name }) => name}
            value={lines.filter(({ id }) => for_.includes(id))}
            onChange={(_, chosen) => setFor(chosen.map(({ id }) => id))}
            renderInput={(params) => (
              <TextField {...params} label="Offered on" placeholder={for_.length === 0 ? 'all lines' : ''} />
            )}
          />
          {change.error && <ProblemNote problem={change.error} />}
          <Box sx={{ display: 'flex', gap: 1 }}>
            <Button type="submit" variant="contained" disabled={title.trim() === '' || change.isPending}>
              Save
            </Button>
            <Button onClick={() => setEditing(false)}>Cancel</Button>
          </Box>
        </Box>
      ) : (
        <>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Link
              href={`/api/kept-files/${file.id}${file.shown ? '' : '?save=true'}`}
              target={file.shown ? '_blank' : undefined}
              rel="noreferrer"
              color="info"
              sx={{ overflowWrap: 'anywhere' }}
            >
              {file.title}
            </Link>
            <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary', overflowWrap: 'anywhere' }}>
              {file.retired && 'retired, not offered any more · '}
              {kindWords(file)}, {sizeWords(file.octets)} · {file.name} ·{' '}
              {names.length === 0 ? 'on all lines' : `on ${names.join(', ')}`}
            </Box>
            {change.error && <ProblemNote problem={change.error} />}
          </Box>
          <ActButton refusal={refusal} onClick={() => setEditing(true)}>
            Change
          </ActButton>
          <ActButton
            refusal={refusal}
            disabled={change.isPending}
            onClick={() => change.mutate({ ...file, retired: !file.retired })}
          >
            {file.retired ? 'Offer again' : 'Retire'}
          </ActButton>
        </>
      )}
    </Box>
  );
}

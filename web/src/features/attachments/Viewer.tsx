import { Box, Button, Dialog, TextField } from '@mui/material';
import { type InfiniteData, useQueryClient } from '@tanstack/react-query';
import { type KeyboardEvent, useState } from 'react';
import { type Attachment, keys, type ScriptPage } from '../../shared/api';
import { ActButton, focusing, ProblemNote, useRefusal, whyOf } from '../../shared/ui';
import { addressOfFile, description, opensLarge, sizesWords, step } from './model/files';
import { useDescribe } from './queries';

interface Props {
  list: Attachment[];
  conversation: number | undefined;
  /** Which is open. */
  at: number;
  onStep: (id: number) => void;
  onClose: () => void;
}

/** All that can be opened large in a script, in its order; at least what is in the list. */
function useAll(list: Attachment[], conversation: number | undefined): Attachment[] {
  const queries = useQueryClient();
  const script = queries.getQueryData<InfiniteData<ScriptPage>>(keys.script(conversation ?? 0));
  const inScript = [...(script?.pages ?? [])]
    .reverse()
    .flatMap((page) => page.entries.flatMap((entry) => entry.attachments ?? []));
  const all = inScript.some(({ id }) => list.some((one) => one.id === id)) ? inScript : list;
  return all.filter(opensLarge);
}

/** One picture or video, large, over the page; the arrows step through all of the script. */
export function Viewer({ list, conversation, at, onStep, onClose }: Props) {
  const all = useAll(list, conversation);
  const one = all.find(({ id }) => id === at);
  const place = all.findIndex(({ id }) => id === at) + 1;
  if (!one) return null;
  const go = (by: number) => {
    const next = step(all, at, by);
    if (next && next.id !== at) onStep(next.id);
  };
  const pressed = (event: KeyboardEvent) => {
    if (event.target instanceof HTMLInputElement) return;
    if (event.key === 'ArrowRight') go(1);
    else if (event.key === 'ArrowLeft') go(-1);
  };
  return (
    <Dialog
      open
      fullWidth
      maxWidth={false}
      onClose={onClose}
      onKeyDown={pressed}
      slotProps={{
        paper: {
          'aria-label': description(one),
          sx: { m: { xs: 0, sm: 2 }, width: '100%', height: '100%', maxHeight: '100%' },
        },
      }}
    >
      <Box
        sx={{
          display: 'flex',
          gap: 1.5,
          alignItems: 'baseline',
          px: 2,
          py: 1,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <Box
          sx={{
            typography: 'heading',
            minWidth: 0,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
          }}
        >
          {one.name}
        </Box>
        <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary', flex: 1, whiteSpace: 'nowrap' }}>
          {sizesWords(one)}
          {all.length > 1 && ` · ${place} of ${all.length}`}
        </Box>
        {all.length > 1 && (
          <>
            <ActButton hint="←" disabled={place === 1} onClick={() => go(-1)}>
              Earlier
            </ActButton>
            <ActButton hint="→" disabled={place === all.length} onClick={() => go(1)}>
              Later
            </ActButton>
          </>
        )}
        <Button component="a" href={addressOfFile(one.id, true)}>
          Save file
        </Button>
        <ActButton ref={focusing} hint="Esc" onClick={onClose}>
          Close
        </ActButton>
      </Box>
      <Box sx={{ flex: 1, minHeight: 0, display: 'grid', placeItems: 'center', p: 1, bgcolor: 'background.default' }}>
        {one.kind === 'VIDEO' ? (
          <Box
            component="video"
            key={one.id}
            controls
            src={addressOfFile(one.id)}
            aria-label={description(one)}
            sx={{ maxWidth: '100%', maxHeight: '100%' }}
          />
        ) : (
          <Box
            component="img"
            key={one.id}
            src={one.shown ? addressOfFile(one.id) : `${addressOfFile(one.id)}/preview`}
            alt={description(one)}
            sx={{ width: '100%', height: '100%', minHeight: 0, objectFit: 'contain' }}
          />
        )}
      </Box>
      <Description key={one.id} one={one} />
    </Dialog>
  );
}

/** What it shows, in a person's words. */
function Description({ one }: { one: Attachment }) {
  const [words, setWords] = useState(one.words);
  const describe = useDescribe(one.id);
  const refusal = useRefusal('WORK');
  const saved = describe.isSuccess && describe.variables === words;
  const settled = describe.isPending || words === one.words || saved;
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        if (!settled) describe.mutate(words);
      }}
      sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-end', px: 2, py: 1, borderTop: 1, borderColor: 'divider' }}
    >
      <TextField
        label="What it shows, for those who cannot see it"
        value={words}
        disabled={refusal !== ''}
        onChange={(event) => setWords(event.target.value)}
        {...whyOf(describe.error, 'words')}
        slotProps={{ htmlInput: { maxLength: 300 } }}
        sx={{ flex: 1 }}
      />
      {/* Disabled while it has the focus it would lose it, and Esc would close nothing. */}
      <ActButton type="submit" refusal={refusal} aria-disabled={settled}>
        {saved ? 'Description saved' : 'Save description'}
      </ActButton>
      {describe.error && <ProblemNote problem={describe.error} />}
    </Box>
  );
}

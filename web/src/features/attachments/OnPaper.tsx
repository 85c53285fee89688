import { Box, Button, ButtonBase } from '@mui/material';
import { Suspense, useState } from 'react';
import type { Attachment } from '../../shared/api';
import { GoingFile, type useUploads } from '../../shared/upload';
import { part } from '../../shared/ui';
import { addressOfFile, description, kindWords, opensLarge, sizesWords } from './model/files';

/** Fetched with the first picture that is looked at. */
const Viewer = part(() => import('./Viewer').then((part) => part.Viewer));

interface Props {
  attached: Attachment[];
  going: Pick<ReturnType<typeof useUploads>, 'uploads' | 'again' | 'remove'>;
  onRemove: (id: number) => void;
}

/** What is to go with the text that is being written, as it will go, and what is still being made ready. */
export function OnPaper({ attached, going, onRemove }: Props) {
  const [open, setOpen] = useState<number>();
  return (
    <Box
      component="section"
      aria-label="Attachments of this text"
      sx={{ pt: 0.5, display: 'grid', gap: 0.5, maxHeight: '22vh', overflowY: 'auto' }}
    >
      <Box
        component="ul"
        sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 0.5, listStyle: 'none', m: 0, p: 0 }}
      >
        {attached.map((one) => (
          <Box component="li" key={one.id} sx={{ display: 'flex', gap: 1, alignItems: 'center', maxWidth: 320 }}>
            {one.preview && (
              <ButtonBase
                aria-label={`Look at ${description(one)}`}
                disabled={!opensLarge(one)}
                onClick={() => setOpen(one.id)}
                sx={{ border: 1, borderColor: 'divider', borderRadius: 1, overflow: 'hidden', width: 40, height: 40 }}
              >
                <Box
                  component="img"
                  src={`${addressOfFile(one.id)}/preview`}
                  alt=""
                  sx={{ width: 40, height: 40, objectFit: 'cover' }}
                />
              </ButtonBase>
            )}
            <Box sx={{ minWidth: 0 }}>
              <Box sx={{ typography: 'body2', overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
                {one.name}
              </Box>
              <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                {kindWords(one)}, {sizesWords(one)}
              </Box>
            </Box>
            <Button aria-label={`Remove ${one.name}`} onClick={() => onRemove(one.id)}>
              Remove
            </Button>
          </Box>
        ))}
      </Box>
      {going.uploads.map((one) => (
        <GoingFile
          key={one.id}
          upload={one}
          onAgain={() => going.again(one.id)}
          onRemove={() => going.remove(one.id)}
        />
      ))}
      {open !== undefined && (
        <Suspense fallback={null}>
          <Viewer
            list={attached}
            conversation={undefined}
            at={open}
            onStep={setOpen}
            onClose={() => setOpen(undefined)}
          />
        </Suspense>
      )}
    </Box>
  );
}

import { Box, Button, LinearProgress } from '@mui/material';
import { type ChangeEvent, type ClipboardEvent, type DragEvent, useRef, useState } from 'react';
import { whyOf } from '../ui';
import { type Upload, type useUploads } from './useUploads';

interface Props {
  /** What the button says. */
  words: string;
  /** Which files are offered, as a file field has it. */
  accept: string;
  several?: boolean;
  going: Pick<ReturnType<typeof useUploads>, 'uploads' | 'add' | 'again' | 'remove'>;
}

/** Where files are chosen, dropped or pasted, and what is on its way. */
export function UploadArea({ words, accept, several = false, going }: Props) {
  const field = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const add = (files: Iterable<File>) => going.add(several ? files : [...files].slice(0, 1));
  const chosen = (event: ChangeEvent<HTMLInputElement>) => {
    add([...(event.target.files ?? [])]);
    // The same file can be chosen again.
    event.target.value = '';
  };
  const dropped = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    add(event.dataTransfer.files);
  };
  const pasted = (event: ClipboardEvent) => {
    if (event.clipboardData.files.length === 0) return;
    event.preventDefault();
    add(event.clipboardData.files);
  };
  return (
    <Box
      role="group"
      aria-label={words}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={dropped}
      onPaste={pasted}
      sx={{
        border: 1,
        borderStyle: 'dashed',
        borderColor: over ? 'primary.main' : 'divider',
        bgcolor: over ? 'inks.pineWash' : 'transparent',
        borderRadius: 1,
        px: 1.5,
        py: 0.75,
        display: 'grid',
        gap: 0.5,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap', typography: 'body2' }}>
        <Button sx={{ px: 0 }} onClick={() => field.current?.click()}>
          {words}
        </Button>
        <Box sx={{ color: 'text.secondary' }}>or drop or paste {several ? 'files' : 'it'} here.</Box>
      </Box>
      <input ref={field} type="file" hidden accept={accept} multiple={several} aria-label={words} onChange={chosen} />
      {going.uploads.map((one) => (
        <GoingFile
          key={one.id}
          upload={one}
          onAgain={() => going.again(one.id)}
          onRemove={() => going.remove(one.id)}
        />
      ))}
    </Box>
  );
}

/** A file on its way, or why it did not arrive. */
export function GoingFile({
  upload,
  onAgain,
  onRemove,
}: {
  upload: Upload;
  onAgain: () => void;
  onRemove: () => void;
}) {
  const { name, gone, problem } = upload;
  return (
    <Box sx={{ typography: 'body2' }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {name}
        </Box>
        {problem && <Button onClick={onAgain}>Try again</Button>}
        <Button onClick={onRemove}>{problem ? 'Remove' : 'Cancel'}</Button>
      </Box>
      {problem ? (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {whyOf(problem, 'file').helperText ?? problem.message}
        </Box>
      ) : (
        <LinearProgress
          variant={gone < 1 ? 'determinate' : 'indeterminate'}
          value={gone * 100}
          aria-label={`${name} on its way`}
        />
      )}
    </Box>
  );
}

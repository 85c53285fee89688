import { Box, Popover } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type KeyboardEvent, useId, useState } from 'react';
import { Field, focusing, ProblemNote } from '../../shared/ui';
import { hereEdge } from '../../theme';
import { type Offered, offered } from './model/offered';
import { kindWords, sizeWords } from './model/files';
import { offeredFilesQuery } from './queries';
import { Recorder } from './Recorder';

interface Props {
  anchor: HTMLElement;
  conversation: number;
  customer: string;
  /** How large one may be on this line. */
  mostKilobytes: number;
  onComputer: () => void;
  onFile: (file: File) => void;
  onOffered: (ask: Offered['ask']) => void;
  onClose: () => void;
}

/** What can go with a text: a file of this computer, a voice message, or a file that is here already. */
export function AttachMenu(props: Props) {
  const { anchor, conversation, customer, mostKilobytes, onComputer, onFile, onOffered, onClose } = props;
  const query = useQuery(offeredFilesQuery(conversation));
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const [recording, setRecording] = useState(false);
  const list = useId();
  const files = query.data ? offered(query.data, customer, typed) : [];
  const acts = typed === '' ? ACTS : [];
  const count = acts.length + files.length;
  const pick = (index: number) => {
    const act = acts[index];
    const file = files[index - acts.length];
    if (act === 'computer') onComputer();
    else if (act === 'voice') setRecording(true);
    else if (file) onOffered(file.ask);
  };
  const pressed = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
      const next = Math.max(0, Math.min(count - 1, at + (event.key === 'ArrowDown' ? 1 : -1)));
      setAt(next);
      document.getElementById(`${list}-${next}`)?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'Enter') pick(at);
    else return;
    event.preventDefault();
  };
  const option = (index: number) => ({
    id: `${list}-${index}`,
    role: 'option',
    'aria-selected': index === at,
    onClick: () => pick(index),
    onPointerMove: () => setAt(index),
  });
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'right' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'right' }}
    >
      <Box role="dialog" aria-label="Attach" sx={{ width: 'min(420px, 94vw)', p: 1.5, display: 'grid', gap: 1 }}>
        {recording ? (
          <Recorder mostKilobytes={mostKilobytes} onUse={onFile} onCancel={onClose} />
        ) : (
          <>
            <Field
              label="Find a file"
              placeholder="on the shelf, of this customer, in earlier texts"
              value={typed}
              autoComplete="off"
              inputRef={focusing}
              onKeyDown={pressed}
              onChange={(event) => {
                setTyped(event.target.value);
                setAt(0);
              }}
              slotProps={{
                htmlInput: {
                  role: 'combobox',
                  'aria-expanded': true,
                  'aria-controls': list,
                  'aria-activedescendant': count > 0 ? `${list}-${at}` : undefined,
                },
              }}
            />
            <Box role="listbox" id={list} aria-label="Files" sx={{ maxHeight: '46vh', overflowY: 'auto' }}>
              {acts.map((act, i) => (
                <Line key={act} on={i === at} {...option(i)}>
                  <Box sx={{ fontWeight: 600, color: 'primary.main' }}>{ACT_WORDS[act]}</Box>
                </Line>
              ))}
              {files.map((file, i) => (
                <Line key={file.key} on={acts.length + i === at} {...option(acts.length + i)}>
                  {file.group !== files[i - 1]?.group && <Heading>{file.group}</Heading>}
                  <File file={file} />
                </Line>
              ))}
            </Box>
            {query.error && <ProblemNote problem={query.error} onRetry={() => void query.refetch()} />}
            {query.data && files.length === 0 && (
              <Box sx={{ typography: 'body2', color: 'text.secondary' }}>
                {typed === ''
                  ? 'Files on the shelf, files of this customer and files of earlier texts will appear here.'
                  : 'No file has that name.'}
              </Box>
            )}
          </>
        )}
      </Box>
    </Popover>
  );
}

const ACTS: ('computer' | 'voice')[] = ['computer', 'voice'];
const ACT_WORDS = { computer: 'Files of this computer…', voice: 'Record a voice message' };

function Line({ on, children, ...option }: { on: boolean; children: React.ReactNode }) {
  return (
    <Box
      {...option}
      sx={{
        px: 1,
        py: 0.5,
        cursor: 'pointer',
        typography: 'body2',
        bgcolor: on ? 'inks.pineWash' : 'transparent',
        boxShadow: on ? hereEdge : 'none',
      }}
    >
      {children}
    </Box>
  );
}

function Heading({ children }: { children: string }) {
  return <Box sx={{ typography: 'caption', color: 'text.secondary', pt: 0.5 }}>{children}</Box>;
}

function File({ file }: { file: Offered }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      {file.preview && (
        <Box
          component="img"
          src={file.preview}
          alt=""
          loading="lazy"
          sx={{ width: 32, height: 32, objectFit: 'cover', border: 1, borderColor: 'divider', borderRadius: 1 }}
        />
      )}
      <Box sx={{ minWidth: 0, flex: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        {file.title}
      </Box>
      <Box className="figures" sx={{ typography: 'caption', color: 'text.secondary', whiteSpace: 'nowrap' }}>
        {kindWords(file)}, {sizeWords(file.octets)}
      </Box>
    </Box>
  );
}

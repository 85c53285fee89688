import { Box, Button, InputBase } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { type FormEvent, useRef, useState } from 'react';
import { clock } from '../../shared/format';
import { Blank } from '../../shared/ui';
import { asMedia, call, type HandsetScript, type HandsetState, type Media, type Named } from './api';

const STATES: { value: HandsetState; words: string }[] = [
  { value: 'ON', words: 'switched on' },
  { value: 'OFF', words: 'switched off' },
  { value: 'GONE', words: 'no longer in service' },
];
/** Numbers as somebody lists them. */
const numbersOf = (typed: string) =>
  typed
    .split(',')
    .map((one) => one.trim())
    .filter(Boolean);
const ZONE = Intl.DateTimeFormat().resolvedOptions().timeZone;

interface Spoken {
  id: string;
  mine: boolean;
  line: string;
  words: string;
  media: Media[];
  at: string;
  /** The line of ours it went to or came from. */
  ours: string;
  /** The other numbers that see it. */
  group: string[];
}

function spoken(script: HandsetScript): Spoken[] {
  const others = (group: string[] | null | undefined, from?: string) =>
    group ? [...new Set([...group, ...(from ? [from] : [])])].filter((one) => one !== script.number) : [];
  const arrived = script.arrived.map((text) => ({
    id: text.id,
    mine: false,
    line: text.from,
    words: text.body,
    media: text.media ?? [],
    at: text.acceptedAt,
    ours: text.from,
    group: others(text.group),
  }));
  const heard = script.heard.map((text) => ({
    id: text.id,
    mine: false,
    line: text.from,
    words: text.body,
    media: text.media ?? [],
    at: text.receivedAt,
    ours: text.to,
    group: others(text.group, text.from),
  }));
  const sent = script.sent.map((text) => ({
    id: text.id,
    mine: true,
    line: text.to,
    words: text.body,
    media: text.media ?? [],
    at: text.receivedAt,
    ours: text.to,
    group: others(text.group),
  }));
  return [...arrived, ...heard, ...sent].sort((a, b) => a.at.localeCompare(b.at));
}

/** What goes with a text, as a handset shows it. */
function OnHandset({ media }: { media: Media }) {
  const { name, type, file } = media;
  if (!file) return <Box sx={{ typography: 'caption' }}>({name ?? 'a file'}, not here)</Box>;
  const address = `/handsets/media/${file}`;
  return type?.startsWith('image/') ? (
    <Box
      component="img"
      src={address}
      alt={name ?? 'picture'}
      sx={{ display: 'block', maxHeight: 160, maxWidth: 260, my: 0.5 }}
    />
  ) : type?.startsWith('audio/') ? (
    <Box component="audio" controls src={address} aria-label={name ?? 'sound'} sx={{ display: 'block', my: 0.5 }} />
  ) : (
    <Box sx={{ typography: 'body2' }}>
      <a href={address} download={name ?? 'file'}>
        {name ?? 'a file'}
      </a>
    </Box>
  );
}

/** One handset: what it sent and got, and a text to write. */
export function Handset({
  number,
  name,
  lines,
  people,
}: {
  number: string;
  name: string;
  lines: Named[];
  people: Named[];
}) {
  const queries = useQueryClient();
  const path = `/handsets/${encodeURIComponent(number)}`;
  const script = useQuery({ queryKey: ['handset', number], queryFn: () => call<HandsetScript>('GET', path) });
  const [chosen, setTo] = useState<string>();
  const to = chosen ?? lines[0]?.number;
  const [words, setWords] = useState('');
  const [also, setAlso] = useState('');
  const [files, setFiles] = useState<File[]>([]);
  const chooser = useRef<HTMLInputElement>(null);
  const send = useMutation({
    mutationFn: async () =>
      call('POST', `${path}/texts`, {
        to,
        body: words,
        media: await Promise.all(files.map(asMedia)),
        group: numbersOf(also),
      }),
    onSuccess: () => {
      setWords('');
      setFiles([]);
      void queries.invalidateQueries();
    },
  });
  const turn = useMutation({
    mutationFn: (state: HandsetState) => call('PUT', `${path}/state`, { state }),
    onSuccess: () => queries.invalidateQueries(),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (words.trim() !== '' || files.length > 0) send.mutate();
  };
  const lineName = (line: string) => [...lines, ...people].find((one) => one.number === line)?.name ?? line;
  return (
    <Box
      component="section"
      aria-label={`Handset ${number}`}
      sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, bgcolor: 'background.paper' }}
    >
      <Box sx={{ px: 3, py: 2, borderBottom: 1, borderColor: 'divider' }}>
        The handset of <strong>{name}</strong>, <span className="figures">{number}</span>, is{' '}
        <Blank
          name="State"
          value={script.data?.state ?? 'ON'}
          options={STATES}
          onChange={(state) => turn.mutate(state)}
        />
        .
      </Box>
      <Box sx={{ flex: 1, minHeight: 160, overflowY: 'auto', display: 'flex', flexDirection: 'column-reverse' }}>
        <Box component="ol" sx={{ listStyle: 'none', m: 0, mb: 'auto', p: 3, display: 'grid', rowGap: 1 }}>
          {script.data && spoken(script.data).length === 0 && (
            <Box component="li" sx={{ color: 'text.secondary' }}>
              No texts yet since the network started.
            </Box>
          )}
          {script.data &&
            spoken(script.data).map((line) => (
              <Box
                component="li"
                key={line.id}
                sx={{ display: 'grid', gridTemplateColumns: '48px 120px 1fr', columnGap: 1.5, alignItems: 'baseline' }}
              >
                <Box component="time" className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
                  {clock(new Date(line.at), ZONE)}
                </Box>
                <Box sx={{ typography: 'caption', fontWeight: 700, textAlign: 'right' }}>
                  {line.mine ? `to ${lineName(line.line)}` : lineName(line.line)}
                </Box>
                <Box
                  sx={{
                    typography: 'words',
                    whiteSpace: 'pre-wrap',
                    overflowWrap: 'anywhere',
                    fontStyle: line.mine ? 'italic' : 'normal',
                  }}
                >
                  {line.words}
                  {line.group.length > 0 && (
                    <Box sx={{ typography: 'caption', fontStyle: 'normal', color: 'text.secondary' }}>
                      in a group with {line.group.map(lineName).join(', ')}{' '}
                      <Button
                        sx={{ p: 0, fontSize: 'inherit' }}
                        onClick={() => {
                          setAlso(line.group.join(', '));
                          setTo(line.ours);
                        }}
                      >
                        Reply to all
                      </Button>
                    </Box>
                  )}
                  {line.media.map((each, i) => (
                    <OnHandset key={i} media={each} />
                  ))}
                </Box>
              </Box>
            ))}
        </Box>
      </Box>
      <Box
        component="form"
        onSubmit={submit}
        sx={{ borderTop: 1, borderColor: 'divider', p: 2, bgcolor: 'background.default' }}
      >
        <Box sx={{ typography: 'body2', mb: 0.5 }}>
          Text{' '}
          <Blank
            name="Line"
            value={to}
            options={(to === undefined || lines.some((line) => line.number === to)
              ? lines
              : [...lines, { number: to, name: to }]
            ).map((line) => ({ value: line.number, words: line.name }))}
            onChange={setTo}
          />{' '}
          and{' '}
          <InputBase
            value={also}
            onChange={(event) => setAlso(event.target.value)}
            placeholder="nobody else"
            inputProps={{ 'aria-label': 'Also to these numbers, as a group' }}
            sx={{ width: 320, typography: 'body2', borderBottom: 1, borderColor: 'text.secondary' }}
          />
        </Box>
        <Box
          component="textarea"
          aria-label="Text from this handset"
          rows={2}
          value={words}
          onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) => setWords(event.target.value)}
          onKeyDown={(event: React.KeyboardEvent) => {
            if (event.key === 'Enter' && event.ctrlKey) submit(event);
          }}
          sx={{
            width: '100%',
            boxSizing: 'border-box',
            p: 1,
            font: 'inherit',
            typography: 'words',
            color: 'text.primary',
            bgcolor: 'background.paper',
            border: 1,
            borderColor: 'text.secondary',
            borderRadius: 1,
            resize: 'vertical',
          }}
        />
        <input
          ref={chooser}
          type="file"
          multiple
          hidden
          aria-label="Files of this handset"
          onChange={(event) => setFiles([...(event.target.files ?? [])])}
        />
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', mt: 0.5 }}>
          <Button onClick={() => chooser.current?.click()}>Add files</Button>
          <Box sx={{ flex: 1, typography: 'body2' }}>{files.map(({ name: of }) => of).join(', ')}</Box>
          <Box role="alert" sx={{ color: 'error.main' }}>
            {send.error?.message}
          </Box>
          <Button
            type="submit"
            variant="contained"
            disabled={(words.trim() === '' && files.length === 0) || send.isPending}
          >
            Send the text
          </Button>
        </Box>
      </Box>
    </Box>
  );
}

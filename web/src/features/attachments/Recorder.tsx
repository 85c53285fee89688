import { Box, Button } from '@mui/material';
import { useEffect, useState } from 'react';
import { ActButton, focusing } from '../../shared/ui';
import { lengthWords, longest } from './model/wav';
import { useRecorder } from './useRecorder';

interface Props {
  mostKilobytes: number;
  onUse: (file: File) => void;
  onCancel: () => void;
}

/** Records a voice message, which is heard before it goes on the paper. */
export function Recorder({ mostKilobytes, onUse, onCancel }: Props) {
  const most = longest(mostKilobytes);
  const { state, stop, again } = useRecorder(most);
  return (
    <Box role="group" aria-label="Voice message" sx={{ display: 'grid', gap: 1, typography: 'body2' }}>
      {state.kind === 'asking' && <Box role="status">Waiting for the microphone…</Box>}
      {state.kind === 'recording' && <Recording since={state.since} most={most} onStop={stop} />}
      {state.kind === 'failed' && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {state.why}
        </Box>
      )}
      {state.kind === 'made' && (
        <>
          <Box component="audio" controls src={state.url} aria-label="The voice message, as it will be heard" />
          <ActButton ref={focusing} variant="contained" onClick={() => onUse(state.file)}>
            Attach it
          </ActButton>
        </>
      )}
      <Box sx={{ display: 'flex', gap: 1 }}>
        {(state.kind === 'made' || state.kind === 'failed') && <Button onClick={again}>Record again</Button>}
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}

function Recording({ since, most, onStop }: { since: number; most: number; onStop: () => void }) {
  const [now, setNow] = useState(since);
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, []);
  return (
    <>
      <Box className="figures" role="timer">
        <Box component="span" sx={{ color: 'error.main', fontWeight: 700 }}>
          ● Recording
        </Box>{' '}
        {lengthWords((now - since) / 1_000)} of {lengthWords(most)}
      </Box>
      <ActButton ref={focusing} variant="contained" onClick={onStop}>
        Stop
      </ActButton>
    </>
  );
}

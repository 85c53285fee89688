import { useEffect, useRef, useState } from 'react';
import { RATE, wav } from './model/wav';

type State =
  | { kind: 'asking' }
  | { kind: 'recording'; since: number }
  | { kind: 'made'; file: File; url: string }
  | { kind: 'failed'; why: string };

const NO_MICROPHONE =
  'There is no microphone, or this browser was not allowed to use it. Allow it beside the address of this page, then record again.';

/** What the browser recorded in a form of its own, as a WAV file that every phone plays. */
async function asWav(recorded: Blob): Promise<File> {
  const context = new AudioContext({ sampleRate: RATE });
  try {
    const sound = await context.decodeAudioData(await recorded.arrayBuffer());
    return new File([wav(sound.getChannelData(0), sound.sampleRate)], 'Voice message.wav', { type: 'audio/wav' });
  } finally {
    await context.close();
  }
}

/** Records a voice from the microphone, at most so many seconds. It begins at once; the microphone is let go of at its end. */
export function useRecorder(mostSeconds: number) {
  const [state, setState] = useState<State>({ kind: 'asking' });
  const [take, setTake] = useState(0);
  const stop = useRef<() => void>(() => undefined);
  useEffect(() => {
    let left = false;
    let stream: MediaStream | undefined;
    let url = '';
    const letGo = () => stream?.getTracks().forEach((track) => track.stop());
    const begin = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      if (left) {
        letGo();
        return;
      }
      const pieces: Blob[] = [];
      const recorder = new MediaRecorder(stream);
      recorder.ondataavailable = ({ data }) => pieces.push(data);
      recorder.onstop = () => {
        clearTimeout(timer);
        letGo();
        if (left) return;
        asWav(new Blob(pieces, { type: recorder.mimeType })).then(
          (file) => {
            url = URL.createObjectURL(file);
            setState({ kind: 'made', file, url });
          },
          () =>
            setState({ kind: 'failed', why: 'Nothing could be recorded. Check the microphone, then record again.' }),
        );
      };
      const timer = setTimeout(() => recorder.stop(), 1_000 * mostSeconds);
      stop.current = () => recorder.state === 'recording' && recorder.stop();
      recorder.start();
      setState({ kind: 'recording', since: Date.now() });
    };
    begin().catch(() => setState({ kind: 'failed', why: NO_MICROPHONE }));
    return () => {
      left = true;
      stop.current();
      letGo();
      URL.revokeObjectURL(url);
    };
  }, [take, mostSeconds]);
  return {
    state,
    stop: () => stop.current(),
    again: () => {
      setState({ kind: 'asking' });
      setTake(take + 1);
    },
  };
}

import type { LiveMessage } from '../../shared/api';
import { useOpenConversation } from '../../shared/ui';
import { firstToTell, kindWords, noticeName } from './model/tell';

const TOLD = 'fabulum.notices-told';
const HIGH_HZ = 659;
const LOW_HZ = 494;
const TONE_S = 0.16;

/** Two soft tones, made here: no file to fetch. */
function sound(): void {
  const audio = new AudioContext();
  [HIGH_HZ, LOW_HZ].forEach((pitch, i) => {
    const tone = audio.createOscillator();
    const loudness = audio.createGain();
    const begins = audio.currentTime + i * TONE_S;
    tone.frequency.value = pitch;
    loudness.gain.setValueAtTime(0.0001, begins);
    loudness.gain.exponentialRampToValueAtTime(0.12, begins + 0.02);
    loudness.gain.exponentialRampToValueAtTime(0.0001, begins + TONE_S);
    tone.connect(loudness).connect(audio.destination);
    tone.start(begins);
    tone.stop(begins + TONE_S);
  });
  setTimeout(() => void audio.close(), 1_000);
}

/** Tells of a notice as its receiver wants to be told; with several pages open, one of them does. */
export function useTelling(): (message: LiveMessage) => void {
  const open = useOpenConversation();
  return ({ type, notice, by }) => {
    if (type !== 'NOTICE' || !notice) return;
    const told = firstToTell(localStorage.getItem(TOLD), notice.id);
    if (told === undefined) return;
    localStorage.setItem(TOLD, told);
    if (by.includes('SOUND')) sound();
    if (by.includes('DESKTOP') && 'Notification' in window && Notification.permission === 'granted') {
      const title = `${noticeName(notice)}: ${kindWords(notice.kind)}`;
      const shown = new Notification(title, { body: notice.words, tag: `fabulum-${notice.id}` });
      shown.onclick = () => {
        window.focus();
        open(notice.conversation.id);
        shown.close();
      };
    }
  };
}

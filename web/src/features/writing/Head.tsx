import { Box } from '@mui/material';
import { type Ref, Suspense, useImperativeHandle, useRef, useState } from 'react';
import type { Paper } from '../../shared/api';
import { ActButton, part } from '../../shared/ui';
import { FromTo } from './FromTo';
import { PaperTabs } from './PaperTabs';

/** Fetched when it is first asked for. */
const EmojiPicker = part(() => import('../emoji').then((part) => part.EmojiPicker));

export interface HeadHandle {
  /** Shows the emoji to choose from. */
  emoji: () => void;
}

interface Props extends Omit<Parameters<typeof FromTo>[0], 'conversation'> {
  ref: Ref<HeadHandle>;
  conversation: Parameters<typeof FromTo>[0]['conversation'];
  paper: Paper;
  me: number;
  begun: (paper: Paper) => boolean;
  onPaper: (paper: Paper) => void;
  onEmoji: (sign: string) => void;
  /** Chooses files to go with the text. */
  onAttach: () => void;
  /** Why one may not; empty when one may. */
  refusal: string;
  onTemplates?: (() => void) | undefined;
  /** The emoji were closed without choosing one. */
  onBack: () => void;
}

/** Above the paper: which one it is, from where to where it goes, and what can be put in. */
export function Head({
  ref,
  paper,
  me,
  begun,
  onPaper,
  onEmoji,
  onAttach,
  refusal,
  onTemplates,
  onBack,
  ...fromTo
}: Props) {
  const isNote = paper === 'NOTE';
  const button = useRef<HTMLDivElement>(null);
  const [choosing, setChoosing] = useState<HTMLElement | null>(null);
  const choose = () => setChoosing(button.current);
  useImperativeHandle(ref, () => ({ emoji: choose }));
  return (
    <Box sx={{ display: 'flex', columnGap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
      <PaperTabs paper={paper} answerable={fromTo.conversation.answerable} begun={begun} onPaper={onPaper} />
      {isNote ? (
        <Box component="span" sx={{ typography: 'caption', color: 'text.secondary' }}>
          For the team only, never sent. Type @ and a name to notify a colleague.
        </Box>
      ) : (
        <FromTo {...fromTo} />
      )}
      <Box sx={{ flex: 1 }} />
      <Box ref={button}>
        <ActButton hint="Alt+E" aria-haspopup="dialog" sx={{ p: 0 }} onClick={choose}>
          Emoji
        </ActButton>
      </Box>
      {!isNote && fromTo.conversation.answerable && (
        <ActButton hint="Alt+A" sx={{ p: 0 }} refusal={refusal} onClick={onAttach}>
          Attach
        </ActButton>
      )}
      {!isNote && onTemplates && (
        <ActButton hint="Alt+T" sx={{ p: 0 }} onClick={onTemplates}>
          Templates
        </ActButton>
      )}
      {choosing && (
        <Suspense fallback={null}>
          <EmojiPicker
            anchor={choosing}
            me={me}
            onPick={(sign) => {
              setChoosing(null);
              onEmoji(sign);
            }}
            onClose={() => {
              setChoosing(null);
              onBack();
            }}
          />
        </Suspense>
      )}
    </Box>
  );
}

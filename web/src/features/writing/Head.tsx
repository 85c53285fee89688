import { Box } from '@mui/material';
import { type Ref, Suspense, useImperativeHandle, useRef, useState } from 'react';
import type { Paper } from '../../shared/api';
import { ActButton, part } from '../../shared/ui';
import { FromTo } from './FromTo';
import { PaperTabs } from './PaperTabs';

/** Fetched with the first attachment. */
const AttachMenu = part(() => import('../attachments').then((part) => part.AttachMenu));
/** Fetched when it is first asked for. */
const EmojiPicker = part(() => import('../emoji').then((part) => part.EmojiPicker));

export interface HeadHandle {
  /** Shows the emoji to choose from. */
  emoji: () => void;
  /** Shows what can go with the text. */
  attach: () => void;
}

interface Props extends Omit<Parameters<typeof FromTo>[0], 'conversation'> {
  ref: Ref<HeadHandle>;
  conversation: Parameters<typeof FromTo>[0]['conversation'];
  paper: Paper;
  me: number;
  begun: (paper: Paper) => boolean;
  onPaper: (paper: Paper) => void;
  onEmoji: (sign: string) => void;
  /** What goes with the text is chosen. */
  attach: Omit<Parameters<typeof AttachMenu>[0], 'anchor' | 'onClose'>;
  /** Why the user may not; empty when they may. */
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
  attach,
  refusal,
  onTemplates,
  onBack,
  ...fromTo
}: Props) {
  const isNote = paper === 'NOTE';
  const button = useRef<HTMLDivElement>(null);
  const [choosing, setChoosing] = useState<HTMLElement | null>(null);
  const choose = () => setChoosing(button.current);
  const attachButton = useRef<HTMLButtonElement>(null);
  const [attaching, setAttaching] = useState<HTMLElement | null>(null);
  useImperativeHandle(ref, () => ({ emoji: choose, attach: () => setAttaching(attachButton.current) }));
  const closed = () => {
    setAttaching(null);
    onBack();
  };
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
        <ActButton
          ref={attachButton}
          hint="Alt+A"
          aria-haspopup="dialog"
          sx={{ p: 0 }}
          refusal={refusal}
          onClick={() => setAttaching(attachButton.current)}
        >
          Attach
        </ActButton>
      )}
      {!isNote && onTemplates && (
        <ActButton hint="Alt+T" sx={{ p: 0 }} onClick={onTemplates}>
          Templates
        </ActButton>
      )}
      {attaching && (
        <Suspense fallback={null}>
          <AttachMenu
            {...attach}
            anchor={attaching}
            onComputer={() => {
              setAttaching(null);
              attach.onComputer();
            }}
            onFile={(file) => {
              closed();
              attach.onFile(file);
            }}
            onOffered={(wanted) => {
              closed();
              attach.onOffered(wanted);
            }}
            onClose={closed}
          />
        </Suspense>
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

import { Box } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import type { Conversation } from '../../shared/api';
import { looksQuery } from './queries';
import { WaitingText } from './WaitingText';

interface Props {
  conversation: Conversation;
  zone: string;
}

/** The texts of this conversation that wait for a colleague's yes. */
export function LookBand({ conversation, zone }: Props) {
  const texts = useQuery(looksQuery(conversation.id, conversation.version)).data ?? [];
  if (texts.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Second look"
      sx={{ px: 2, py: 0.25, borderLeft: 3, borderLeftColor: 'warning.main' }}
    >
      {texts.map((text) => (
        <WaitingText key={text.id} text={text} conversation={conversation} zone={zone} />
      ))}
    </Box>
  );
}

import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { countsQuery } from '../../shared/api';
import { span } from '../../shared/format';
import { useLeft } from './useLeft';

/** What came while the user was away, shown once they are back. */
export function SinceLeft({ who, onShow }: { who: number; onShow: () => void }) {
  const { left, dismiss } = useLeft(who);
  const counts = useQuery({ ...countsQuery('unread'), enabled: left !== undefined }).data;
  if (!left || !counts || counts.ourTurn === 0) return null;
  return (
    <Box
      role="status"
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1, typography: 'body2' }}
    >
      <span>
        You were away for {span(left, new Date()).replace(/ 00$/, '')}: {counts.ourTurn} unread on our turn.
      </span>
      <Button
        size="small"
        sx={{ p: 0 }}
        onClick={() => {
          dismiss();
          onShow();
        }}
      >
        Show unread
      </Button>
      <Button size="small" color="inherit" sx={{ p: 0 }} onClick={dismiss}>
        Dismiss
      </Button>
    </Box>
  );
}

import { Box, Button } from '@mui/material';

interface Props {
  /** Why it is no longer to be seen, where that is known. */
  why: string | undefined;
  onBack: (() => void) | undefined;
}

/** Stands where a conversation was that the user does not see, or does not see any more. */
export function Closed({ why, onBack }: Props) {
  return (
    <Box role="status" sx={{ p: 3, maxWidth: '60ch' }}>
      <p>
        {why
          ? `This conversation was closed here: ${why}`
          : 'This conversation is not there, or you do not see it any more: its line, your teams or your permissions have changed.'}
      </p>
      {onBack && <Button onClick={onBack}>← List</Button>}
    </Box>
  );
}

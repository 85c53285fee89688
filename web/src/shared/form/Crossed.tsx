import { Box } from '@mui/material';

/** Says what a colleague has set up otherwise while the user was changing it here. */
export function Crossed({ what, leave = 'Undo changes' }: { what: string[]; leave?: string }) {
  if (what.length === 0) return null;
  return (
    <Box role="status" sx={{ color: 'warning.main', flexBasis: '100%' }}>
      A colleague has changed {new Intl.ListFormat('en').format(what)} in the meantime. Saving keeps your version; “
      {leave}” takes theirs.
    </Box>
  );
}

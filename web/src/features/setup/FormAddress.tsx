import { Box, Button, Link } from '@mui/material';
import { useState } from 'react';
import { frameOf } from './model/forms';

/** The address of a form, and what a web site needs to show it. */
export function FormAddress({ address, heading }: { address: string; heading: string }) {
  const [shown, setShown] = useState(false);
  const at = `${window.location.origin}/form/${address}`;
  return (
    <Box sx={{ typography: 'body2' }}>
      <Link href={`/form/${address}`} target="_blank" rel="noreferrer" sx={{ overflowWrap: 'anywhere' }}>
        {at}
      </Link>{' '}
      <Button sx={{ p: 0, fontSize: 'inherit' }} aria-expanded={shown} onClick={() => setShown(!shown)}>
        {shown ? 'Hide the code for your web site' : 'Show the code for your web site'}
      </Button>
      {shown && (
        <Box
          component="pre"
          aria-label="Code for your web site"
          sx={{
            m: 0,
            mt: 0.5,
            p: 1,
            bgcolor: 'background.default',
            whiteSpace: 'pre-wrap',
            overflowWrap: 'anywhere',
            fontSize: 'inherit',
          }}
        >
          {frameOf(at, heading)}
        </Box>
      )}
    </Box>
  );
}

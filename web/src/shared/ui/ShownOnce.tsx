import { Box, Button } from '@mui/material';
import { useState } from 'react';

/** A secret that is shown once: to be copied now, or made anew. */
export function ShownOnce({ name, secret, words }: { name: string; secret: string; words: string }) {
  const [copied, setCopied] = useState(false);
  const copy = () =>
    navigator.clipboard.writeText(secret).then(
      () => setCopied(true),
      () => undefined,
    );
  return (
    <Box
      component="section"
      aria-label={name}
      sx={{ border: 2, borderColor: 'primary.main', bgcolor: 'background.paper', p: 1.5, display: 'grid', gap: 0.75 }}
    >
      <Box sx={{ fontWeight: 650 }}>{words}</Box>
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box component="code" className="figures" sx={{ overflowWrap: 'anywhere', userSelect: 'all' }}>
          {secret}
        </Box>
        <Button onClick={() => void copy()}>{copied ? 'Copied' : 'Copy'}</Button>
      </Box>
      <Box role="status" sx={{ typography: 'body2', color: 'text.secondary' }}>
        Copy it now: only a fingerprint of it is kept, so nobody can show it to you again.
      </Box>
    </Box>
  );
}

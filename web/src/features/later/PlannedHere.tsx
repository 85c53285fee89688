import { Box, Link as MuiLink } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Conversation } from '../../shared/api';
import { ActButton } from '../../shared/ui';
import { PlannedLine } from './PlannedLine';
import { plannedQuery } from './queries';

/** As many are shown before one asks for all of them. */
const SHOWN = 2;

/** What goes later in this conversation: the script beyond now. What did not go comes first. */
export function PlannedHere({ conversation: { id, version } }: { conversation: Conversation }) {
  const plans = useQuery(plannedQuery(id, version)).data ?? [];
  const [all, setAll] = useState(false);
  if (plans.length === 0) return null;
  const ordered = [...plans].sort((a, b) => Number(b.held !== undefined) - Number(a.held !== undefined));
  const shown = all ? ordered : ordered.slice(0, SHOWN);
  return (
    <Box
      component="section"
      aria-label="Planned"
      className="no-print"
      sx={{ flex: '0 1 auto', minHeight: 0, maxHeight: '38vh', overflowY: 'auto', bgcolor: 'background.paper', px: 2 }}
    >
      <Box
        component="h3"
        sx={{
          font: 'inherit',
          typography: 'caption',
          color: 'text.secondary',
          textAlign: 'center',
          m: 0,
          py: 0.25,
        }}
      >
        — planned —{' '}
        <MuiLink component={Link} to="/planned" sx={{ pl: 1 }}>
          all planned texts
        </MuiLink>
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((plan) => (
          <PlannedLine key={`${plan.id} ${plan.version}`} plan={plan} />
        ))}
      </Box>
      {!all && plans.length > SHOWN && (
        <ActButton sx={{ p: 0, mb: 0.5 }} onClick={() => setAll(true)}>
          {`Show ${plans.length - SHOWN} more`}
        </ActButton>
      )}
    </Box>
  );
}

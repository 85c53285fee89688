import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { type ReactNode, Suspense } from 'react';
import { Link } from 'react-router';
import { type Conversation, type Dossier, linesQuery } from '../../shared/api';
import { SideSheet } from '../../shared/sheet';
import { Answered, Moment } from '../../shared/ui';
import { AgreementPart } from '../agreement';
import { CustomerInSheet } from '../customers';
import { SaidBefore } from '../identify';
import { elsewhereQuery } from './queries';

const STATES: Record<Conversation['group'], string> = {
  OUR_TURN: 'our turn',
  THEIR_TURN: 'their turn',
  SET_ASIDE: 'set aside',
  DONE: 'done',
  BLANK: '',
};

interface Props {
  dossier: Dossier;
  zone: string;
  asked: boolean;
  onClose: () => void;
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <Box component="dt" sx={{ color: 'text.secondary' }}>
        {name}
      </Box>
      <Box component="dd" sx={{ m: 0, overflowWrap: 'anywhere' }}>
        {children}
      </Box>
    </>
  );
}

/** Who it is, and what else is said with them on any line. */
export function CustomerSheet({ dossier, zone, asked, onClose }: Props) {
  const { conversation, customer, holders } = dossier;
  return (
    <SideSheet title={customer?.name ?? conversation.number} asked={asked} onClose={onClose}>
      <Box
        component="dl"
        className="figures"
        sx={{
          m: 0,
          display: 'grid',
          gridTemplateColumns: 'auto minmax(0, 1fr)',
          columnGap: 1.5,
          rowGap: 0.5,
          typography: 'body2',
        }}
      >
        <Fact name="Writes from">{conversation.number}</Fact>
        {!customer && holders.length > 0 && <Fact name="Shared by">{holders.join(', ')}</Fact>}
      </Box>
      {customer && (
        <Suspense fallback={null}>
          <CustomerInSheet id={customer.id} conversation={conversation.id} zone={zone} />
        </Suspense>
      )}
      <Suspense fallback={null}>
        <AgreementPart conversation={conversation} zone={zone} />
      </Suspense>
      <Suspense fallback={null}>
        <SaidBefore conversation={conversation} zone={zone} />
      </Suspense>
      <Elsewhere id={conversation.id} zone={zone} known={customer !== undefined} />
    </SideSheet>
  );
}

function Elsewhere({ id, zone, known }: { id: number; zone: string; known: boolean }) {
  const others = useQuery(elsewhereQuery(id));
  const lines = useQuery(linesQuery).data ?? [];
  return (
    <Box component="section" aria-label="Other conversations" sx={{ mt: 2 }}>
      <Box component="h4" sx={{ m: 0, mb: 0.5, typography: 'body2', color: 'text.secondary' }}>
        Other conversations
      </Box>
      <Answered query={others}>
        {(rows) =>
          rows.length === 0 ? (
            <Box sx={{ typography: 'body2' }}>
              None. What this {known ? 'customer' : 'number'} writes to other lines you see appears here.
            </Box>
          ) : (
            rows.map((row) => (
              <ButtonBase
                key={row.id}
                component={Link}
                to={`/inbox/${row.id}`}
                sx={{
                  display: 'block',
                  width: '100%',
                  textAlign: 'left',
                  py: 0.75,
                  borderTop: 1,
                  borderColor: 'divider',
                  borderRadius: 0,
                  '&:hover': { bgcolor: 'inks.pineWash' },
                }}
              >
                <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, typography: 'caption' }}>
                  <span>
                    {lines.find((line) => line.id === row.lineId)?.name}, {STATES[row.group]}
                  </span>
                  <Moment at={row.lastAt} zone={zone} />
                </Box>
                <Box sx={{ typography: 'excerpt', overflowWrap: 'anywhere' }}>{row.lastWords}</Box>
              </ButtonBase>
            ))
          )
        }
      </Answered>
    </Box>
  );
}

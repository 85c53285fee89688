import { Box, Link as MuiLink } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Suspense, useState } from 'react';
import { Link } from 'react-router';
import { ApiProblem, type PlannedText, staffQuery } from '../../shared/api';
import { moment } from '../../shared/format';
import { ActButton, part, ProblemNote, StaffMark, useNow, useRefusal } from '../../shared/ui';
import { clearTime } from './model/clear';
import { LaterDialog } from './LaterDialog';
import { usePlanAct } from './queries';

/** Fetched with the first attachment. */
const Attached = part(() => import('../attachments').then((part) => part.Attached));

const CONFIRM = 'urn:fabulum:problem:needs-confirmation';

interface Props {
  plan: PlannedText;
  /** Says also to whom, with the way there. */
  withCustomer?: boolean;
}

/** A text that goes later: when, in whose name, what it says, and what can be done with it. */
export function PlannedLine({ plan, withCustomer = false }: Props) {
  const now = useNow();
  const staff = useQuery(staffQuery).data ?? [];
  const writer = staff.find(({ id }) => id === plan.staff);
  const act = usePlanAct(plan);
  const refusal = useRefusal('TEXT');
  const [changing, setChanging] = useState(false);
  const [sure, setSure] = useState(false);
  const { conversation, zone } = plan;
  const name = conversation.customerName ?? conversation.number;
  const at = new Date(plan.dueAt);
  const confirm =
    act.error instanceof ApiProblem && act.error.type === CONFIRM ? act.error.fields.map(({ field }) => field) : [];
  const conditions = [
    plan.typed,
    plan.repeats &&
      plan.repeats +
        (plan.whenClosed === 'SKIP'
          ? ', not on closed days'
          : plan.whenClosed === 'NEXT_OPEN_DAY'
            ? ', on closed days on the next open day'
            : ''),
    plan.unlessWritten && 'only if they have not written by then',
    plan.comesToMe && `the answer goes to ${writer?.name ?? 'its writer'}`,
  ].filter((each) => typeof each === 'string' && each !== '');
  return (
    <Box
      component="li"
      aria-label={`Planned text ${plan.held === undefined ? moment(at, now, zone) : 'not sent'}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '180px minmax(0, 1fr)' },
        columnGap: 1.5,
        py: 0.75,
        borderTop: 1,
        borderTopStyle: 'dashed',
        borderColor: 'divider',
      }}
    >
      <Box sx={{ typography: 'caption', textAlign: { sm: 'right' } }}>
        <Box
          className="figures"
          sx={{ fontWeight: 700, color: plan.held === undefined ? 'text.primary' : 'error.main' }}
        >
          {plan.held === undefined ? clearTime(at, now, zone, plan.theirZone) : '× not sent'}
        </Box>
        <Box sx={{ color: 'text.secondary' }}>
          {writer && <StaffMark mark={writer.mark} />} {writer?.name ?? 'a colleague'}
        </Box>
      </Box>
      <Box sx={{ minWidth: 0 }}>
        {withCustomer && (
          <MuiLink component={Link} to={`/inbox/${conversation.id}`} sx={{ fontWeight: 650 }}>
            {name}
          </MuiLink>
        )}
        <Box sx={{ typography: 'words', whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{plan.filled}</Box>
        {plan.attachments.length > 0 && (
          <Suspense fallback={null}>
            <Attached list={plan.attachments} />
          </Suspense>
        )}
        {plan.held !== undefined && (
          <Box sx={{ typography: 'body2', color: 'error.main' }}>
            {plan.held} It was planned for {moment(at, now, zone)}.
          </Box>
        )}
        {conditions.length > 0 && (
          <Box sx={{ typography: 'caption', color: 'text.secondary' }}>{conditions.join(' · ')}</Box>
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5 }}>
          <ActButton sx={{ p: 0 }} refusal={refusal} onClick={() => setChanging(true)}>
            Change…
          </ActButton>
          <ActButton
            sx={{ p: 0 }}
            refusal={refusal}
            disabled={act.isPending}
            onClick={() => act.mutate({ act: 'send-now', confirmed: confirm })}
          >
            {confirm.length > 0 ? 'Send now anyway' : 'Send now'}
          </ActButton>
          {plan.rule !== undefined && (
            <ActButton
              sx={{ p: 0 }}
              refusal={refusal}
              disabled={act.isPending}
              onClick={() => act.mutate({ act: 'skip' })}
            >
              Skip this one
            </ActButton>
          )}
          {sure ? (
            <>
              <ActButton
                sx={{ p: 0 }}
                color="error"
                refusal={refusal}
                disabled={act.isPending}
                onClick={() => act.mutate({ act: 'cancel' })}
              >
                Cancel all future texts
              </ActButton>
              <ActButton sx={{ p: 0 }} onClick={() => setSure(false)}>
                Keep them
              </ActButton>
            </>
          ) : (
            <ActButton
              sx={{ p: 0 }}
              refusal={refusal}
              disabled={act.isPending}
              onClick={() => (plan.rule === undefined ? act.mutate({ act: 'cancel' }) : setSure(true))}
            >
              {plan.rule === undefined ? 'Cancel it' : 'Cancel…'}
            </ActButton>
          )}
        </Box>
        {act.error && <ProblemNote problem={act.error} />}
      </Box>
      {changing && (
        <LaterDialog
          conversation={conversation.id}
          zone={zone}
          plan={plan}
          paper={{
            words: plan.words,
            template: undefined,
            attachments: plan.attachments.map(({ id }) => id),
            reference: '',
          }}
          onClose={() => setChanging(false)}
          onPlanned={() => setChanging(false)}
        />
      )}
    </Box>
  );
}

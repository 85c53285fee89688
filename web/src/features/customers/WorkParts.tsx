import { Box, Button } from '@mui/material';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import type { Appointment, CustomerPageData, Job } from '../../shared/api';
import { ActButton, ProblemNote } from '../../shared/ui';
import { Section } from './Fact';

export interface WorkProps {
  id: number;
  work: CustomerPageData['work'];
  zone: string;
  /** Whether anything of the customer can be changed. */
  open: boolean;
  /** The conversation beside which the user works; what is made belongs to it. */
  conversation?: number | undefined;
  /** Writes to the customer about one of them. */
  onWrite?: ((about: { appointment: Appointment } | { job: Job }) => void) | undefined;
}

export interface NewProps {
  id: number;
  zone: string;
  conversation: number | undefined;
  onDone: () => void;
}

interface ListProps {
  title: string;
  /** On the button that adds one. */
  add: string;
  /** Where there is none. */
  none: string;
  /** On the button that shows those that are over; none when all are shown. */
  rest: string | undefined;
  open: boolean;
  refusal: string;
  problem: unknown;
  form: (done: () => void) => ReactNode;
  onRest: () => void;
  children: ReactNode[];
}

/** What is agreed or goes on, and a form to add to it in place. */
export function WorkList({ title, add, none, rest, open, refusal, problem, form, onRest, children }: ListProps) {
  const [adding, setAdding] = useState(false);
  return (
    <Section
      title={title}
      aside={
        open &&
        !adding && (
          <ActButton refusal={refusal} sx={{ p: 0 }} onClick={() => setAdding(true)}>
            {add}
          </ActButton>
        )
      }
    >
      {adding && form(() => setAdding(false))}
      {children.length === 0 && !adding && <Box sx={{ color: 'text.secondary' }}>{none}</Box>}
      {children}
      {rest && (
        <Button sx={{ p: 0 }} onClick={onRest}>
          {rest}
        </Button>
      )}
      {problem !== null && <ProblemNote problem={problem} />}
    </Section>
  );
}

interface RowProps {
  what: string;
  /** The conversation it came from, and the one beside which it is shown. */
  conversation: number | undefined;
  here: number | undefined;
  before?: ReactNode;
  onWrite: (() => void) | undefined;
  children: ReactNode;
}

/** One of them, in a line. */
export function WorkRow({ what, conversation, here, before, onWrite, children }: RowProps) {
  return (
    <Box sx={{ py: 0.25, display: 'flex', flexWrap: 'wrap', columnGap: 1, alignItems: 'baseline' }}>
      {before}
      <Box component="span" sx={{ fontWeight: 650 }}>
        {what}
      </Box>
      {children}
      <Linked conversation={conversation} here={here} />
      {onWrite && (
        <Button sx={{ p: 0 }} aria-label={`Write about ${what}`} onClick={onWrite}>
          Write
        </Button>
      )}
    </Box>
  );
}

function Linked({ conversation, here }: { conversation: number | undefined; here: number | undefined }) {
  if (conversation === undefined) return null;
  if (conversation === here) return <Box sx={{ color: 'text.secondary' }}>from this conversation</Box>;
  return (
    <Button sx={{ p: 0 }} component={Link} to={`/inbox/${conversation}`}>
      Conversation
    </Button>
  );
}

interface FormProps {
  label: string;
  ready: boolean;
  onSave: () => void;
  onCancel: () => void;
  children: ReactNode;
}

/** A small form in place: Enter saves, Escape leaves it. */
export function WorkForm({ label, ready, onSave, onCancel, children }: FormProps) {
  return (
    <Box
      component="form"
      aria-label={label}
      sx={{ display: 'grid', gap: 0.75, py: 0.5 }}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        onCancel();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        onSave();
      }}
    >
      {children}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={!ready}>
          Save
        </Button>
        <Button onClick={onCancel}>Cancel</Button>
      </Box>
    </Box>
  );
}

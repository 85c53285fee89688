import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, type EscalationStep, staffQuery } from '../../shared/api';
import { SaveBar, useForm } from '../../shared/form';
import { lineEscalationQuery } from './queries';
import { Answered, Blank } from '../../shared/ui';
import { AFTER, afterWords, toldKey, toldOf } from './model/escalation';

interface Props {
  of: 'lines' | 'teams';
  id: number;
  first: EscalationStep[];
  /** What holds while there are no steps. */
  without: string;
}

/** Who is alerted when an answer is due soon, is late, and is late by a given time. */
export function EscalationEditor({ of, id, first, without }: Props) {
  const staff = (useQuery(staffQuery).data ?? []).filter((one) => one.active);
  const form = useForm({
    first: { steps: first },
    names: { steps: 'alerts' },
    send: (body) =>
      of === 'lines'
        ? ask('PUT', '/api/setup/lines/{id}/escalation', { path: { id }, body })
        : ask('PUT', '/api/setup/teams/{id}/escalation', { path: { id }, body }),
  });
  const { steps } = form.value;
  const setSteps = (next: EscalationStep[]) => form.change({ steps: next });
  const told = [
    { value: 'OWNER', words: 'its owner' },
    { value: 'TEAM', words: 'the team' },
    { value: 'LEADS', words: 'the leads' },
    ...staff.map((one) => ({ value: `PERSON ${one.id}`, words: one.name })),
  ];
  const set = (at: number, next: Partial<EscalationStep>) =>
    setSteps(steps.map((step, i) => (i === at ? { ...step, ...next } : step)));
  const minutes = [...new Set([...AFTER, ...steps.map((step) => step.afterMinutes)])].sort((a, b) => a - b);
  return (
    <Box>
      {steps.length === 0 && <Box sx={{ color: 'text.secondary' }}>{without}</Box>}
      {steps.map((step, i) => (
        // Their order is what tells them apart while they are edited.
        <Box key={i} sx={{ py: 0.25 }}>
          {'When an answer is '}
          <Blank
            name={`When, step ${i + 1}`}
            value={step.afterMinutes}
            options={minutes.map((value) => ({ value, words: afterWords(value) }))}
            onChange={(afterMinutes) => set(i, { afterMinutes })}
          />
          {', alert '}
          <Blank
            name={`Whom, step ${i + 1}`}
            value={toldKey(step)}
            options={told}
            onChange={(key) =>
              setSteps(steps.map((each, j) => (j === i ? { afterMinutes: each.afterMinutes, ...toldOf(key) } : each)))
            }
          />
          <Button
            onClick={() => setSteps(steps.filter((_, j) => j !== i))}
            aria-label={`Remove step ${i + 1}`}
            sx={{ py: 0 }}
          >
            ×
          </Button>
        </Box>
      ))}
      <Button sx={{ px: 0 }} onClick={() => setSteps([...steps, { afterMinutes: 30, told: 'LEADS' }])}>
        Add a step
      </Button>
      {form.field('steps').helperText && (
        <Box role="alert" sx={{ color: 'error.main' }}>
          {form.field('steps').helperText}
        </Box>
      )}
      {form.changed && <SaveBar form={form} save="Save alerts" alone />}
    </Box>
  );
}

/** The same for one line, read when its form is open. */
export function LineEscalation({ line }: { line: number }) {
  const query = useQuery(lineEscalationQuery(line));
  return (
    <Answered query={query}>
      {({ steps }) => <EscalationEditor of="lines" id={line} first={steps} without="Same as its team (see Teams)." />}
    </Answered>
  );
}

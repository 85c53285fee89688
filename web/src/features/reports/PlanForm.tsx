import { Box, Button } from '@mui/material';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, keys, type PricePlan } from '../../shared/api';
import { Field, ProblemNote } from '../../shared/ui';

interface Props {
  currency: string;
  /** The one that is changed; without it, one is added. */
  plan?: PricePlan | undefined;
  onDone: () => void;
}

const number = (typed: string) => (typed.trim() === '' ? NaN : Number(typed.trim().replace(',', '.')));

/** A price plan that a network offers. */
export function PlanForm({ currency: usual, plan: before, onDone }: Props) {
  const queries = useQueryClient();
  const currency = before?.currency ?? usual;
  const [name, setName] = useState(before?.name ?? '');
  const [fee, setFee] = useState(String(before?.fee ?? ''));
  const [included, setIncluded] = useState(String(before?.included ?? ''));
  const [over, setOver] = useState(String(before?.overPrice ?? ''));
  const plan = { name, currency, fee: number(fee), included: number(included), overPrice: number(over) };
  const ready =
    name.trim() !== '' &&
    [plan.fee, plan.included, plan.overPrice].every((one) => one >= 0) &&
    Number.isInteger(plan.included);
  const save = useMutation({
    mutationFn: () =>
      before
        ? ask('PUT', '/api/reports/plans/{id}', { path: { id: before.id }, body: plan })
        : ask('POST', '/api/reports/plans', { body: plan }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: keys.reports });
      onDone();
    },
  });
  return (
    <Box
      component="form"
      aria-label={before ? 'Change a price plan' : 'Add a price plan'}
      onSubmit={(event) => {
        event.preventDefault();
        if (ready) save.mutate();
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'end' }}
    >
      {/* The person who asked for the form wants to write the name. */}
      {/* eslint-disable-next-line jsx-a11y/no-autofocus */}
      <Field label="Name of the plan" value={name} autoFocus onChange={(event) => setName(event.target.value)} />
      <Field label={`Fee of a month (${currency})`} value={fee} onChange={(event) => setFee(event.target.value)} />
      <Field label="Parts included" value={included} onChange={(event) => setIncluded(event.target.value)} />
      <Field
        label={`Each part over those (${currency})`}
        value={over}
        onChange={(event) => setOver(event.target.value)}
      />
      <Button type="submit" variant="contained" disabled={!ready || save.isPending}>
        {before ? 'Save' : 'Add this plan'}
      </Button>
      <Button onClick={onDone}>Cancel</Button>
      {save.error && <ProblemNote problem={save.error} />}
    </Box>
  );
}

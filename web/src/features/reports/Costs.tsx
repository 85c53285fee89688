import { Box, Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, type CostOutlook, keys, type PricePlan } from '../../shared/api';
import { money } from '../../shared/format';
import { Field, ProblemNote } from '../../shared/ui';
import { rowWords } from './model/values';
import { PlanForm } from './PlanForm';
import { costsQuery } from './queries';

const amount = (value: number, currency: string) => money({ amount: Math.round(value * 100) / 100, currency });

const costsOf = ({ costs }: CostOutlook['coming']) =>
  costs.map((one) => amount(one.amount, one.currency)).join(' + ') || '–';

/** Months side by side with what other price plans would have cost, the coming month, and allowances. */
export function Costs() {
  const queries = useQueryClient();
  const [typed, setTyped] = useState('');
  const volume = /^\d{1,9}$/.test(typed.trim()) ? Number(typed.trim()) : undefined;
  const outlook = useQuery(costsQuery(volume));
  const [form, setForm] = useState<'add' | PricePlan>();
  const drop = useMutation({
    mutationFn: (id: number) => ask('DELETE', '/api/reports/plans/{id}', { path: { id } }),
    onSettled: () => queries.invalidateQueries({ queryKey: keys.reports }),
  });
  if (!outlook.data) {
    return outlook.error ? <ProblemNote problem={outlook.error} onRetry={() => void outlook.refetch()} /> : null;
  }
  const { months, coming, allowances, plans } = outlook.data;
  return (
    <Box component="section" aria-label="Months and price plans" sx={{ pt: 3 }}>
      <Box component="h2" sx={{ typography: 'heading', m: 0, pb: 0.5 }}>
        Months, and what other price plans would have cost
      </Box>
      {allowances.map((one) => (
        <Box key={`${one.whose} ${one.span}`} sx={{ typography: 'body2' }} className="figures">
          {one.whose} may send {one.most.toLocaleString('en-US')} parts {one.span}: {one.used.toLocaleString('en-US')}{' '}
          sent so far.
        </Box>
      ))}
      <Table size="small" aria-label="Months and price plans">
        <TableHead>
          <TableRow>
            <TableCell>month</TableCell>
            <TableCell align="right">Parts sent</TableCell>
            <TableCell align="right">Cost</TableCell>
            {plans.map(({ plan }) => (
              <TableCell key={plan.id} align="right">
                {plan.name}
                <Button
                  aria-label={`Change the plan ${plan.name}`}
                  sx={{ minWidth: 0, px: 0.5, py: 0, displayPrint: 'none' }}
                  onClick={() => setForm(plan)}
                >
                  Change
                </Button>
                <Button
                  aria-label={`Delete the plan ${plan.name}`}
                  sx={{ minWidth: 0, px: 0.5, py: 0, displayPrint: 'none' }}
                  onClick={() => drop.mutate(plan.id)}
                >
                  ×
                </Button>
                <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
                  {amount(plan.fee, plan.currency)} with {plan.included.toLocaleString('en-US')} parts, then{' '}
                  {money({ amount: plan.overPrice, currency: plan.currency })}
                </Box>
              </TableCell>
            ))}
          </TableRow>
        </TableHead>
        <TableBody>
          <TableRow>
            <TableCell component="th" scope="row">
              {rowWords('MONTH', coming.month, coming.month)}, at the present pace
            </TableCell>
            <TableCell align="right" className="figures">
              about {coming.parts.toLocaleString('en-US')}
            </TableCell>
            <TableCell align="right" className="figures">
              {costsOf(coming)}
            </TableCell>
            {plans.map(({ plan, coming: cost }) => (
              <TableCell key={plan.id} align="right" className="figures">
                {amount(cost, plan.currency)}
              </TableCell>
            ))}
          </TableRow>
          {months.map((month, i) => (
            <TableRow key={month.month}>
              <TableCell component="th" scope="row">
                {rowWords('MONTH', month.month, month.month)}
                {i === 0 && ' so far'}
              </TableCell>
              <TableCell align="right" className="figures">
                {month.parts.toLocaleString('en-US')}
              </TableCell>
              <TableCell align="right" className="figures">
                {costsOf(month)}
              </TableCell>
              {plans.map(({ plan, months: costs }) => (
                <TableCell key={plan.id} align="right" className="figures">
                  {amount(costs[i] ?? 0, plan.currency)}
                </TableCell>
              ))}
            </TableRow>
          ))}
          <TableRow sx={{ displayPrint: typed === '' ? 'none' : undefined }}>
            <TableCell component="th" scope="row">
              any other month with
            </TableCell>
            <TableCell align="right">
              <Field
                label="Parts"
                value={typed}
                placeholder="1500"
                slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 9 } }}
                onChange={(event) => setTyped(event.target.value)}
              />
            </TableCell>
            <TableCell />
            {plans.map(({ plan, volume: cost }) => (
              <TableCell key={plan.id} align="right" className="figures">
                {cost === undefined ? '' : amount(cost, plan.currency)}
              </TableCell>
            ))}
          </TableRow>
        </TableBody>
      </Table>
      {drop.error && <ProblemNote problem={drop.error} />}
      <Box sx={{ displayPrint: 'none', pt: 1 }}>
        {form ? (
          <PlanForm
            key={form === 'add' ? 0 : form.id}
            currency={coming.costs[0]?.currency ?? 'USD'}
            plan={form === 'add' ? undefined : form}
            onDone={() => setForm(undefined)}
          />
        ) : (
          <Button onClick={() => setForm('add')}>Add a price plan…</Button>
        )}
      </Box>
    </Box>
  );
}

import { Box, Button, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, type CostSettings, linesQuery, staffQuery, teamsQuery } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { localOf } from '../../shared/format';
import { Answered, Blank, BlankText, useNow } from '../../shared/ui';
import { type AllowanceSetup, KINDS, numberOf, type Price, SPANS, whoseKey, whoseOf } from './model/costs';
import { Part } from './Part';
import { PartsBought } from './PartsBought';
import { costSettingsQuery } from './queries';

const FIELDS = { currency: 'the currency', prices: 'the prices', allowances: 'the allowances' };

/** What texts cost, how many may be sent, and parts bought ahead. */
export function CostsPage() {
  const settings = useQuery(costSettingsQuery);
  return (
    <Box sx={{ p: 2, maxWidth: 860, display: 'grid', gap: 3, alignContent: 'start' }}>
      <Answered query={settings}>{(first) => <CostsForm first={first} />}</Answered>
      <PartsBought currency={settings.data?.currency ?? 'USD'} />
    </Box>
  );
}

interface RowsProps<T> {
  rows: T[];
  onChange: (rows: T[]) => void;
}

function Remove({ what, onClick }: { what: string; onClick: () => void }) {
  return (
    <Button aria-label={`Remove ${what}`} onClick={onClick} sx={{ py: 0, minWidth: 0 }}>
      ×
    </Button>
  );
}

function Prices({ rows, currency, onChange }: RowsProps<Price> & { currency: string }) {
  const now = useNow();
  const lines = useQuery(linesQuery).data ?? [];
  const options = [
    { value: 0, words: 'any line without a price of its own' },
    ...lines.map((line) => ({ value: line.id, words: line.name })),
  ];
  const set = (at: number, next: Partial<Price>) =>
    onChange(rows.map((row, i) => (i === at ? { ...row, ...next } : row)));
  return (
    <Box>
      {rows.length === 0 && <Box sx={{ color: 'text.secondary' }}>No prices yet, so no costs are shown.</Box>}
      {rows.map((row, i) => (
        <Box key={i} sx={{ py: 0.25 }}>
          {'Each '}
          <Blank name={`What, price ${i + 1}`} value={row.kind} options={KINDS} onChange={(kind) => set(i, { kind })} />
          {' on '}
          <Blank
            name={`Line, price ${i + 1}`}
            value={row.lineId ?? 0}
            options={options}
            onChange={(line) => set(i, { lineId: line === 0 ? undefined : line })}
          />
          {' costs '}
          <BlankText
            name={`Amount, price ${i + 1}`}
            value={String(row.amount)}
            placeholder="0.01"
            onChange={(typed) => set(i, { amount: numberOf(typed) ?? row.amount })}
          />
          {` ${currency} from `}
          <BlankText
            name={`From, price ${i + 1}`}
            type="date"
            value={row.from}
            placeholder=""
            onChange={(from) => from !== '' && set(i, { from })}
          />
          <Remove what={`price ${i + 1}`} onClick={() => onChange(rows.filter((_, j) => j !== i))} />
        </Box>
      ))}
      <Button
        sx={{ px: 0 }}
        onClick={() =>
          onChange([...rows, { kind: 'PART', from: localOf(now, lines[0]?.zone ?? 'UTC').slice(0, 10), amount: 0 }])
        }
      >
        Add a price
      </Button>
    </Box>
  );
}

function Allowances({ rows, onChange }: RowsProps<AllowanceSetup>) {
  const staff = (useQuery(staffQuery).data ?? []).filter((one) => one.active);
  const teams = useQuery(teamsQuery).data ?? [];
  const whose = [
    { value: 'ALL', words: 'All of us together' },
    ...teams.map((team) => ({ value: `TEAM ${team.id}`, words: `The lines of ${team.name}` })),
    ...staff.map((one) => ({ value: `PERSON ${one.id}`, words: one.name })),
  ];
  const set = (at: number, next: AllowanceSetup) => onChange(rows.map((row, i) => (i === at ? next : row)));
  return (
    <Box>
      {rows.length === 0 && <Box sx={{ color: 'text.secondary' }}>No limits: everyone may send as much as needed.</Box>}
      {rows.map((row, i) => (
        <Box key={i} sx={{ py: 0.25 }}>
          <Blank
            name={`Who, allowance ${i + 1}`}
            value={whoseKey(row)}
            options={whose}
            onChange={(key) => set(i, { span: row.span, parts: row.parts, ...whoseOf(key) })}
          />
          {' may send '}
          <BlankText
            name={`Parts, allowance ${i + 1}`}
            value={String(row.parts)}
            placeholder="500"
            onChange={(typed) => set(i, { ...row, parts: Math.trunc(numberOf(typed) ?? row.parts) })}
          />
          {' parts '}
          <Blank
            name={`Time, allowance ${i + 1}`}
            value={row.span}
            options={SPANS}
            onChange={(span) => set(i, { ...row, span })}
          />
          <Remove what={`allowance ${i + 1}`} onClick={() => onChange(rows.filter((_, j) => j !== i))} />
        </Box>
      ))}
      <Button sx={{ px: 0 }} onClick={() => onChange([...rows, { span: 'MONTH', parts: 1000 }])}>
        Add an allowance
      </Button>
    </Box>
  );
}

function CostsForm({ first }: { first: CostSettings }) {
  const form = useForm({
    first,
    names: FIELDS,
    send: (body: CostSettings) => ask('PUT', '/api/setup/costs', { body }),
  });
  const { value: now, change, field } = form;
  return (
    <Form form={form} label="Costs" sx={{ display: 'grid', gap: 3 }}>
      <Part title="Prices">
        <Box sx={{ typography: 'body2' }}>
          What a text costs is shown before it is sent and kept with it. A new price never changes texts already sent.
        </Box>
        <TextField
          label="Currency"
          value={now.currency}
          {...field('currency')}
          onChange={(event) => change({ currency: event.target.value.toUpperCase() })}
          slotProps={{ htmlInput: { maxLength: 3 } }}
          sx={{ width: 120 }}
        />
        <Prices rows={now.prices} currency={now.currency} onChange={(prices) => change({ prices })} />
      </Part>
      <Part title="Allowances">
        <Box sx={{ typography: 'body2' }}>
          Colleagues are told while they write when most of an allowance is used. Texts over it are not sent; under
          Sending this can be changed.
        </Box>
        <Allowances rows={now.allowances} onChange={(allowances) => change({ allowances })} />
      </Part>
      <SaveBar form={form} save="Save" saved={() => 'Saved.'} />
    </Form>
  );
}

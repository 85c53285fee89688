import { Box, Button } from '@mui/material';
import { useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { customerTermsQuery, type CustomerRow, type DetailKind, linesQuery } from '../../shared/api';
import { localOf } from '../../shared/format';
import { CUSTOMERS, readCustomers, writeCustomers } from '../../shared/sentence/customers';
import { SentenceEditor } from '../../shared/sentence/SentenceEditor';
import { type Column, DataTable } from '../../shared/table';
import {
  ActButton,
  Field,
  Moment,
  ProblemNote,
  useAddress,
  useMe,
  useNow,
  useRefusal,
  useTitle,
} from '../../shared/ui';
import { CheckNumbers } from './CheckNumbers';
import { ExportMenu } from './ExportMenu';
import { ListsDialog } from './ListsDialog';
import { placeQuery, useNewCustomer } from './queries';
import { PutOnList } from './PutOnList';
import { TwinsDialog } from './TwinsDialog';

const kindColumn: Column<CustomerRow> = {
  name: 'Kind',
  width: 'minmax(70px, 0.6fr)',
  cell: ({ kind }) => kind ?? '',
  text: ({ kind }) => kind ?? '',
};

function columnsOf(details: DetailKind[], kinds: boolean, zone: string): Column<CustomerRow>[] {
  const said = (row: CustomerRow, kind: number) => row.details.find(({ kindId }) => kindId === kind)?.words ?? '';
  return [
    {
      name: 'Name',
      width: 'minmax(160px, 1.6fr)',
      always: true,
      cell: (row) => (
        <Box
          component={Link}
          to={`/customers/${row.id}`}
          tabIndex={-1}
          sx={{
            color: 'text.primary',
            fontWeight: 650,
            textDecoration: 'none',
            '&:hover': { textDecoration: 'underline' },
          }}
        >
          {row.name}
        </Box>
      ),
      text: ({ name }) => name,
    },
    {
      name: 'Number',
      width: 'minmax(130px, 1fr)',
      cell: ({ numbers }) => (
        <Box className="figures">
          {numbers[0] ?? '–'}
          {numbers.length > 1 && (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {` and ${numbers.length - 1} more`}
            </Box>
          )}
        </Box>
      ),
      text: ({ numbers }) => numbers.join(', '),
    },
    ...details.slice(0, 4).map((kind) => ({
      name: kind.name,
      width: 'minmax(80px, 0.8fr)',
      cell: (row: CustomerRow) => said(row, kind.id),
      text: (row: CustomerRow) => said(row, kind.id),
    })),
    ...(kinds ? [kindColumn] : []),
    {
      name: 'Last heard from',
      width: 'minmax(200px, 1.1fr)',
      cell: ({ heardAt }) => (heardAt ? <Moment at={heardAt} zone={zone} /> : '–'),
      text: ({ heardAt }) => heardAt ?? '',
    },
  ];
}

/** All customers: found by any part of anything, narrowed by a sentence, put on lists together. */
export function CustomersPlace() {
  useTitle('Customers');
  const navigate = useNavigate();
  const [params, setParams] = useAddress();
  const sentence = readCustomers(params.get('show') ?? '');
  const terms = useQuery(customerTermsQuery).data;
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const now = useNow();
  const place = useInfiniteQuery(placeQuery(writeCustomers(sentence)));
  const rows = useMemo(() => place.data?.pages.flatMap((page) => page.customers) ?? [], [place.data]);
  const count = place.data?.pages[0]?.count;
  const details = terms?.details.filter(({ retired }) => !retired) ?? [];
  const say = (next: typeof sentence) => {
    const show = writeCustomers(next);
    setParams(show === '' ? {} : { show }, { replace: true });
  };
  const [managing, setManaging] = useState(false);
  const [twins, setTwins] = useState(false);
  const refusal = useRefusal('WORK');
  return (
    <Box
      component="main"
      sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column', gap: 1, p: { xs: 1, sm: 2 } }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-end' }}>
        <Field
          label="Find"
          placeholder="any part of a name, number, boat, note, job"
          value={sentence.called}
          // One comes here to find someone.
          // eslint-disable-next-line jsx-a11y/no-autofocus
          autoFocus
          autoComplete="off"
          slotProps={{ htmlInput: { maxLength: 80 } }}
          sx={{ width: 'min(420px, 100%)' }}
          onChange={(event) => say({ ...sentence, called: event.target.value })}
        />
        <Box sx={{ flex: 1 }} />
        <NewCustomer refusal={refusal} onMade={(id) => void navigate(`/customers/${id}`)} />
        <ExportMenu sentence={writeCustomers(sentence)} />
        {useMe().may.includes('LEAD') && (
          <Button component={Link} to="/customers/import">
            Import…
          </Button>
        )}
        <Button onClick={() => setManaging(true)} aria-haspopup="dialog">
          Customer lists…
        </Button>
        <Button onClick={() => setTwins(true)} aria-haspopup="dialog">
          On file twice…
        </Button>
      </Box>
      <SentenceEditor
        grammar={CUSTOMERS}
        sentence={sentence}
        given={{
          sites: terms?.sites ?? [],
          kinds: terms?.kinds ?? [],
          lists: terms?.lists ?? [],
          details,
          today: localOf(now, zone).slice(0, 10),
        }}
        opening={
          count === undefined
            ? 'Customers'
            : `${count.toLocaleString('en-US')} ${count === 1 ? 'customer' : 'customers'}`
        }
        without={['called']}
        onChange={say}
      />
      <DataTable
        label="Customers"
        name="customers"
        columns={columnsOf(details, (terms?.kinds.length ?? 0) > 0, zone)}
        rows={rows}
        keyOf={({ id }) => id}
        nameOf={({ name }) => name}
        query={place}
        empty={
          writeCustomers(sentence) === ''
            ? 'No customers yet. They appear here when you say who wrote, or add them.'
            : 'Nobody fits all of this. Remove a part of the sentence, or try other words.'
        }
        onOpen={({ id }) => void navigate(`/customers/${id}`)}
        actions={(chosen, clear) => (
          <>
            <PutOnList customers={chosen.map(({ id }) => id)} onDone={clear} />
            <CheckNumbers customers={chosen.map(({ id }) => id)} />
          </>
        )}
      />
      {twins && <TwinsDialog onClose={() => setTwins(false)} />}
      {managing && <ListsDialog onClose={() => setManaging(false)} />}
    </Box>
  );
}

function NewCustomer({ refusal, onMade }: { refusal: string; onMade: (id: number) => void }) {
  const [name, setName] = useState<string>();
  const made = useNewCustomer(onMade);
  if (name === undefined) {
    return (
      <ActButton refusal={refusal} variant="outlined" onClick={() => setName('')}>
        New customer
      </ActButton>
    );
  }
  return (
    <Box
      component="form"
      sx={{ display: 'flex', gap: 1, alignItems: 'flex-end' }}
      onSubmit={(event) => {
        event.preventDefault();
        made.mutate(name);
      }}
    >
      <Field
        label="Name of the new customer"
        value={name}
        // The person who asked for it wants to type it.
        // eslint-disable-next-line jsx-a11y/no-autofocus
        autoFocus
        slotProps={{ htmlInput: { maxLength: 160 } }}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setName(undefined);
        }}
        onChange={(event) => setName(event.target.value)}
      />
      <Button type="submit" variant="contained" disabled={name.trim() === '' || made.isPending}>
        Add
      </Button>
      <Button onClick={() => setName(undefined)}>Cancel</Button>
      {made.error && <ProblemNote problem={made.error} />}
    </Box>
  );
}

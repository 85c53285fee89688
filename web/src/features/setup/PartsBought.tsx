import { Box, Table, TableBody, TableCell, TableHead, TableRow, TextField } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, linesQuery } from '../../shared/api';
import { Form, SaveBar, useForm } from '../../shared/form';
import { day, localOf, money } from '../../shared/format';
import { Answered, useNow } from '../../shared/ui';
import { numberOf, stockWords } from './model/costs';
import { Part } from './Part';
import { ledgerQuery } from './queries';

const FIELDS = { day: 'the day', parts: 'how many', price: 'the price', remark: 'the remark' };

/** The ledger of parts bought ahead, what is left, and how long it lasts. */
export function PartsBought({ currency }: { currency: string }) {
  const now = useNow();
  const ledger = useQuery(ledgerQuery);
  return (
    <Part title="Parts bought ahead">
      <Answered query={ledger}>
        {(is) => (
          <>
            <Box className="figures">{stockWords(is)}</Box>
            {is.purchases.length > 0 && (
              <Table size="small" aria-label="Parts bought ahead">
                <TableHead>
                  <TableRow>
                    <TableCell>Bought on</TableCell>
                    <TableCell align="right">Parts</TableCell>
                    <TableCell align="right">Price</TableCell>
                    <TableCell>Remark</TableCell>
                  </TableRow>
                </TableHead>
                <TableBody>
                  {is.purchases.map((each, i) => (
                    <TableRow key={i}>
                      <TableCell className="figures">{day(new Date(`${each.day}T12:00:00Z`), now, 'UTC')}</TableCell>
                      <TableCell align="right" className="figures">
                        {each.parts.toLocaleString('en-US')}
                      </TableCell>
                      <TableCell align="right" className="figures">
                        {money({ amount: each.price, currency: each.currency })}
                      </TableCell>
                      <TableCell>{each.remark}</TableCell>
                    </TableRow>
                  ))}
                </TableBody>
              </Table>
            )}
          </>
        )}
      </Answered>
      <Buy currency={currency} />
    </Part>
  );
}

function Buy({ currency }: { currency: string }) {
  const now = useNow();
  const zone = useQuery(linesQuery).data?.[0]?.zone ?? 'UTC';
  const form = useForm({
    first: { day: localOf(now, zone).slice(0, 10), parts: '', price: '', remark: '' },
    names: FIELDS,
    send: ({ parts, price, ...rest }) =>
      ask('POST', '/api/setup/costs/bought', {
        body: { ...rest, currency, parts: Math.trunc(numberOf(parts) ?? 0), price: numberOf(price) ?? 0 },
      }),
  });
  const { value, change, field } = form;
  return (
    <Form form={form} label="Note parts bought" sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
        <TextField
          label="Bought on"
          type="date"
          value={value.day}
          {...field('day')}
          onChange={(event) => change({ day: event.target.value })}
        />
        <TextField
          label="Parts"
          value={value.parts}
          {...field('parts')}
          onChange={(event) => change({ parts: event.target.value })}
          sx={{ width: 120 }}
        />
        <TextField
          label={`Price in ${currency}`}
          value={value.price}
          {...field('price')}
          onChange={(event) => change({ price: event.target.value })}
          sx={{ width: 140 }}
        />
        <TextField
          label="Remark"
          value={value.remark}
          {...field('remark')}
          onChange={(event) => change({ remark: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
      </Box>
      <SaveBar
        form={form}
        save="Note the purchase"
        ready={numberOf(value.parts) !== undefined && numberOf(value.price) !== undefined}
        saved={() => 'Noted.'}
      />
    </Form>
  );
}

import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, customerTermsQuery } from '../../shared/api';
import { Blank, ProblemNote, useRefusal } from '../../shared/ui';
import { useCustomerChange } from './queries';

/** Puts chosen customers on a list, or takes them off it. */
export function PutOnList({ customers, onDone }: { customers: number[]; onDone: () => void }) {
  const lists = useQuery(customerTermsQuery).data?.lists ?? [];
  const change = useCustomerChange();
  const [said, setSaid] = useState('');
  const refusal = useRefusal('WORK');
  if (refusal !== '') return <Box>{refusal}</Box>;
  const set = (list: number, on: boolean) => {
    const name = lists.find(({ id }) => id === list)?.name ?? '';
    const go = async () => {
      const { changed } = await ask('POST', '/api/customer-lists/{id}/customers', {
        path: { id: list },
        body: { customers, on },
      });
      setSaid(`${changed} ${on ? 'put on' : 'taken off'} ${name}.`);
    };
    change.mutate({ go }, { onSuccess: onDone });
  };
  const options = lists.map(({ id, name }) => ({ value: String(id), words: name }));
  return (
    <>
      {options.length === 0 ? (
        <Button disabled>No customer list yet</Button>
      ) : (
        <>
          <Blank
            name="Put on a list"
            value={undefined as string | undefined}
            unsaid="Put on a list…"
            options={options}
            onChange={(id) => id !== undefined && set(Number(id), true)}
          />
          <Blank
            name="Take off a list"
            value={undefined as string | undefined}
            unsaid="Take off a list…"
            options={options}
            onChange={(id) => id !== undefined && set(Number(id), false)}
          />
        </>
      )}
      <Box role="status">{said}</Box>
      {change.error && <ProblemNote problem={change.error} />}
    </>
  );
}

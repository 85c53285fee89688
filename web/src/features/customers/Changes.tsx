import { Box, Button } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask, staffQuery } from '../../shared/api';
import { ActButton, Answered, Moment, ProblemNote, useRefusal } from '../../shared/ui';
import { Section } from './Fact';
import { changeWords } from './model/changes';
import { changesQuery, useCustomerChange } from './queries';

/** What changed of a customer and by whom; what was said of numbers and customers can be taken back, however much later. */
export function Changes({ id, zone }: { id: number; zone: string }) {
  const [open, setOpen] = useState(false);
  const changes = useQuery({ ...changesQuery(id), enabled: open });
  const staff = useQuery(staffQuery).data ?? [];
  const refusal = useRefusal('WORK');
  const back = useCustomerChange();
  return (
    <Section
      title="What changed"
      aside={
        <Button sx={{ p: 0 }} aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide' : 'Show'}
        </Button>
      }
    >
      {open && (
        <Answered query={changes}>
          {(rows) =>
            rows.length === 0 ? (
              <Box sx={{ color: 'text.secondary' }}>Nothing since they were added.</Box>
            ) : (
              <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
                {rows.map((row) => (
                  <li key={`${row.act ?? ''} ${row.id}`}>
                    <Moment at={row.at} zone={zone} />:{' '}
                    {row.staffId === undefined
                      ? (row.program ?? 'Fabulum')
                      : (staff.find((one) => one.id === row.staffId)?.name ?? 'a colleague')}{' '}
                    {changeWords(row)}.{' '}
                    {row.act !== undefined && row.undoneAt === undefined && (
                      <ActButton
                        refusal={refusal}
                        sx={{ p: 0 }}
                        disabled={back.isPending}
                        onClick={() =>
                          back.mutate({
                            go: () => ask('POST', '/api/identifying/{act}/undo', { path: { act: row.act ?? 0 } }),
                          })
                        }
                      >
                        Take back
                      </ActButton>
                    )}
                    {row.undoneAt !== undefined && (
                      <>
                        Taken back <Moment at={row.undoneAt} zone={zone} />.
                      </>
                    )}
                  </li>
                ))}
              </Box>
            )
          }
        </Answered>
      )}
      {back.error && <ProblemNote problem={back.error} />}
    </Section>
  );
}

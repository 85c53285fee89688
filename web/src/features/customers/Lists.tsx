import { Box, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { ask, customerTermsQuery, type CustomerFile } from '../../shared/api';
import { Blank, ProblemNote, useRefusal } from '../../shared/ui';
import { Section } from './Fact';
import { useCustomerChange } from './queries';

/** The customer lists somebody is on. */
export function Lists({ file }: { file: CustomerFile }) {
  const terms = useQuery(customerTermsQuery).data;
  const change = useCustomerChange();
  const may = useRefusal('WORK') === '' && file.joinedInto === undefined;
  const set = (list: number, on: boolean) =>
    change.mutate({
      go: () =>
        ask('POST', '/api/customer-lists/{id}/customers', { path: { id: list }, body: { customers: [file.id], on } }),
    });
  const others = (terms?.lists ?? []).filter(({ id }) => !file.lists.includes(id));
  return (
    <Section title="Customer lists">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1.5, alignItems: 'baseline' }}>
        {file.lists.length === 0 && <Box sx={{ color: 'text.secondary' }}>On no list.</Box>}
        {file.lists.map((id) => {
          const name = terms?.lists.find((list) => list.id === id)?.name ?? '…';
          return (
            <Box key={id} component="span">
              {name}
              {may && (
                <ButtonBase
                  aria-label={`Take off the list ${name}`}
                  onClick={() => set(id, false)}
                  sx={{ font: 'inherit', pl: 0.5, color: 'text.secondary' }}
                >
                  ×
                </ButtonBase>
              )}
            </Box>
          );
        })}
        {may && others.length > 0 && (
          <Blank
            name="Put on a list"
            value={undefined as string | undefined}
            unsaid="put on a list…"
            options={others.map(({ id, name }) => ({ value: String(id), words: name }))}
            onChange={(id) => id !== undefined && set(Number(id), true)}
          />
        )}
        {may && terms?.lists.length === 0 && (
          <Box sx={{ color: 'text.secondary' }}>There are none yet; Customers is where they are made.</Box>
        )}
      </Box>
      {change.error && <ProblemNote problem={change.error} />}
    </Section>
  );
}

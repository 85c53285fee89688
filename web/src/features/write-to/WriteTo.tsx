import {
  Box,
  Button,
  Checkbox,
  Dialog,
  DialogContent,
  DialogTitle,
  FormControlLabel,
  MenuItem,
  MenuList,
} from '@mui/material';
import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { ask } from '../../shared/api';
import { writeLinesQuery } from './queries';
import { type Chosen, GroupOf } from './GroupOf';
import { Field, Blank, ProblemNote, useOpenConversation } from '../../shared/ui';

/** As long as no line is chosen, each customer is written to from the line they last wrote to, or one of their site. */
const USUAL = 0;

const ONE = 1;
const GROUP = 2;

interface Whom {
  line: number;
  number: string;
  others?: string[];
  makeCustomer: boolean;
  name: string;
}

interface Props {
  /** Words that go onto the paper there: a text that was not delivered elsewhere. */
  carry?: { words: string; again: number };
  onClose: () => void;
}

/** Writes to someone unasked: a customer found by any part of name, number or detail, or a number that is typed. */
export function WriteTo({ carry, onClose }: Props) {
  const openConversation = useOpenConversation();
  const mine = useQuery(writeLinesQuery);
  const lines = mine.data ?? [];
  const [chosenLine, setLine] = useState<number>();
  const [words, setWords] = useState('');
  const [toGroup, setToGroup] = useState(false);
  const [group, setGroup] = useState<Chosen[]>([]);
  const [makeCustomer, setMakeCustomer] = useState(true);
  const [name, setName] = useState('');
  const line = chosenLine === undefined || chosenLine === USUAL ? (lines[0]?.id ?? 0) : chosenLine;
  const chosen = line === chosenLine;
  const lineOf = (usual: number | undefined) => (chosen ? line : (usual ?? line));
  const nameOf = (id: number) => lines.find((each) => each.id === id)?.name ?? '';
  // Never who was found for other words: the person who types and presses Enter at once would write to another person.
  const found = useQuery({
    queryKey: ['write-to', line, words],
    queryFn: () => ask('GET', '/api/write-to', { query: { words, line } }),
    enabled: words.trim() !== '' && line > 0,
    staleTime: 0,
  }).data;
  const open = useMutation({
    mutationFn: (whom: Whom) => ask('POST', '/api/write-to', { body: whom }),
    onSuccess: ({ id }) => {
      onClose();
      openConversation(id, { write: true, ...carry });
    },
  });
  const people = words.trim() === '' ? [] : (found?.people ?? []);
  const add = (one: Chosen) => {
    setGroup((had) => [...had.filter(({ address }) => address !== one.address), one]);
    setWords('');
  };
  const goOn = ({ address, usualLine }: (typeof people)[number]) =>
    open.mutate({ line: lineOf(usualLine), number: address, makeCustomer: false, name: '' });
  const choose = (person: (typeof people)[number]) =>
    toGroup ? add({ address: person.address, name: person.name ?? person.number }) : goOn(person);
  const typed = words.trim() === '' ? undefined : found?.number;
  const digits = words.replace(/\D/g, '').length;
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="write-title"
      fullWidth
      maxWidth="sm"
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      <DialogTitle id="write-title" sx={{ pb: 0.5 }}>
        Write to someone
      </DialogTitle>
      <DialogContent>
        <Box
          component="form"
          onSubmit={(event) => {
            event.preventDefault();
            const first = people[0];
            if (toGroup) {
              if (typed) add({ address: typed, name: found?.shownNumber ?? typed });
              else if (first) choose(first);
            } else if (typed) open.mutate({ line, number: typed, makeCustomer, name });
            else if (first) goOn(first);
            else open.mutate({ line, number: words, makeCustomer, name });
          }}
          sx={{ display: 'grid', gap: 1.5 }}
        >
          <Box sx={{ typography: 'body2' }}>
            {'From '}
            <Blank
              name="From which line"
              value={chosenLine ?? USUAL}
              options={[
                { value: USUAL, words: 'the line they wrote to last' },
                ...lines.map((each) => ({ value: each.id, words: `${each.name}, ${each.shownNumber}` })),
              ]}
              onChange={setLine}
            />
            {' to '}
            <Blank
              name="To one or to a group"
              value={toGroup ? GROUP : ONE}
              options={[
                { value: ONE, words: 'one person' },
                { value: GROUP, words: 'a group' },
              ]}
              onChange={(to) => setToGroup(to === GROUP)}
            />
          </Box>
          <Field
            label="To"
            placeholder="a name, a number, a boat"
            value={words}
            // The person who asked for the dialog wants to write to someone.
            // eslint-disable-next-line jsx-a11y/no-autofocus
            autoFocus
            autoComplete="off"
            onChange={(event) => {
              setWords(event.target.value);
              open.reset();
            }}
          />
          {people.length > 0 && (
            <MenuList aria-label="Found" sx={{ maxHeight: 260, overflowY: 'auto', mx: -1 }}>
              {people.map((person) => (
                <MenuItem
                  key={`${person.address} ${person.name ?? ''}`}
                  onClick={() => choose(person)}
                  sx={{ gap: 1.5, px: 1, alignItems: 'baseline', whiteSpace: 'normal' }}
                >
                  <Box sx={{ fontWeight: 650 }}>{person.name ?? 'unknown number'}</Box>
                  <Box className="figures">{person.number}</Box>
                  <Box sx={{ flex: 1, color: 'text.secondary', typography: 'caption' }}>{person.detail}</Box>
                  <Box sx={{ color: 'text.secondary', typography: 'caption' }}>
                    {toGroup
                      ? 'Add to the group'
                      : person.conversations.some((each) => each.lineId === lineOf(person.usualLine))
                        ? 'Open conversation'
                        : 'New conversation'}
                    {!toGroup && !chosen && `, ${nameOf(lineOf(person.usualLine))}`}
                  </Box>
                </MenuItem>
              ))}
            </MenuList>
          )}
          {typed && toGroup && (
            <Button type="submit" variant="outlined">
              Add {found?.shownNumber ?? typed}
            </Button>
          )}
          {typed && !toGroup && (
            <Box sx={{ display: 'grid', gap: 1 }}>
              <FormControlLabel
                control={
                  <Checkbox checked={makeCustomer} onChange={(_, checked) => setMakeCustomer(checked)} size="small" />
                }
                label={`${found?.shownNumber ?? typed} is new${found?.extension ? ` (extension ${found.extension} is left out: texts cannot reach it)` : ''}. Add it as a customer.`}
              />
              {makeCustomer && (
                <Field
                  label="Name, if you know it"
                  value={name}
                  onChange={(event) => setName(event.target.value)}
                  slotProps={{ htmlInput: { maxLength: 160 } }}
                />
              )}
              <Button type="submit" variant="contained" disabled={open.isPending}>
                Write to {found?.shownNumber ?? typed}
                {!chosen && ` from ${nameOf(line)}`}
              </Button>
            </Box>
          )}
          {!typed && people.length === 0 && words.trim() !== '' && found && (
            <Box sx={{ color: 'text.secondary', typography: 'body2' }}>
              {digits >= 7
                ? 'Not a valid phone number in the country of this line. Please check the digits.'
                : 'No customer with that name. Type the whole number to write to someone new.'}
            </Box>
          )}
          {toGroup && (
            <GroupOf
              chosen={group}
              limit={lines.find(({ id }) => id === line)?.groupLimit ?? 8}
              busy={open.isPending}
              onRemove={(address) => setGroup((had) => had.filter((one) => one.address !== address))}
              onOpen={() =>
                open.mutate({
                  line,
                  number: group[0]?.address ?? '',
                  others: group.slice(1).map(({ address }) => address),
                  makeCustomer: false,
                  name: '',
                })
              }
            />
          )}
          {mine.data?.length === 0 && (
            <Box sx={{ color: 'text.secondary', typography: 'body2' }}>
              You have no line to write from. A team lead can change that.
            </Box>
          )}
          {(open.error ?? mine.error) && <ProblemNote problem={open.error ?? mine.error} />}
        </Box>
      </DialogContent>
    </Dialog>
  );
}

import { Box, ButtonBase, InputBase } from '@mui/material';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { call, type HandsetScript, type Named, type Overview } from './api';
import { Handset } from './Handset';
import { Misbehave } from './Misbehave';

const MOST_SHOWN = 60;

function matching(all: Named[], words: string): Named[] {
  const sought = words.trim().toLowerCase();
  const digits = sought.replace(/\D/g, '');
  return all
    .filter((one) => one.name.toLowerCase().includes(sought) || (digits.length > 2 && one.number.includes(digits)))
    .slice(0, MOST_SHOWN);
}

/** The stand-in's handsets: pick a number, old or new, and play the customer. */
export function Handsets() {
  const queries = useQueryClient();
  const overview = useQuery({ queryKey: ['overview'], queryFn: () => call<Overview>('GET', '/handsets') });
  const [words, setWords] = useState('');
  const [number, setNumber] = useState<string>();
  // However it was typed, the network writes it in one way, and lists it so.
  const pickUp = async (typed: string) =>
    setNumber((await call<HandsetScript>('GET', `/handsets/${encodeURIComponent(typed)}`)).number);
  useEffect(() => {
    const source = new EventSource('/live');
    source.onmessage = () => void queries.invalidateQueries();
    return () => source.close();
  }, [queries]);
  const people = useMemo(() => {
    const known = overview.data?.directory.people ?? [];
    const busy = overview.data?.handsets ?? [];
    const first = busy.map(
      (each) => known.find((one) => one.number === each) ?? { number: each, name: 'a new number' },
    );
    return [...first, ...known.filter((one) => !busy.includes(one.number))];
  }, [overview.data]);
  const shown = matching(people, words);
  const fresh = words.trim() !== '' && !people.some((one) => one.number === words.trim() || one.name === words.trim());
  const name = people.find((one) => one.number === number)?.name ?? 'a new number';
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100dvh',
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '320px minmax(0, 1fr) 280px' },
        gridTemplateRows: { md: '100dvh' },
      }}
    >
      <Box
        component="section"
        aria-label="Numbers"
        sx={{
          borderRight: 1,
          borderColor: 'divider',
          display: 'flex',
          flexDirection: 'column',
          minHeight: 0,
          maxHeight: { xs: 280, md: 'none' },
        }}
      >
        <Box sx={{ p: 2, borderBottom: 1, borderColor: 'divider' }}>
          <Box component="h1" sx={{ m: 0, typography: 'title' }}>
            Handsets
          </Box>
          <Box sx={{ typography: 'caption', color: 'text.secondary', mb: 1 }}>
            A stand-in for the phone network. Pick up a handset and text the business as its customer.{' '}
            <a href="/mail">Mailbox</a>
          </Box>
          <InputBase
            fullWidth
            value={words}
            onChange={(e) => setWords(e.target.value)}
            onKeyDown={(e) => {
              if (e.key !== 'Enter') return;
              const typed = /\d{3}/.test(words) && fresh;
              const only = typed || shown.length === 0 ? words.trim() : shown[0]?.number;
              if (only) void pickUp(only);
            }}
            placeholder="A name, or any number"
            inputProps={{ 'aria-label': 'Find or type a number' }}
            sx={{ border: 1, borderColor: 'text.secondary', borderRadius: 1, px: 1, bgcolor: 'background.paper' }}
          />
        </Box>
        {/* A scrolling region must be reachable by keyboard. */}
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none', overflowY: 'auto' }}>
          {fresh && (
            <li>
              <Pick
                one={{ number: words.trim(), name: 'Use this number' }}
                chosen={false}
                onPick={(typed) => void pickUp(typed)}
              />
            </li>
          )}
          {shown.map((one) => (
            <li key={one.number}>
              <Pick one={one} chosen={one.number === number} onPick={(typed) => void pickUp(typed)} />
            </li>
          ))}
        </Box>
      </Box>
      {number === undefined ? (
        <Box sx={{ display: 'grid', placeItems: 'center', color: 'text.secondary', p: 4 }}>
          Pick a number on the left, or type a new one.
        </Box>
      ) : (
        <Handset
          key={number}
          number={number}
          name={name}
          lines={overview.data?.directory.lines ?? []}
          people={people}
        />
      )}
      {overview.data && <Misbehave faults={overview.data.faults} />}
    </Box>
  );
}

function Pick({ one, chosen, onPick }: { one: Named; chosen: boolean; onPick: (number: string) => void }) {
  return (
    <ButtonBase
      onClick={() => onPick(one.number)}
      aria-current={chosen ? 'true' : undefined}
      sx={{
        width: '100%',
        display: 'flex',
        justifyContent: 'space-between',
        gap: 1,
        px: 2,
        py: 0.75,
        borderRadius: 0,
        borderBottom: 1,
        borderColor: 'divider',
        textAlign: 'left',
        bgcolor: chosen ? 'inks.pineWash' : 'transparent',
      }}
    >
      <span>{one.name}</span>
      <Box component="span" className="figures" sx={{ typography: 'caption', color: 'text.secondary' }}>
        {one.number}
      </Box>
    </ButtonBase>
  );
}

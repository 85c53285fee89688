import { Box, Button, ButtonBase } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { type LineSetup } from '../../shared/api';
import { countriesQuery, holidaysQuery } from './queries';
import { Blank } from '../../shared/ui';
import { DAYS } from '../../shared/week';
import { DaysFromFile } from './DaysFromFile';
import { monthAfter, monthWords, weeksOf } from './model/month';

interface Props {
  line: LineSetup;
  today: string;
  onChange: (change: Partial<LineSetup>) => void;
}

function toggled(days: string[], day: string): string[] {
  return days.includes(day) ? days.filter((each) => each !== day) : [...days, day].sort();
}

/** Closed days on a calendar: those entered here, and the public holidays of a country or a part of it. */
export function ClosedDays({ line, today, onChange }: Props) {
  const [month, setMonth] = useState(today.slice(0, 7));
  const countries = useQuery(countriesQuery).data ?? [];
  const country = line.holidays?.country;
  const region = line.holidays?.region;
  const holidays = useQuery(holidaysQuery(country, region)).data ?? [];
  const regions = countries.find((each) => each.code === country)?.regions ?? [];
  const nameOf = (day: string) => holidays.find((holiday) => holiday.day === day)?.name;
  const toggle = (day: string) =>
    nameOf(day) !== undefined && !line.closedDays.includes(day)
      ? onChange({ openHolidays: toggled(line.openHolidays, day) })
      : onChange({ closedDays: toggled(line.closedDays, day) });
  const inMonth = holidays.filter((holiday) => holiday.day.startsWith(month));
  return (
    <Box>
      <Box sx={{ typography: 'body2', mb: 1 }}>
        {'Closed on public holidays of '}
        <Blank
          name="Country of the public holidays"
          value={country}
          options={[
            { value: undefined, words: 'nowhere' },
            ...countries.map((each) => ({ value: each.code, words: each.name })),
          ]}
          onChange={(code) => onChange({ holidays: code ? { country: code } : undefined, openHolidays: [] })}
        />
        {country && regions.length > 0 && (
          <>
            {', '}
            <Blank
              name="Part of the country"
              value={region}
              options={[
                { value: undefined, words: 'the whole country' },
                ...regions.map((each) => ({ value: each.code, words: each.name })),
              ]}
              onChange={(code) => onChange({ holidays: { country, ...(code ? { region: code } : {}) } })}
            />
          </>
        )}
        , and on the days marked here.
      </Box>
      <DaysFromFile days={line.closedDays} onAdd={(closedDays) => onChange({ closedDays })} />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, maxWidth: 308 }}>
        <Button aria-label="The month before" onClick={() => setMonth(monthAfter(month, -1))}>
          ←
        </Button>
        <Box sx={{ flex: 1, textAlign: 'center', fontWeight: 650 }}>{monthWords(month)}</Box>
        <Button aria-label="The month after" onClick={() => setMonth(monthAfter(month, 1))}>
          →
        </Button>
      </Box>
      <Box role="grid" aria-label={monthWords(month)} sx={{ maxWidth: 308 }}>
        <Box role="row" sx={{ display: 'grid', gridTemplateColumns: 'repeat(7, 1fr)', textAlign: 'center' }}>
          {DAYS.map((day) => (
            <Box key={day} role="columnheader" sx={{ typography: 'caption', color: 'text.secondary' }}>
              {day}
            </Box>
          ))}
        </Box>
        {weeksOf(month).map((week, i) => (
          <Box key={i} role="row" sx={{ display: 'grid', gridTemplateColumns: 'repeat(7, 1fr)' }}>
            {week.map((day, j) => {
              if (!day) return <Box key={j} role="gridcell" />;
              const holiday = nameOf(day);
              const byHoliday = holiday !== undefined && !line.openHolidays.includes(day);
              const closed = line.closedDays.includes(day) || byHoliday;
              return (
                <Box key={day} role="gridcell">
                  <ButtonBase
                    aria-pressed={closed}
                    aria-label={`${day}, ${closed ? 'closed' : 'as the week says'}${holiday ? `, ${holiday}` : ''}`}
                    title={holiday}
                    onClick={() => toggle(day)}
                    className="figures"
                    sx={{
                      width: '100%',
                      height: 32,
                      border: 1,
                      borderRadius: 0,
                      borderColor: day === today ? 'text.primary' : 'divider',
                      fontWeight: closed ? 700 : 400,
                      textDecoration: closed ? 'line-through' : holiday ? 'underline dotted' : 'none',
                      bgcolor: closed ? 'inks.parchment' : 'background.paper',
                    }}
                  >
                    {Number(day.slice(8))}
                  </ButtonBase>
                </Box>
              );
            })}
          </Box>
        ))}
      </Box>
      <Box sx={{ typography: 'caption', color: 'text.secondary', mt: 0.5, minHeight: '1.35em' }}>
        {inMonth
          .map(
            (holiday) =>
              `${Number(holiday.day.slice(8))} ${holiday.name}${line.openHolidays.includes(holiday.day) ? ' (open)' : ''}`,
          )
          .join(', ')}
      </Box>
    </Box>
  );
}

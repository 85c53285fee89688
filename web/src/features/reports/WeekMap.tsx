import { Box, useTheme } from '@mui/material';
import { useState } from 'react';
import type { HourOfWeek, Week } from '../../shared/api';
import { timeWords } from './model/values';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
const CELL = { width: 34, height: 30 };
const LEFT = 42;
const TOP = 22;
const STEPS = 5;

/** The team's week: in each hour a square, the larger and darker the more customers wait then. */
export function WeekMap({ week }: { week: Week }) {
  const inks = useTheme().vars?.palette.inks;
  const most = Math.max(...week.hours.map((hour) => hour.waiting), 0);
  const [at, setAt] = useState<HourOfWeek>();
  const fullest = week.hours.reduce<HourOfWeek | undefined>(
    (best, hour) => (hour.waiting > (best?.waiting ?? 0) ? hour : best),
    undefined,
  );
  const told = at ?? fullest;
  return (
    <Box>
      <Box sx={{ overflowX: 'auto' }}>
        <svg
          role="img"
          aria-label={`How many customers wait at each hour of the week. ${fullest ? hourWords(fullest) : 'Nobody waited.'}`}
          viewBox={`0 0 ${LEFT + 24 * CELL.width} ${TOP + 7 * CELL.height + 4}`}
          width="100%"
          style={{ minWidth: 640, maxWidth: 1000, display: 'block' }}
          onMouseLeave={() => setAt(undefined)}
        >
          <defs>
            <pattern id="closed" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="5" stroke={inks?.hairline} strokeWidth="1.5" />
            </pattern>
          </defs>
          {Array.from({ length: 24 }, (_, hour) => (
            <text
              key={hour}
              x={LEFT + hour * CELL.width}
              y={TOP - 8}
              fontSize="11"
              textAnchor="middle"
              fill={inks?.faintInk}
              className="figures"
            >
              {hour % 2 === 0 ? `${hour}:00` : ''}
            </text>
          ))}
          {DAYS.map((day, i) => (
            <text key={day} x="4" y={TOP + i * CELL.height + 20} fontSize="12" fill={inks?.ink}>
              {day}
            </text>
          ))}
          {week.hours.map((hour) => {
            const x = LEFT + hour.hour * CELL.width;
            const y = TOP + (hour.weekday - 1) * CELL.height;
            const step = stepOf(hour.waiting, most);
            const size = 6 + (step * (CELL.height - 8)) / STEPS;
            const square = {
              x: x + (CELL.width - size) / 2,
              y: y + (CELL.height - size) / 2,
              width: size,
              height: size,
            };
            return (
              <g key={`${hour.weekday} ${hour.hour}`} onMouseEnter={() => setAt(hour)}>
                <rect
                  x={x}
                  y={y}
                  width={CELL.width}
                  height={CELL.height}
                  fill={hour.open ? inks?.sheet : 'url(#closed)'}
                  stroke={inks?.hairline}
                  strokeWidth="1"
                />
                {hour.waiting > 0 && <rect {...square} fill={inks?.sheet} />}
                {hour.waiting > 0 && (
                  <rect
                    {...square}
                    fill={inks?.pine}
                    fillOpacity={0.35 + (0.65 * step) / STEPS}
                    stroke={told === hour ? inks?.ink : 'none'}
                    strokeWidth="1.5"
                  />
                )}
              </g>
            );
          })}
        </svg>
      </Box>
      <Box sx={{ typography: 'body2', minHeight: 42, pt: 0.5 }}>
        {told ? (at ? hourWords(told) : `Most wait on ${hourWords(told)}`) : 'Nobody waited on these days.'}
        <Box sx={{ typography: 'caption', color: 'text.secondary' }}>
          The larger the square, the more customers wait on average, whether or not we are open. Shaded hours are
          closed.
        </Box>
      </Box>
    </Box>
  );
}

function stepOf(waiting: number, most: number): number {
  return most === 0 ? 0 : Math.max(1, Math.ceil(Math.sqrt(waiting / most) * STEPS));
}

/** "Mon 8:00: 2.4 waiting on average; 12 answers to texts of this hour, half within 14 min". */
function hourWords({ weekday, hour, waiting, answers, halfWithin }: HourOfWeek): string {
  const mean = waiting.toLocaleString('en-US', { maximumFractionDigits: 2 });
  const took =
    answers === 0 || halfWithin === undefined
      ? ''
      : `; ${answers} answered that came in this hour, half within ${timeWords(halfWithin)}`;
  return `${DAYS[weekday - 1] ?? ''} ${hour}:00: ${mean} waiting on average${took}`;
}

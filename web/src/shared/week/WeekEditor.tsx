import { Box } from '@mui/material';
import { type KeyboardEvent, type PointerEvent, useState } from 'react';
import type { OpeningSpan } from '../api';
import { DAYS, type Grip, inOrder, minuteAt, pulled, spanOf, time, weekWords, WIDTH } from './week';

interface Props {
  week: OpeningSpan[];
  problems: string[];
  onChange: (week: OpeningSpan[]) => void;
}

const ROW = 26;
const HOURS = [0, 6, 12, 18, 24, 30];
const GRIP_PX = 8;
const STEP = 15;

interface Pull {
  /** The span as it was; none while a new one is drawn. */
  span: OpeningSpan | undefined;
  day: number;
  grip: Grip;
  began: number;
  now: number;
}

function share(minute: number): string {
  return `${(minute / WIDTH) * 100}%`;
}

function same(a: OpeningSpan | undefined, b: OpeningSpan): boolean {
  return a !== undefined && a.day === b.day && a.from === b.from && a.to === b.to;
}

/** Opening hours drawn as a week: drag on a day to add, on a bar to move it, on its ends to change it. */
export function WeekEditor({ week, problems, onChange }: Props) {
  const [pull, setPull] = useState<Pull>();
  const coming =
    pull && (pull.span ? pulled(pull.span, pull.grip, pull.now - pull.began) : spanOf(pull.day, pull.began, pull.now));
  const replaced = (span: OpeningSpan, next?: OpeningSpan) =>
    onChange(inOrder([...week.filter((each) => !same(each, span)), ...(next ? [next] : [])]));
  const minute = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return minuteAt((event.clientX - box.left) / box.width);
  };
  const down = (day: number) => (event: PointerEvent<HTMLElement>) => {
    if (event.button !== 0) return;
    const at = minute(event);
    const bar = (event.target as HTMLElement).closest<HTMLElement>('[data-from]');
    const span = bar ? week.find((each) => each.day === day && each.from === Number(bar.dataset.from)) : undefined;
    const box = bar?.getBoundingClientRect();
    const grip: Grip =
      box && event.clientX - box.left < GRIP_PX ? 'from' : box && box.right - event.clientX < GRIP_PX ? 'to' : 'both';
    event.currentTarget.setPointerCapture(event.pointerId);
    setPull({ span, day, grip, began: at, now: at });
  };
  const up = () => {
    if (pull && coming) {
      if (pull.span) replaced(pull.span, coming);
      else if (pull.began !== pull.now) onChange(inOrder([...week, coming]));
    }
    setPull(undefined);
  };
  const pressed = (span: OpeningSpan) => (event: KeyboardEvent) => {
    const by = { ArrowRight: STEP, ArrowLeft: -STEP }[event.key];
    if (event.key === 'Delete' || event.key === 'Backspace') {
      event.preventDefault();
      replaced(span);
    } else if (by !== undefined) {
      event.preventDefault();
      replaced(span, pulled(span, event.shiftKey ? 'to' : event.altKey ? 'from' : 'both', by));
    }
  };
  const addByKey = (day: number) => onChange(inOrder([...week, spanOf(day, 9 * 60, 17 * 60)]));
  return (
    <Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: '44px 1fr 32px',
          rowGap: '3px',
          alignItems: 'center',
          userSelect: 'none',
        }}
      >
        {DAYS.map((name, i) => {
          const day = i + 1;
          const shown = week.filter((span) => span.day === day && !same(pull?.span, span));
          return (
            <Box key={name} sx={{ display: 'contents' }}>
              <Box sx={{ typography: 'body2' }}>{name}</Box>
              <Box
                data-day={day}
                onPointerDown={down(day)}
                onPointerMove={(event) => pull && setPull({ ...pull, now: minute(event) })}
                onPointerUp={up}
                onPointerCancel={() => setPull(undefined)}
                sx={{
                  position: 'relative',
                  height: ROW,
                  border: 1,
                  borderColor: 'divider',
                  cursor: 'crosshair',
                  touchAction: 'none',
                  bgcolor: 'background.paper',
                  backgroundImage: 'linear-gradient(to right, transparent 80%, var(--mui-palette-inks-parchment) 80%)',
                }}
              >
                {[...shown, ...(coming && coming.day === day ? [coming] : [])].map((span) => (
                  <Box
                    key={`${span.from}-${span.to}`}
                    component="button"
                    type="button"
                    data-from={span.from}
                    aria-label={`${name} ${time(span.from)} to ${time(span.to)}`}
                    title="Drag to move, its ends to change it; Delete takes it away"
                    onKeyDown={pressed(span)}
                    sx={{
                      position: 'absolute',
                      top: 2,
                      bottom: 2,
                      p: 0,
                      border: 0,
                      borderLeft: 4,
                      borderRight: 4,
                      borderColor: 'primary.main',
                      bgcolor: 'inks.pineWash',
                      color: 'text.primary',
                      font: 'inherit',
                      typography: 'axis',
                      cursor: 'ew-resize',
                      overflow: 'hidden',
                      whiteSpace: 'nowrap',
                    }}
                    style={{ left: share(span.from), width: share(span.to - span.from) }}
                  >
                    {time(span.from)}–{time(span.to)}
                  </Box>
                ))}
              </Box>
              <Box
                component="button"
                type="button"
                aria-label={`Add hours on ${name}`}
                onClick={() => addByKey(day)}
                sx={{ font: 'inherit', border: 0, bgcolor: 'transparent', color: 'primary.main', cursor: 'pointer' }}
              >
                +
              </Box>
            </Box>
          );
        })}
        <span />
        <Box
          aria-hidden
          className="figures"
          sx={{ position: 'relative', height: 18, typography: 'caption', color: 'text.secondary' }}
        >
          {HOURS.map((hour) => (
            <Box
              key={hour}
              component="span"
              sx={{
                position: 'absolute',
                whiteSpace: 'nowrap',
                display: { xs: hour % 12 === 0 && hour < 24 ? 'block' : 'none', sm: 'block' },
                transform: `translateX(${hour === 0 ? '0' : hour === 30 ? '-100%' : '-50%'})`,
              }}
              style={{ left: share(hour * 60) }}
            >
              {hour === 30 ? '6:00 next day' : `${hour}:00`}
            </Box>
          ))}
        </Box>
      </Box>
      <Box className="figures" sx={{ typography: 'body2', mt: 0.5 }}>
        {weekWords(week)}
      </Box>
      {problems.map((problem) => (
        <Box key={problem} role="alert" sx={{ color: 'error.main', typography: 'body2' }}>
          {problem}
        </Box>
      ))}
    </Box>
  );
}

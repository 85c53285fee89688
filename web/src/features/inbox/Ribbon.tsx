import { Box } from '@mui/material';
import { useTheme } from '@mui/material/styles';
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react';
import type { Conversation } from '../../shared/api';
import { clock, timeLeft, urgency } from '../../shared/format';
import type { Left } from '../../shared/sentence';
import { MARK_HEIGHT, MARK_WIDTH, RibbonCrowds, STACK_HEIGHT } from './RibbonCrowds';
import { RibbonMark } from './RibbonMark';
import { RibbonScale } from './RibbonScale';
import { crowds, drawnLevel, place, ribbonWords, spacing, spanBetween, stack } from './model/ribbon';
import { leftWords } from '../../shared/sentence';

/** A shorter way of the pointer is a click, not a drag. */
const DRAG_PX = 6;

interface Props {
  /** What waits on us, least time left first. */
  waiting: Conversation[];
  me: number;
  zone: string;
  chosen: number | undefined;
  /** The span the list shows. */
  left: Left | undefined;
  onOpen: (id: number) => void;
  onLeft: (left: Left | undefined) => void;
}

function useWidth() {
  const element = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1200);
  useEffect(() => {
    if (!element.current) return undefined;
    const observer = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width));
    observer.observe(element.current);
    return () => observer.disconnect();
  }, []);
  return { element, width };
}

function describe(row: Conversation): string {
  return `${row.customerName ?? row.number}, ${timeLeft(row.secondsLeft ?? 0)}, ${row.owner?.name ?? 'nobody’s'}: ${row.lastWords}`;
}

/** Dragging along the ribbon chooses a span of time left. */
function useDrag(onLeft: Props['onLeft']) {
  const [drag, setDrag] = useState<{ from: number; to: number }>();
  const at = (event: PointerEvent<HTMLElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return Math.min(1, Math.max(0, (event.clientX - box.left) / box.width));
  };
  const isDrag = (width: number) => drag !== undefined && Math.abs(drag.to - drag.from) * width >= DRAG_PX;
  return {
    drag,
    isDrag,
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLElement>) => {
        if (event.button === 0) setDrag({ from: at(event), to: at(event) });
      },
      onPointerMove: (event: PointerEvent<HTMLElement>) => {
        if (!drag) return;
        // Held from the first real move on, so that a click on a mark stays a click on the mark.
        if (isDrag(event.currentTarget.clientWidth)) event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ ...drag, to: at(event) });
      },
      onPointerUp: (event: PointerEvent<HTMLElement>) => {
        if (drag && isDrag(event.currentTarget.clientWidth)) onLeft(spanBetween(drag.from, drag.to));
        setDrag(undefined);
      },
      onPointerCancel: () => setDrag(undefined),
    },
  };
}

/** The time ribbon: every conversation that is our turn is one mark, from late at the left to comfortable at the right. */
export function Ribbon({ waiting, me, zone, chosen, left: span, onOpen, onLeft }: Props) {
  const inks = useTheme().vars?.palette.inks;
  const { element, width } = useWidth();
  const { drag, isDrag, handlers } = useDrag(onLeft);
  const [focused, setFocused] = useState(0);
  const [read, setRead] = useState<number>();
  const marks = waiting.filter((row) => row.secondsLeft !== undefined);
  const left = marks.map((row) => row.secondsLeft ?? 0);
  const columns = Math.max(1, Math.floor(width / MARK_WIDTH));
  const standings = stack(left, columns);
  const next = marks.find((row) => (row.secondsLeft ?? -1) >= 0)?.dueAt;
  const pointed = marks.find((row) => row.id === read);
  const dragged = drag && isDrag(width) ? spanBetween(drag.from, drag.to) : undefined;
  const shade =
    drag && isDrag(width)
      ? [Math.min(drag.from, drag.to), Math.max(drag.from, drag.to)]
      : span && [span.from === undefined ? 0 : place(span.from * 60), span.to === undefined ? 1 : place(span.to * 60)];
  const walk = (event: KeyboardEvent<HTMLElement>) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const to = Math.min(marks.length - 1, Math.max(0, focused + by));
    setFocused(to);
    event.currentTarget.querySelectorAll('a')[to]?.focus();
  };
  return (
    <Box
      component="section"
      aria-label="Time ribbon"
      className="no-print"
      sx={{ px: 2, pt: 0.5, borderBottom: 1, borderColor: 'divider', bgcolor: 'background.paper' }}
    >
      <Box
        ref={element}
        {...handlers}
        sx={{
          position: 'relative',
          height: STACK_HEIGHT + 20,
          userSelect: 'none',
          touchAction: 'pan-y',
          cursor: 'col-resize',
        }}
      >
        <Box
          aria-hidden
          sx={{
            position: 'absolute',
            left: 0,
            width: `${place(0) * 100}%`,
            top: 0,
            height: STACK_HEIGHT,
            borderRight: 2,
            borderColor: 'text.primary',
            bgcolor: 'inks.ground',
          }}
        />
        {shade && (
          <Box
            aria-hidden
            sx={{
              position: 'absolute',
              top: 0,
              height: STACK_HEIGHT,
              bgcolor: 'inks.pineWash',
              borderLeft: 2,
              borderRight: 2,
              borderColor: 'primary.main',
            }}
            style={{ left: `${(shade[0] ?? 0) * 100}%`, width: `${((shade[1] ?? 1) - (shade[0] ?? 0)) * 100}%` }}
          />
        )}
        <Box
          aria-hidden
          sx={{ position: 'absolute', insetInline: 0, top: STACK_HEIGHT, borderTop: 1, borderColor: 'text.secondary' }}
        />
        <RibbonScale top={STACK_HEIGHT} />
        <Box component="ul" onKeyDown={walk} sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {marks.map((row, i) => {
            const standing = standings[i] ?? { column: 0, level: 0, of: 1 };
            const { level, hidden } = drawnLevel(standing);
            return (
              <Box
                component="li"
                key={row.id}
                sx={{
                  position: 'absolute',
                  // Of a crowd the most urgent are drawn; the arrow keys and the list still reach all.
                  ...(hidden && { opacity: 0, pointerEvents: 'none', '&:focus-within': { opacity: 1, zIndex: 1 } }),
                }}
                style={{
                  left: (standing.column / Math.max(1, columns - 1)) * (width - MARK_WIDTH),
                  top: STACK_HEIGHT - MARK_HEIGHT - level * spacing(standing.of, STACK_HEIGHT, MARK_HEIGHT),
                }}
              >
                <a
                  href={`/inbox/${row.id}`}
                  aria-label={describe(row)}
                  draggable={false}
                  tabIndex={i === Math.min(focused, marks.length - 1) ? 0 : -1}
                  onFocus={() => {
                    setFocused(i);
                    setRead(row.id);
                  }}
                  onBlur={() => setRead(undefined)}
                  onPointerEnter={() => setRead(row.id)}
                  onPointerLeave={() => setRead(undefined)}
                  onClick={(event) => {
                    event.preventDefault();
                    onOpen(row.id);
                  }}
                  style={{ display: 'block', height: MARK_HEIGHT, width: MARK_WIDTH, cursor: 'pointer' }}
                >
                  <RibbonMark
                    owner={row.owner}
                    me={me}
                    chosen={row.id === chosen || row.id === read}
                    height={MARK_HEIGHT}
                    colour={
                      { late: inks?.madder, soon: inks?.saffron, fine: inks?.pine }[urgency(row.secondsLeft ?? 0)]
                    }
                  />
                </a>
              </Box>
            );
          })}
        </Box>
        <RibbonCrowds crowds={crowds(left, standings)} columns={columns} width={width} onLeft={onLeft} />
      </Box>
      <Box
        className="figures"
        sx={{
          typography: 'caption',
          color: pointed || dragged ? 'text.primary' : 'text.secondary',
          pb: 0.5,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
        }}
      >
        {dragged
          ? `Show what is ${leftWords(dragged)}`
          : pointed
            ? describe(pointed)
            : ribbonWords(left, next === undefined ? undefined : clock(new Date(next), zone))}
      </Box>
    </Box>
  );
}

import { type RefObject, useEffect, useEffectEvent } from 'react';

/** This near to its end, a script stands at its end. */
const NEAR = 40;

/** Lets a script that stands at its end stay there when the room for it changes, as when the writing place below it grows. */
export function useStayAtEnd(scroller: RefObject<HTMLElement | null>, scrollToEnd: () => void, loaded: boolean): void {
  const end = useEffectEvent(scrollToEnd);
  useEffect(() => {
    const area = scroller.current;
    if (!area || !loaded) return undefined;
    let atEnd = true;
    let height = area.clientHeight;
    // A change of room scrolls as well; only what a person scrolls says where they want to be.
    const scrolled = () => {
      if (area.clientHeight === height) atEnd = area.scrollHeight - area.scrollTop - height <= NEAR;
    };
    const room = new ResizeObserver(() => {
      height = area.clientHeight;
      if (atEnd) end();
    });
    area.addEventListener('scroll', scrolled, { passive: true });
    room.observe(area);
    return () => {
      area.removeEventListener('scroll', scrolled);
      room.disconnect();
    };
  }, [scroller, loaded]);
}

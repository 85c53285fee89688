import { type DragEvent, useState } from 'react';

/** Takes files that are let go of here; none where `take` is missing. */
export function useFileDrop(take: ((files: Iterable<File>) => void) | undefined) {
  const [over, setOver] = useState(false);
  return {
    /** Files are held over it. */
    over,
    on: {
      onDragOver: (event: DragEvent) => {
        if (!take || !event.dataTransfer.types.includes('Files')) return;
        event.preventDefault();
        setOver(true);
      },
      onDragLeave: () => setOver(false),
      onDrop: (event: DragEvent) => {
        setOver(false);
        if (!take || event.dataTransfer.files.length === 0) return;
        event.preventDefault();
        take([...event.dataTransfer.files]);
      },
    },
  };
}

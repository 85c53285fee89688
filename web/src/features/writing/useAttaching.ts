import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { ask, type Attachment, type Dossier, keys, readAgain, upload } from '../../shared/api';
import { useUploads } from '../../shared/upload';

/** A file that is let go of beside the paper would be opened in place of the page, with all that is begun on it. */
function stays(event: DragEvent) {
  if (event.dataTransfer?.types.includes('Files')) event.preventDefault();
}

/** What is put to the text that is being written. It is kept by the server, so it is there again after a reload and elsewhere. */
export function useAttaching(id: number) {
  const queries = useQueryClient();
  const [refused, setRefused] = useState<unknown>();
  const change = (next: (had: Attachment[]) => Attachment[]) =>
    queries.setQueryData<Dossier>(keys.dossier(id), (had) => had && { ...had, attached: next(had.attached) });
  const going = useUploads(
    (file, sending) => upload('/api/conversations/{id}/attachments', file, { ...sending, path: { id } }),
    (made) => change((had) => [...had.filter((one) => one.id !== made.id), made]),
    { goesOn: true },
  );
  useEffect(() => {
    window.addEventListener('dragover', stays);
    window.addEventListener('drop', stays);
    return () => {
      window.removeEventListener('dragover', stays);
      window.removeEventListener('drop', stays);
    };
  }, []);
  return {
    going,
    isGoing: going.uploads.some(({ problem }) => !problem),
    remove: (attachment: number) => {
      change((had) => had.filter((one) => one.id !== attachment));
      ask('DELETE', '/api/conversations/{id}/attachments/{attachment}', { path: { id, attachment } }).catch(() =>
        // It is shown again where it is still there.
        readAgain(queries, id),
      );
    },
    /** Puts a file there that is here already. */
    again: (wanted: { kept: number } | { earlier: number }) => {
      setRefused(undefined);
      ask('POST', '/api/conversations/{id}/attachments/again', { path: { id }, body: wanted }).then(
        (made) => change((had) => [...had.filter((one) => one.id !== made.id), made]),
        setRefused,
      );
    },
    /** Why a file that is here already could not be put there. */
    refused,
    /** They went with a text. */
    sent: (gone: number[]) => change((had) => had.filter((one) => !gone.includes(one.id))),
  };
}

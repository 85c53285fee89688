import { useMutation, useQueryClient } from '@tanstack/react-query';
import { ApiProblem } from '../api';
import { useEdits } from './useEdits';
import { whyOf } from '../ui';

interface Filled<T, R> {
  /** As it is set up now, also after a colleague has changed it. */
  first: T;
  /** What the fields are called within a sentence ("the name"). Each of them shows its own problems. */
  names: Partial<Record<keyof T & string, string>>;
  send: (value: T) => Promise<R>;
  /** Told when everything has been read again and nothing is unsaved any more. */
  onSaved?: (answer: R) => void;
}

/**
 * What is filled in and saved: the changes made here over what colleagues save meanwhile, what the server says against single fields,
 * and, when a colleague was faster (409), what they changed. Leaving with something unsaved is asked about.
 */
export function useForm<T extends object, R>({ first, names, send, onSaved }: Filled<T, R>) {
  const queries = useQueryClient();
  const edits = useEdits(first);
  const save = useMutation({
    mutationFn: send,
    onSuccess: async (answer) => {
      await queries.invalidateQueries();
      edits.asItWas();
      onSaved?.(answer);
    },
    onError: (problem) => {
      if (problem instanceof ApiProblem && problem.type.endsWith(':changed-meanwhile'))
        void queries.invalidateQueries();
    },
  });
  const problem = save.error;
  const fields = problem instanceof ApiProblem ? problem.fields : [];
  return {
    value: edits.now,
    changed: edits.changed,
    /** What a colleague has changed otherwise since it was changed here, as it is called within a sentence. */
    crossed: edits.crossed.flatMap((field) => names[field as keyof T & string] ?? []),
    change: (next: Partial<T>) => {
      save.reset();
      edits.change(next);
    },
    /** What a text field is told of the server's problems. */
    field: (name: keyof T & string) => whyOf(problem, name),
    problem,
    /** What the server says against fields that show no problem of their own. */
    elsewhere: fields.filter((each) => !(each.field in names)).map((each) => each.why),
    /** Saves what is filled in, or what else is to be saved with it. */
    save: (more?: Partial<T>) => save.mutate({ ...edits.now, ...more }),
    saving: save.isPending,
    /** What the server answered when it was saved; nothing before, and nothing once something is changed again. */
    saved: save.isSuccess ? { answer: save.data } : undefined,
    undo: () => {
      save.reset();
      edits.asItWas();
    },
  };
}

export type FormOf<T extends object, R> = ReturnType<typeof useForm<T, R>>;

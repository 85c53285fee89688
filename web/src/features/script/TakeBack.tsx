import { ActButton, ProblemNote, useTakeBack } from '../../shared/ui';

/** Takes back a text of the user's own while it waits to leave. */
export function TakeBack({ text }: { text: number }) {
  const back = useTakeBack();
  return (
    <>
      <ActButton sx={{ p: 0, minWidth: 0 }} hint="Z" disabled={back.isPending} onClick={() => back.mutate(text)}>
        Take back
      </ActButton>
      {back.error && <ProblemNote problem={back.error} />}
    </>
  );
}

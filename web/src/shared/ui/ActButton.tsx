import { Button, type ButtonProps, Tooltip } from '@mui/material';
import type { Ref } from 'react';

interface Props extends ButtonProps {
  /** Its key, shown on hover. */
  hint?: string;
  /** Why the user may not do it; the button then does nothing but say so. */
  refusal?: string;
  ref?: Ref<HTMLButtonElement>;
}

/** A button that says on hover which key does the same, or why it cannot be done and who can allow it: that also on focus. */
export function ActButton({ hint, refusal, ref, ...button }: Props) {
  if (refusal) {
    return (
      <Tooltip title={refusal}>
        <Button ref={ref} {...button} disabled={false} aria-disabled onClick={(event) => event.preventDefault()} />
      </Tooltip>
    );
  }
  const shown = <Button ref={ref} {...button} />;
  return hint ? (
    <Tooltip title={hint}>
      {/* What is disabled tells nothing by itself, so what is around it does. */}
      <span>{shown}</span>
    </Tooltip>
  ) : (
    shown
  );
}

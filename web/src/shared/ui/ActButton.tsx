import { Button, type ButtonProps, Tooltip } from '@mui/material';
import type { Ref } from 'react';

interface Props extends ButtonProps {
  /** Its key, shown on hover. */
  hint?: string;
  /** Why it cannot be done now; shown on hover, and the button is disabled. */
  refusal?: string;
  ref?: Ref<HTMLButtonElement>;
}

/** A button that says on hover which key does the same, or why it cannot be done and who can allow it. */
export function ActButton({ hint, refusal, ref, ...button }: Props) {
  const title = refusal === undefined || refusal === '' ? hint : refusal;
  const shown = <Button ref={ref} {...button} disabled={button.disabled === true || (refusal ?? '') !== ''} />;
  return title ? (
    <Tooltip title={title}>
      {/* What is disabled tells nothing by itself, so what is around it does. */}
      <span>{shown}</span>
    </Tooltip>
  ) : (
    shown
  );
}

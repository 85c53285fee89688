import { InputBase } from '@mui/material';
import type { ComponentProps, Ref, RefObject } from 'react';

interface Props {
  /** Of the frame around the field. */
  ref?: Ref<HTMLDivElement>;
  input: ComponentProps<'input'>;
  field: RefObject<HTMLInputElement | null>;
  /** The person is typing here already. */
  typing: boolean;
}

/** The field of the jump box. */
export function JumpField({ ref, input, field, typing }: Props) {
  return (
    <InputBase
      ref={ref}
      inputRef={field}
      // The person is typing already, in the field that stood here until the list was fetched.
      // eslint-disable-next-line jsx-a11y/no-autofocus
      autoFocus={typing}
      placeholder="Jump to…  Ctrl+K"
      inputProps={{ ...input, 'aria-label': 'Jump to a customer, a number or words' }}
      sx={{
        width: '100%',
        px: 1,
        py: 0.25,
        border: 1,
        borderColor: 'divider',
        borderRadius: 1,
        bgcolor: 'background.paper',
        typography: 'body2',
      }}
    />
  );
}

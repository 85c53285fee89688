import { FormControl, FormHelperText, InputLabel, Input, type TextFieldProps } from '@mui/material';
import { type KeyboardEventHandler, useId } from 'react';

type Props = Pick<
  TextFieldProps,
  | 'autoComplete'
  | 'autoFocus'
  | 'disabled'
  | 'error'
  | 'fullWidth'
  | 'helperText'
  | 'id'
  | 'inputRef'
  | 'label'
  | 'maxRows'
  | 'minRows'
  | 'multiline'
  | 'onChange'
  | 'placeholder'
  | 'required'
  | 'size'
  | 'slotProps'
  | 'sx'
  | 'type'
  | 'value'
>;

/** A labelled field as MUI's TextField draws it, without what that brings for its other looks: for what is fetched first. */
export function Field({
  id,
  label,
  helperText,
  slotProps,
  error,
  required,
  disabled,
  fullWidth,
  size,
  sx,
  onKeyDown,
  ...input
}: Props & { onKeyDown?: KeyboardEventHandler }) {
  const own = useId();
  const field = id ?? own;
  const {
    htmlInput,
    input: around,
    inputLabel,
  } = (slotProps ?? {}) as Record<'htmlInput' | 'input' | 'inputLabel', object | undefined>;
  const said = helperText ? `${field}-helper-text` : undefined;
  return (
    <FormControl onKeyDown={onKeyDown} {...{ error, required, disabled, fullWidth, size, sx }} variant="standard">
      <InputLabel shrink required={false} {...inputLabel} htmlFor={field} id={`${field}-label`}>
        {label}
      </InputLabel>
      <Input {...input} {...around} id={field} aria-describedby={said} slotProps={{ input: htmlInput }} />
      {helperText && <FormHelperText id={said}>{helperText}</FormHelperText>}
    </FormControl>
  );
}

import { Box, type SxProps, type Theme } from '@mui/material';
import { type ReactNode, useEffect, useRef } from 'react';
import type { FormOf } from './useForm';

interface Props<T extends object, R> {
  form: FormOf<T, R>;
  label: string;
  children: ReactNode;
  sx?: SxProps<Theme>;
}

/** Fields that are saved together. Refused, the first field that has to be changed gets the keys. */
export function Form<T extends object, R>({ form, label, children, sx }: Props<T, R>) {
  const page = useRef<HTMLFormElement>(null);
  const { problem } = form;
  useEffect(() => {
    if (problem) page.current?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus();
  }, [problem]);
  return (
    <Box
      component="form"
      ref={page}
      noValidate
      aria-label={label}
      onSubmit={(event) => {
        event.preventDefault();
        if (!form.saving) form.save();
      }}
      sx={sx}
    >
      {children}
    </Box>
  );
}

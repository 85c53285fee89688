import { ButtonBase, Menu, MenuItem } from '@mui/material';
import { useState } from 'react';

interface Props<T> {
  /** What the blank is about, for those who do not see the sentence. */
  name: string;
  value: T;
  options: { value: T; words: string }[];
  onChange: (value: T) => void;
  /** What stands there while nothing is chosen. */
  unsaid?: string;
}

/** A blank in a sentence, edited in place. */
export function Blank<T extends string | number | undefined>({
  name,
  value,
  options,
  onChange,
  unsaid = '…',
}: Props<T>) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => {
    setAnchor(null);
    // Back to where the focus was, unless what was chosen has put the cursor elsewhere.
    setTimeout(() => document.activeElement === document.body && anchor?.focus());
  };
  const words = options.find((option) => option.value === value)?.words ?? unsaid;
  return (
    <>
      <ButtonBase
        aria-haspopup="menu"
        aria-label={`${name}: ${words}`}
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{
          font: 'inherit',
          color: 'primary.main',
          fontWeight: 600,
          borderBottom: 1,
          borderRadius: 0,
          borderColor: 'primary.main',
          lineHeight: 1.2,
          whiteSpace: 'nowrap',
        }}
      >
        {words}
      </ButtonBase>
      <Menu
        slotProps={{ paper: { sx: { maxHeight: 380 } } }}
        anchorEl={anchor}
        open={anchor !== null}
        onClose={close}
        disableRestoreFocus
      >
        {options.map((option) => (
          <MenuItem
            key={String(option.value)}
            selected={option.value === value}
            onClick={() => {
              close();
              onChange(option.value);
            }}
          >
            {option.words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}

import { Popover as Layer } from '@mui/material';
import type { ReactNode } from 'react';
import s from './Popover.module.css';

interface Props {
  /** What it hangs from; nothing is open without one. */
  anchor: HTMLElement | null;
  onClose: () => void;
  /** What it is, for those who do not see it. */
  label: string;
  /** Below the key at its left or right end, or above a figure. */
  at?: 'below' | 'belowRight' | 'above';
  id?: string;
  children: ReactNode;
}

const places = {
  below: {
    anchorOrigin: { vertical: 'bottom', horizontal: 'left' },
    transformOrigin: { vertical: 'top', horizontal: 'left' },
  },
  belowRight: {
    anchorOrigin: { vertical: 'bottom', horizontal: 'right' },
    transformOrigin: { vertical: 'top', horizontal: 'right' },
  },
  above: {
    anchorOrigin: { vertical: 'top', horizontal: 'left' },
    transformOrigin: { vertical: 'bottom', horizontal: 'left' },
  },
} as const;

/** A small sheet that opens at a key or a figure, takes the focus, and gives it back. */
export function Popover({ anchor, onClose, label, at = 'below', id, children }: Props) {
  // A page has dozens of them: one that is closed costs nothing.
  if (anchor === null) return null;
  const paper = { elevation: 0, id, className: s.sheet, role: 'dialog', 'aria-label': label };
  return (
    <Layer
      open
      anchorEl={anchor}
      onClose={onClose}
      {...places[at]}
      transitionDuration={0}
      slotProps={{ paper: paper as object }}
    >
      {children}
    </Layer>
  );
}

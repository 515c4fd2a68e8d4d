import { Menu, MenuItem } from '@mui/material';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { Plain } from './Buttons';
import s from './Popover.module.css';

interface Props {
  /** What the list is, for those who do not see it. */
  label: string;
  links: readonly (readonly [to: string, words: string])[];
  /** The words of the key. */
  children: ReactNode;
}

/** A key with a list of ways behind it, where there is no room for them in a row. */
export function MenuKey({ label, links, children }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const close = () => setAnchor(null);
  return (
    <>
      <Plain aria-haspopup="menu" aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        {children}
      </Plain>
      {anchor && (
        <Menu
          anchorEl={anchor}
          open
          onClose={close}
          transitionDuration={0}
          slotProps={{
            paper: { elevation: 0, className: s.sheet },
            list: { 'aria-label': label, disablePadding: true },
          }}
        >
          {links.map(([to, words]) => (
            <MenuItem key={to} component={Link} to={to} onClick={close}>
              {words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}

import { Dialog } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { Key } from '../parts/Buttons';
import { Tick } from '../parts/Tick';
import { classes } from '../parts/classes';
import { isTyping, lettersOn, setLetters } from './keys';
import { ToolKey } from './ToolKey';
import l from '../parts/layout.module.css';
import sheet from '../parts/Popover.module.css';
import s from './KeySheet.module.css';

const at = (stops: string, way = '') => new RegExp(`^/bows/[^/]+/(${stops})(?!.*way=${way})`);
const PAPER = at('paper', '(nocks|papers)');
const GROUPS = at('groups', '(sizes|papers)');
const ARROW = at('arrow');
const SHEET = at('bow');
const DOZEN = /^\/bows\/[^/]+\/dozen/;
const WEIGHING = at('dozen', '(spin|match|tray|workshop|heads|quiver)');
const finds = { test: () => document.querySelector('[data-find]') !== null };
const anywhere = { test: () => true };

/** Each key with what it does, and where: none is listed on a page on which it does nothing. */
const keys: [string, string, ...{ test: (path: string) => boolean }[]][] = [
  ['S B A D P G L', 'go to the stops of the rule', anywhere],
  ['Enter', 'press what is next, take a reading, or go to the next field', anywhere],
  ['Ctrl Enter', 'record an act on the bow', PAPER, GROUPS, DOZEN],
  ['Esc', 'close what is open', anywhere],
  ['/', 'find', finds],
  ['Ctrl Z', 'take back the newest act', PAPER, GROUPS, DOZEN],
  ['Ctrl Z', 'take back the newest change; Ctrl Shift Z goes forward again', ARROW],
  ['Tab', 'walk the parts of the arrow', ARROW],
  ['+ −', 'step the chosen part', ARROW],
  ['1 to 9', 'while their list has the focus: try what would change the arrow', ARROW],
  ['1 to 9', 'while their list has the focus: pick what was found', SHEET],
  ['Arrow keys', 'on the sheet: move the cross a little, with Shift five times as far', PAPER, GROUPS],
  ['N', 'mark a shot', PAPER, GROUPS],
  ['V', 'the shots of the set, to void one', PAPER, GROUPS],
  ['F', 'while a shot is marked: read the other face of the sheet', PAPER],
  ['F B', 'while a hit is marked: the next is fletched, or bare', GROUPS],
  ['M', 'log a move', PAPER, GROUPS, SHEET],
  ['Backspace', 'take the piece back that was weighed last', WEIGHING],
  ['0 T', 'tare the scale; its tone on or off', WEIGHING],
  ['?', 'this sheet', anywhere],
];

/** The keys, and whether single letters are listened to. */
export function KeySheet() {
  const [open, setOpen] = useState(false);
  const [letters, set] = useState(lettersOn);
  const { pathname, search } = useLocation();
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.key === '?' && !isTyping(event)) setOpen(true);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, []);
  return (
    <>
      <ToolKey aria-label="Keys and words" onClick={() => setOpen(true)}>
        ?
      </ToolKey>
      {open && (
        <Dialog
          open
          onClose={() => setOpen(false)}
          transitionDuration={0}
          aria-labelledby="keys-title"
          slotProps={{ paper: { elevation: 0, className: sheet.sheet } }}
        >
          <h1 id="keys-title">Keys of this page</h1>
          <table className={classes(l.terms, s.keys)}>
            <tbody>
              {keys
                .filter(([, , ...where]) => where.some((page) => page.test(pathname + search)))
                .map(([key, words]) => (
                  <tr key={words}>
                    <td>
                      <kbd>{key}</kbd>
                    </td>
                    <td>{words}</td>
                  </tr>
                ))}
            </tbody>
          </table>
          <Tick
            checked={letters}
            onChange={(on) => {
              setLetters(on);
              set(on);
            }}
          >
            Single letters work (never inside a field)
          </Tick>
          <p className={l.row}>
            <Link to="/glossary" onClick={() => setOpen(false)}>
              The words of the trade
            </Link>
            <Link to="/guide" onClick={() => setOpen(false)}>
              A guide
            </Link>
            <Link to="/copies" onClick={() => setOpen(false)}>
              Data and copies
            </Link>
            <Key onClick={() => setOpen(false)}>Close</Key>
          </p>
        </Dialog>
      )}
    </>
  );
}

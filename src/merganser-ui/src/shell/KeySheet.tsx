import { Dialog } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Key } from '../parts/Buttons';
import { Tick } from '../parts/Tick';
import { classes } from '../parts/classes';
import { isTyping, lettersOn, setLetters } from './keys';
import { ToolKey } from './ToolKey';
import l from '../parts/layout.module.css';
import sheet from '../parts/Popover.module.css';
import s from './KeySheet.module.css';

const keys: [string, string][] = [
  ['S B A D P G L', 'go to the stops of the rule'],
  ['Enter', 'press what is next, take a reading, or go to the next field'],
  ['Ctrl Enter', 'record an act on the bow'],
  ['Esc', 'close what is open'],
  ['/', 'find, on the rack and among the words'],
  ['Ctrl Z', 'take back the newest act; on the arrow, Ctrl Shift Z goes forward again'],
  ['Tab', 'walk the parts of the arrow'],
  ['+ −', 'step the chosen part'],
  ['1 to 9', 'while their list has the focus: pick what was found; try what would change the arrow'],
  ['Arrow keys', 'on the sheet: move the cross a little, with Shift five times as far'],
  ['N', 'mark a shot'],
  ['V', 'the shots of the set, to void one'],
  ['F', 'while a shot is marked: read the other face of the sheet; at a target: the next is fletched'],
  ['B', 'while a hit is marked at a target: the next is bare'],
  ['M', 'log a move'],
  ['?', 'this sheet'],
];

/** The keys, and whether single letters are listened to. */
export function KeySheet() {
  const [open, setOpen] = useState(false);
  const [letters, set] = useState(lettersOn);
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
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        transitionDuration={0}
        aria-labelledby="keys-title"
        slotProps={{ paper: { elevation: 0, className: sheet.sheet } }}
      >
        <h1 id="keys-title">Keys</h1>
        <table className={classes(l.terms, s.keys)}>
          <tbody>
            {keys.map(([key, words]) => (
              <tr key={key}>
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
          <Key onClick={() => setOpen(false)}>Close</Key>
        </p>
      </Dialog>
    </>
  );
}

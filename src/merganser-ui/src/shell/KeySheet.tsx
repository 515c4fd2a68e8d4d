import { ButtonBase, Checkbox, Dialog } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { isTyping, lettersOn, setLetters } from './keys';

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
  ['F', 'while a shot is marked: read the other face of the sheet'],
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
      <ButtonBase aria-label="Keys and words" onClick={() => setOpen(true)}>
        ?
      </ButtonBase>
      <Dialog
        open={open}
        onClose={() => setOpen(false)}
        transitionDuration={0}
        aria-labelledby="keys-title"
        slotProps={{ paper: { elevation: 0, className: 'working keys' } }}
      >
        <h1 id="keys-title">Keys</h1>
        <table>
          <tbody>
            {keys.map(([key, words]) => (
              <tr key={key}>
                <td>
                  <kbd>{key}</kbd>
                </td>
                <td className="f">{words}</td>
              </tr>
            ))}
          </tbody>
        </table>
        <label className="tick">
          <Checkbox
            checked={letters}
            onChange={(event) => {
              setLetters(event.target.checked);
              set(event.target.checked);
            }}
          />
          Single letters work (never inside a field)
        </label>
        <p className="row">
          <Link to="/glossary" onClick={() => setOpen(false)}>
            The words of the trade
          </Link>
          <ButtonBase className="key" onClick={() => setOpen(false)}>
            Close
          </ButtonBase>
        </p>
      </Dialog>
    </>
  );
}

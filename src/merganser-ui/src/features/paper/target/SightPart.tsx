import { useState } from 'react';
import type { Schemas } from '../../../api/client';
import { Key } from '../../../parts/Buttons';
import { Field } from '../../../parts/Field';
import { Fold } from '../../../parts/Fold';
import type { Paper } from '../paperTypes';
import type { MarkTold, PaperWork } from '../usePaperWork';
import w from '../../../parts/words.module.css';
import l from '../../../parts/layout.module.css';

interface Props {
  sight: Schemas['SightView'];
  /** True where it is moved for heads alone, false for all arrows. */
  heads: boolean;
  /** Where the heads' own mark stands, in words. */
  mark?: string | null;
  paper: Paper;
  work: Pick<PaperWork, 'faults' | 'busy' | 'sight'>;
  onMoved: (told: MarkTold) => void;
}

/** The sight of the bow as measured, and how it was really moved. */
export function SightPart({ sight, heads, mark, paper, work, onMoved }: Props) {
  const { faults, busy } = work;
  const [eye, setEye] = useState(sight.eyeToPinTyped);
  const [click, setClick] = useState(sight.clickTyped);
  const [right, setRight] = useState('');
  const [up, setUp] = useState('');
  const keepSight = () => void work.sight(paper, eye, click);
  const moved = () => onMoved({ typed: { right, up } });
  const who = heads ? 'For heads, pin' : 'Pin';
  return (
    <>
      <h2>The sight</h2>
      {mark && <p data-testid="head-mark">{mark}</p>}
      <p className={w.muted}>{sight.words}</p>
      <Fold words="Measure it, or say how it was moved">
        <div className={l.pair}>
          <Field
            label="Eye to pin"
            name="eyeToPin"
            quantity="length"
            value={eye}
            onChange={setEye}
            fault={faults.eyeToPin?.[0]}
          />
          <Field
            label="One click moves the pin"
            name="click"
            quantity="length"
            value={click}
            onChange={setClick}
            hint="empty: no clicks"
            fault={faults.click?.[0]}
            onEnter={keepSight}
          />
        </div>
        <Key disabled={busy} onClick={keepSight}>
          Keep this sight
        </Key>
        <div className={l.pair}>
          <Field
            label={`${who} right (left: −)`}
            name="right"
            quantity="length"
            value={right}
            onChange={setRight}
            fault={faults.right?.[0]}
          />
          <Field
            label={`${who} up (down: −)`}
            name="up"
            quantity="length"
            value={up}
            onChange={setUp}
            fault={faults.up?.[0]}
            onEnter={moved}
          />
        </div>
        <Key disabled={busy} onClick={moved}>
          {heads ? 'I moved it so, for heads' : 'I moved it so'}
        </Key>
        {!heads && (
          <Key disabled={busy} onClick={() => onMoved({ otherwise: true })}>
            I levelled it, or set it by its hits
          </Key>
        )}
      </Fold>
    </>
  );
}

import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { signed } from '../../units/units';
import { useSay } from '../../units/UnitsContext';
import type { Shot, ShotSet } from './paperTypes';

const reasons = ['the rest did not drop', 'torqued grip', 'plucked release', 'touched the face', 'marked wrongly'];

/** Every shot of the set; a void one keeps its place and its reason. */
export function ShotsPanel({ set, onVoid }: { set: ShotSet; onVoid: (shot: Shot, reason: string | null) => void }) {
  const say = useSay();
  const [open, setOpen] = useState<string | null>(null);
  const [own, setOwn] = useState('');
  if (set.shots.length === 0)
    return (
      <section className="reading">
        <h1>No shots in this set yet</h1>
      </section>
    );
  const voidIt = (shot: Shot, reason: string) => {
    onVoid(shot, reason);
    setOpen(null);
    setOwn('');
  };
  return (
    <section className="reading" aria-label="Shots of this set">
      <p className="lab">Set {set.number}, tail from the point’s hole</p>
      <ol className="shots">
        {set.shots.map((shot) => (
          <li key={shot.id} className={shot.voidReason === null ? '' : 'void'}>
            <b className="n">{shot.number}</b>
            <span className="n">
              {say(`${signed(shot.tear.x, 2)} in right, ${signed(shot.tear.y, 2)} in up`)}
              {shot.side === 'targetSide' && <small className="muted"> read from the target side, mirrored</small>}
              {shot.voidReason !== null && <small> void: {shot.voidReason}</small>}
            </span>
            {shot.voidReason === null ? (
              <ButtonBase
                className="plain"
                onClick={() => setOpen(open === shot.id ? null : shot.id)}
                aria-expanded={open === shot.id}
              >
                Void
              </ButtonBase>
            ) : (
              <ButtonBase className="plain" onClick={() => onVoid(shot, null)}>
                Count it again
              </ButtonBase>
            )}
            {open === shot.id && (
              <div className="row reasons" data-owns-keys>
                {reasons.map((reason) => (
                  <ButtonBase key={reason} className="key" onClick={() => voidIt(shot, reason)}>
                    {reason}
                  </ButtonBase>
                ))}
                <input
                  className="name-input"
                  aria-label="Another reason"
                  placeholder="another reason"
                  maxLength={120}
                  value={own}
                  onChange={(event) => setOwn(event.target.value)}
                  onKeyDown={(event) => event.key === 'Enter' && own.trim() && voidIt(shot, own)}
                />
                <ButtonBase className="key" disabled={!own.trim()} onClick={() => voidIt(shot, own)}>
                  Void it
                </ButtonBase>
              </div>
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

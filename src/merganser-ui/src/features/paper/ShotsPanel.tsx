import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import type { Shot, ShotSet } from './paperTypes';

const reasons = ['the rest did not drop', 'torqued grip', 'plucked release', 'touched the face', 'marked wrongly'];

interface Props {
  set: ShotSet;
  onMark: (shot: Shot, reason: string | null, doubtful?: boolean) => void;
}

/** Every shot of the set; a void one keeps its place and its reason, a doubted one counts for less. */
export function ShotsPanel({ set, onMark }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  if (set.shots.length === 0)
    return (
      <section className="reading">
        <h1>No shots in this set yet</h1>
      </section>
    );
  return (
    <section className="reading" aria-label="Shots of this set">
      <h1>Shots of set {set.number}</h1>
      <p className="lab">tail from the point’s hole</p>
      <ol className="shots">
        {set.shots.map((shot) => (
          <ShotLine
            key={shot.id}
            shot={shot}
            open={open === shot.id}
            onOpen={() => setOpen(open === shot.id ? null : shot.id)}
            onMark={(reason, doubtful) => {
              onMark(shot, reason, doubtful);
              setOpen(null);
            }}
          />
        ))}
      </ol>
    </section>
  );
}

function ShotLine({
  shot,
  open,
  onOpen,
  onMark,
}: {
  shot: Shot;
  open: boolean;
  onOpen: () => void;
  onMark: (reason: string | null, doubtful?: boolean) => void;
}) {
  const [own, setOwn] = useState('');
  const isVoid = shot.voidReason !== null;
  return (
    <li className={isVoid ? 'void' : shot.doubtful ? 'doubted' : ''}>
      <b className="n">{shot.number}</b>
      <span className="n">
        {isVoid ? <s>{shot.place}</s> : shot.place}
        {shot.arrowNumber && <small className="muted"> arrow {shot.arrowNumber}</small>}
        {shot.words && <small className="muted"> as said</small>}
        {shot.side === 'targetSide' && <small className="muted"> read from the target side, mirrored</small>}
        {shot.doubtful && <small> doubted: counts for less</small>}
        {isVoid && <small> void: {shot.voidReason}</small>}
      </span>
      <span className="row">
        {isVoid || shot.doubtful ? (
          <ButtonBase className="plain" onClick={() => onMark(null)}>
            {isVoid ? 'Count it again' : 'No doubt'}
          </ButtonBase>
        ) : (
          <ButtonBase className="plain" onClick={() => onMark(null, true)} aria-label={`Doubt shot ${shot.number}`}>
            Doubt
          </ButtonBase>
        )}
        {!isVoid && (
          <ButtonBase className="plain" onClick={onOpen} aria-expanded={open}>
            Void
          </ButtonBase>
        )}
      </span>
      {open && !isVoid && (
        <div className="row reasons" data-owns-keys>
          {reasons.map((reason) => (
            <ButtonBase key={reason} className="key" onClick={() => onMark(reason)}>
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
            onKeyDown={(event) => event.key === 'Enter' && own.trim() && onMark(own)}
          />
          <ButtonBase className="key" disabled={!own.trim()} onClick={() => onMark(own)}>
            Void it
          </ButtonBase>
        </div>
      )}
    </li>
  );
}

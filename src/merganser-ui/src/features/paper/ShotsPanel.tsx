import { useState, type ReactNode } from 'react';
import { Key, Plain } from '../../parts/Buttons';
import { Empty } from '../../parts/Empty';
import { TextLine } from '../../parts/TextLine';
import { Photographs } from '../../pictures/Photographs';
import { classes } from '../../parts/classes';
import type { Shot, ShotSet } from './paperTypes';
import { isAtTarget } from './stages';
import { slantWords, toldBy } from './target/groupTypes';
import { Pane } from './Pane';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './ShotsPanel.module.css';

const reasons = ['the rest did not drop', 'torqued grip', 'plucked release', 'touched the face', 'marked wrongly'];

interface Props {
  set: ShotSet;
  bowId: string;
  /** What stands beneath the shots. */
  after?: ReactNode;
  /** Left out where they can only be looked at. */
  onMark?: (shot: Shot, reason: string | null, doubtful?: boolean) => void;
}

/** Every shot of the set; a void one keeps its place and its reason, a doubted one counts for less. */
export function ShotsPanel({ set, bowId, after, onMark }: Props) {
  const [open, setOpen] = useState<string | null>(null);
  const photographs = <Photographs key={set.id} bowId={bowId} of="set" ofId={set.id} />;
  if (set.shots.length === 0)
    return (
      <Pane>
        <Empty title="No shots in this set yet" />
        {after}
        {photographs}
      </Pane>
    );
  return (
    <Pane label="Shots of this set">
      <h1>Shots of set {set.number}</h1>
      <p className={w.label}>
        {set.walk
          ? 'from the plumb line'
          : isAtTarget(set)
            ? set.ways || set.rangeTrial
              ? 'from the one aiming point'
              : 'from the aiming point of its kind'
            : 'tail from the point’s hole'}
      </p>
      <ol className={s.shots} data-testid="shots">
        {set.shots.map((shot) => (
          <ShotLine
            key={shot.id}
            shot={shot}
            told={toldBy(set, shot).find((t) => t.chosen)?.words}
            open={open === shot.id}
            onOpen={() => setOpen(open === shot.id ? null : shot.id)}
            onMark={
              onMark &&
              ((reason, doubtful) => {
                onMark(shot, reason, doubtful);
                setOpen(null);
              })
            }
          />
        ))}
      </ol>
      {after}
      {photographs}
    </Pane>
  );
}

function ShotLine({
  shot,
  told,
  open,
  onOpen,
  onMark,
}: {
  shot: Shot;
  /** The way or the setting that it was shot with. */
  told: string | undefined;
  open: boolean;
  onOpen: () => void;
  onMark?: (reason: string | null, doubtful?: boolean) => void;
}) {
  const [own, setOwn] = useState('');
  const isVoid = shot.voidReason !== null;
  return (
    <li
      className={isVoid ? s.void : shot.doubtful ? s.doubted : undefined}
      data-state={isVoid ? 'void' : shot.doubtful ? 'doubted' : undefined}
    >
      <b className={w.tabular}>{shot.number}</b>
      <span className={classes(w.tabular, shot.doubtful && s.place)}>
        {isVoid ? <s>{shot.place}</s> : shot.place}
        {shot.arrow && (
          <small>
            {' '}
            {told ?? (shot.from ? `from ${shot.from}` : shot.arrow)}
            {shot.flight ? `, flew ${shot.flight}` : ''}
            {shot.slant ? `, ${slantWords[shot.slant]}` : ''}
          </small>
        )}
        {shot.arrowNumber && <small className={w.muted}> arrow {shot.arrowNumber}</small>}
        {shot.words && <small className={w.muted}> as said</small>}
        {shot.side === 'targetSide' && <small className={w.muted}> read from the target side, mirrored</small>}
        {shot.doubtful && <small> doubted: counts for less</small>}
        {isVoid && <small> void: {shot.voidReason}</small>}
      </span>
      {onMark && (
        <span className={l.row}>
          {isVoid || shot.doubtful ? (
            <Plain onClick={() => onMark(null)}>{isVoid ? 'Count it again' : 'No doubt'}</Plain>
          ) : (
            <Plain onClick={() => onMark(null, true)} aria-label={`Doubt shot ${shot.number}`}>
              Doubt
            </Plain>
          )}
          {!isVoid && (
            <Plain onClick={onOpen} aria-expanded={open}>
              Void
            </Plain>
          )}
        </span>
      )}
      {onMark && open && !isVoid && (
        <div className={classes(l.row, s.reasons)} data-testid="reasons" data-owns-keys>
          {reasons.map((reason) => (
            <Key key={reason} onClick={() => onMark(reason)}>
              {reason}
            </Key>
          ))}
          <TextLine
            label="Another reason"
            placeholder="another reason"
            maxLength={120}
            value={own}
            onChange={setOwn}
            onKeyDown={(event) => event.key === 'Enter' && own.trim() && onMark(own)}
          />
          <Key disabled={!own.trim()} onClick={() => onMark(own)}>
            Void it
          </Key>
        </div>
      )}
    </li>
  );
}

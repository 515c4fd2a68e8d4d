import type { ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { Figure } from '../../parts/Figure';
import { number, percent } from '../../units/units';
import { Key } from '../../parts/Buttons';
import { Fold } from '../../parts/Fold';
import { lower } from '../../parts/letters';
import { Bullets } from '../../parts/List';
import { Table } from '../../parts/Table';
import { ChanceBar } from './ChanceBar';
import { FigureBand } from './FigureBand';
import { Powers } from './target/GroupParts';
import { TrialPanel } from './TrialPanel';
import { purposes, type Paper, type ShotSet } from './paperTypes';
import { isAtTarget } from './stages';
import { Pane } from './Pane';
import { classes } from '../../parts/classes';
import { YokePicture } from './YokePicture';
import w from '../../parts/words.module.css';
import s from './ReadingPanel.module.css';

interface Props {
  paper: Paper;
  set: ShotSet;
  onBack?: (set: ShotSet) => void;
  /** What stands beside the reading at a target. */
  atTarget?: ReactNode;
  /** An earlier paper: none of its sets is in work. */
  past?: boolean;
}

/** What the paper says, on what evidence, and the one move. */
export function ReadingPanel({ paper, set, onBack, atTarget, past }: Props) {
  const { advice } = paper;
  const current = !past && set.id === paper.sets.at(-1)!.id;
  return (
    <Pane label="Reading">
      {set.purpose !== 'session' && <p className={w.label}>A control: {purposes[set.purpose]}, the bow left alone</p>}
      <h1 data-testid="words">{set.headline}</h1>
      {set.nockEnd && <p className={w.muted}>Read as the tear that it stands for. {set.nockEnd}</p>}
      {set.figures.length > 0 && (
        <div className={s.figures} data-testid="reading-figures">
          {set.figures.map((figure) => (
            <Figure
              key={figure.name}
              figure={figure}
              size="small"
              since={set.number > 1 && !isAtTarget(set) ? 'the last set' : undefined}
            >
              <FigureBand figure={figure} />
            </Figure>
          ))}
        </div>
      )}
      {paper.trial && <TrialPanel trial={paper.trial} paper={paper} />}
      {current && !paper.trial && <CurrentAdvice paper={paper} set={set} />}
      {atTarget}
      {set.groups && <Powers groups={set.groups} />}
      {!current && <PastSet set={set} onBack={onBack} />}
      {current && advice.runnerUp && (
        <p>
          <b>Why not another?</b> {advice.runnerUp}
        </p>
      )}
      {current && paper.formSchools.length > 0 && (
        <>
          <h2>Two schools, where it may be the form</h2>
          <Bullets>
            {paper.formSchools.map((school) => (
              <li key={school}>{school}</li>
            ))}
          </Bullets>
        </>
      )}
      {current && !paper.trial && <EvidenceLines lines={advice.evidence} />}
      {current && paper.spineCheck && <SpineCheck check={paper.spineCheck} />}
    </Pane>
  );
}

function CurrentAdvice({ paper, set }: { paper: Paper; set: ShotSet }) {
  const { advice, next } = paper;
  const tolerance = set.groups?.tolerance ?? set.sighting?.tolerance ?? paper.tolerance;
  // Until an offset is clear, a move is no more than a test of it.
  const test = set.groups && (advice.kind === 'smallTest' || set.groups.verdict !== 'clear');
  // When moves do not help, or a control is in work, that is the one thing to do: no move stands beside it.
  const first = next.action === 'rung' || next.action === 'backToSession' || next.alternativeAction === 'backToSession';
  if (first)
    return (
      <div className={s.move} data-testid="advice" data-kind={advice.kind}>
        <p className={s.tag}>Before another move</p>
        <h2>{next.sentence}</h2>
        <p>{next.reason}</p>
        {advice.chance != null && (
          <ChanceBar chance={advice.chance} enough={advice.enough ?? null} tolerance={tolerance} />
        )}
      </div>
    );
  const yoke = advice.move?.kind === 'yokePair' ? advice.move : null;
  return (
    <div className={classes(s.move, yoke && s.beside)} data-testid="advice" data-kind={advice.kind}>
      <p className={s.tag}>
        {advice.kind === 'unsound'
          ? 'Stop'
          : advice.move && test
            ? `A test${advice.chanceAfter == null ? '' : `, ${percent(advice.chanceAfter)} likely to bring it inside`}`
            : advice.kind === 'smallTest'
              ? 'A small test'
              : advice.also
                ? 'Both in one visit'
                : advice.move
                  ? 'The one move'
                  : 'The one advice'}
      </p>
      {yoke && <YokePicture left={yoke.to - yoke.from} />}
      <h2>{advice.move && !advice.also ? advice.move.order : advice.sentence}</h2>
      <p>{advice.reason}</p>
      {advice.chance != null && (
        <ChanceBar
          chance={advice.chance}
          enough={advice.enough ?? null}
          after={advice.chanceAfter}
          tolerance={tolerance}
        />
      )}
      {advice.disputed && (
        <p>
          <b>{advice.move ? 'The way.' : 'Another way.'}</b> {advice.disputed}
        </p>
      )}
      {[advice.move, advice.also].map(
        (move) =>
          move && (
            <p className={w.muted} key={move.kind}>
              {move.places} {move.goes}{' '}
              {move.needsPress ? 'Press needed: only with the right press and the manual. ' : 'No press. '}
              {move.after}
            </p>
          ),
      )}
    </div>
  );
}

/** What the advice rests on, in a few words each; pressed, why, and what would overturn it. */
function EvidenceLines({ lines }: { lines: Schemas['Evidence'][] }) {
  return (
    <ul className={s.evidence} data-testid="evidence" aria-label="Evidence">
      {lines.map((line) => (
        <li key={line.statement + line.because}>
          <Fold words={line.statement}>
            <p>
              {line.because} <span className={w.muted}>Would overturn it: {lower(line.wouldOverturn)}.</span>
            </p>
          </Fold>
        </li>
      ))}
    </ul>
  );
}

/** A past set: what stood after it, and the real moves that lead back to how the bow stood then. */
function PastSet({ set, onBack }: { set: ShotSet; onBack?: (set: ShotSet) => void }) {
  return (
    <>
      <p className={w.muted} data-past>
        A past set. The advice belongs to the set in work.
      </p>
      {set.notesNotShown > 0 && <p className={w.muted}>{set.notesNotShown} earlier notes stand on record.</p>}
      {set.notesAfter.map((note) => (
        <p key={note.id}>
          <b>Noted.</b> {note.note || note.outcome}
        </p>
      ))}
      {set.wayBack.length === 0 ? (
        <p>The bow stands as it did then.</p>
      ) : (
        <>
          <h2>Back to how the bow stood then</h2>
          <Bullets>
            {set.wayBack.map((move) => (
              <li key={move.kind}>
                {move.order}
                {move.needsPress && <small className={w.muted}> press needed</small>}
              </li>
            ))}
          </Bullets>
          {onBack && (
            <Key strong onClick={() => onBack(set)}>
              I made {set.wayBack.length === 1 ? 'this move' : 'these moves'} back
            </Key>
          )}
          <p className={w.muted}>
            A real move is taken back by a move. If an entry was wrong and nothing was turned, correct it under “Log a
            move”.
          </p>
        </>
      )}
    </>
  );
}

/** The spine question, computed: the fit, and what each cure does to it. */
function SpineCheck({ check }: { check: Schemas['SpineCheckView'] }) {
  return (
    <div data-testid="spine-check">
      <h2>Is it the spine?</h2>
      <p>
        As computed: fit <b className={w.tabular}>{number(check.ratio, 2)}</b>, {check.words} ({number(check.low, 2)} to{' '}
        {number(check.high, 2)}). Each cure for a weak shaft, and the fit after it:
      </p>
      <Table kind="card">
        <tbody>
          {check.tries.map((t) => (
            <tr key={t.effect.label}>
              <th scope="row">{t.effect.label}</th>
              <td>{number(t.effect.ratio, 2)}</td>
              <td>{t.effect.words}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    </div>
  );
}

import { ButtonBase } from '@mui/material';
import { useEffect, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Foot } from '../../shell/Foot';
import { focusHome, useEscape } from '../../shell/focus';
import { isPageKey } from '../../shell/keys';
import { useUndo } from '../../shell/useUndo';
import { FilmStrip } from './FilmStrip';
import { LadderPanel } from './LadderPanel';
import { LearnedPanel } from './LearnedPanel';
import { MarkingPanel } from './MarkingPanel';
import { MarkingSheet } from './MarkingSheet';
import { MovePanel } from './MovePanel';
import {
  counted,
  freshMarking,
  isMarked,
  type Marking,
  type Paper,
  type Purpose,
  type Shot,
  type ShotSet,
  type Side,
} from './paperTypes';
import { ReadingPanel } from './ReadingPanel';
import { ReadingSheet } from './ReadingSheet';
import { ShotsPanel } from './ShotsPanel';
import { StageRail } from './StageRail';
import type { NextSet, PaperWork } from './usePaperWork';

export type Way = 'reading' | 'shots' | 'move' | 'ladder' | 'learned';

interface Props {
  paper: Paper;
  bow: Schemas['BowView'];
  work: PaperWork;
  arrows: Schemas['ArrowRow'][];
  firstWay: Way;
  onNew: () => void;
  goStart: () => void;
  goNocks: () => void;
  goCheck: (kind: string) => void;
}

const markSlot = (id: string) => `merganser-mark-${id}`;

/** A paper in work. */
export function PaperSession({ paper, bow, work, arrows, firstWay, onNew, goStart, goNocks, goCheck }: Props) {
  const last = paper.sets.at(-1)!;
  const [shownId, setShownId] = useState(last.id);
  const [way, setWay] = useState<Way>(firstWay);
  const [px, setPx] = useState(96);
  const [marking, setMarkingState] = useState<Marking | null>(() => readMarking(paper.id));
  const shown = paper.sets.find((s) => s.id === shownId) ?? last;
  const undo = useUndo();
  const [taking, setTaking] = useState<Schemas['MoveView'] | null>(null);
  const [reopened, setReopened] = useState(false);
  const usualSide: Side = last.shots.at(-1)?.side ?? paper.sets.at(-2)?.shots.at(-1)?.side ?? 'shootingSide';

  const setMarking = (next: Marking | null) => {
    if (next) localStorage.setItem(markSlot(paper.id), JSON.stringify(next));
    else localStorage.removeItem(markSlot(paper.id));
    setMarkingState(next);
    work.clear();
  };
  const mark = () => {
    setShownId(last.id);
    setMarking(freshMarking(usualSide));
    setTimeout(() => document.querySelector<SVGElement>('.marking')?.focus());
  };
  const ready = isMarked(marking);
  const keepShot = async () => {
    if (!marking || !ready) return;
    const after = await work.keepShot(last.id, marking);
    if (after) {
      setMarking(null);
      setWay('reading');
      setShownId(after.sets.at(-1)!.id);
      const shot = after.sets.at(-1)!.shots.at(-1)!;
      const what = `shot ${shot.number} of set ${after.sets.at(-1)!.number}`;
      undo.offer(what, () => void work.markShot(shot, 'marked wrongly').then((ok) => ok && undo.done(what)));
      sayReopened(after);
      setTimeout(focusHome);
    }
  };
  const sayReopened = (after: Paper) =>
    setReopened(paper.acceptedAt !== null && after.acceptedAt === null && paper.plan.kind === 'tune');
  const look = (next: Way) => {
    setWay(next);
    setTimeout(() =>
      document
        .querySelector<HTMLElement>('.ways-pane .reading :is(select, input, button, h1), .ways-pane .reading')
        ?.focus(),
    );
  };
  const show = (after: Paper | null) => {
    if (!after) return;
    setShownId(after.sets.at(-1)!.id);
    setWay('reading');
    setTimeout(focusHome);
  };
  const logMove = async (
    adjuster: Schemas['AdjusterKind'],
    to: number,
    note: string,
    corrects: string | null,
    afterSetId: string | null = null,
  ) => {
    const after = await work.move(paper, adjuster, to, note, corrects, afterSetId);
    show(after);
    if (!after) return;
    sayReopened(after);
    const made = after.lastMove;
    if (made?.adjuster === adjuster && !corrects) undo.offer(made.words, () => setTaking(made));
    else undo.forget();
  };
  /** A move is taken back as an entry that was wrong, or as a real move the other way: software turns no screw. */
  const takeBack = async (move: Schemas['MoveView'], loggedWrongly: boolean) => {
    setTaking(null);
    const note = loggedWrongly ? '' : 'turned back';
    const after = await work.move(paper, move.adjuster, move.from, note, loggedWrongly ? move.id : null);
    show(after);
    if (after) undo.done(move.words);
  };
  const newSet = async (next: NextSet) => {
    const after = await work.newSet(paper, next);
    show(after);
    if (after) undo.forget();
  };
  /** Real moves back to how the bow stood at a set, one by one; each is logged. */
  const goBackTo = async (set: ShotSet) => {
    let after: Paper | null = paper;
    for (const move of set.wayBack) {
      if (!after) return;
      after = await work.move(after, move.kind, move.to, `back to set ${set.number}`, null);
    }
    show(after);
  };
  const control = (purpose: Purpose) => {
    const other = arrows.find((a) => a.kept && a.kept.id !== paper.arrowVersionId)?.kept?.id ?? null;
    void newSet({
      distance: last.distanceTyped,
      fletched: last.fletched,
      purpose,
      arrowVersionId: purpose === 'controlArrow' ? other : null,
    });
  };
  const accept = async () => {
    const open = paper.acceptedAt === null;
    if (!(await work.accept(paper, open))) return;
    setReopened(false);
    const what = open ? 'the accepting' : 'the opening';
    undo.offer(what, () => void work.accept(paper, !open).then((ok) => ok && undo.done(what)));
  };
  const markShot = async (shot: Shot, reason: string | null, doubtful = false) => {
    if (!(await work.markShot(shot, reason, doubtful))) return;
    const what = `shot ${shot.number} ${reason ? 'void' : doubtful ? 'doubted' : 'counted'}`;
    undo.offer(
      what,
      () => void work.markShot(shot, shot.voidReason, shot.doubtful).then((ok) => ok && undo.done(what)),
    );
  };
  useEscape(marking !== null, () => setMarking(null));
  useEscape(marking === null && way !== 'reading', () => setWay('reading'));
  useEscape(taking !== null, () => setTaking(null));

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!isPageKey(event)) return;
      const key = event.key.toLowerCase();
      if (marking) {
        if (key === 'f')
          setMarking({ ...marking, side: marking.side === 'shootingSide' ? 'targetSide' : 'shootingSide' });
      } else if (key === 'm') look('move');
      else if (key === 'v') look('shots');
      else if (key === 'n') {
        event.preventDefault();
        mark();
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });

  const act = (action: string | null | undefined) => {
    if (action === 'mark') mark();
    else if (action === 'accept') void accept();
    else if (action === 'logMove') look('move');
    else if (action === 'madeMove' && paper.advice.move)
      void logMove(paper.advice.move.kind, paper.advice.move.to, '', null);
    else if (action === 'start') goStart();
    else if (action === 'rung') look('ladder');
    else if (action?.startsWith('check:')) goCheck(action.slice(6));
    else if (action === 'backToSession') void newSet({ distance: last.distanceTyped, fletched: last.fletched });
    else if (action === 'nextStage' && paper.plan.nextStage)
      void newSet({ distance: String(paper.plan.nextStage.distance), fletched: paper.plan.nextStage.fletched });
  };

  return (
    <>
      <main className="thing paper-page">
        {marking ? (
          <MarkingSheet
            marking={marking}
            px={px}
            onChange={setMarking}
            onKeep={() => void keepShot()}
            onCancel={() => setMarking(null)}
          />
        ) : (
          <ReadingSheet paper={paper} set={shown} />
        )}
        {marking ? (
          <MarkingPanel
            marking={marking}
            number={last.shots.length + 1}
            px={px}
            faults={work.faults}
            sizes={work.choices.data?.sizes ?? []}
            arrowNumbers={paper.plan.arrowNumbers}
            onChange={setMarking}
            onScale={setPx}
            onKeep={() => void keepShot()}
          />
        ) : (
          <div className="ways-pane">
            <div className="ways" role="group" aria-label="What to look at">
              {(
                [
                  ['reading', 'Reading'],
                  ['shots', `Shots, ${shown.shots.length}`],
                  ['move', 'Log a move'],
                  ['ladder', 'Ladder'],
                  ['learned', 'Learned'],
                ] as const
              ).map(([name, label]) => (
                <ButtonBase key={name} className="way" aria-pressed={way === name} onClick={() => setWay(name)}>
                  {label}
                </ButtonBase>
              ))}
              <ButtonBase className="way" onClick={goNocks}>
                Nocks
              </ButtonBase>
              <ButtonBase className="way" onClick={mark}>
                Mark a shot
              </ButtonBase>
            </div>
            {reopened && (
              <p className="caution" role="status">
                <span>
                  <b>Open again.</b>This paper was accepted: that the bow shot well so is taken back until you accept it
                  anew.
                </span>
              </p>
            )}
            {taking && (
              <div className="taking" role="group" aria-label="How is it taken back?">
                <p>
                  <b>{taking.words}.</b> Was it logged wrongly, or turned back on the bow?
                </p>
                <p className="row">
                  <ButtonBase className="key" autoFocus onClick={() => void takeBack(taking, true)}>
                    It was logged wrongly
                  </ButtonBase>
                  <ButtonBase className="key" onClick={() => void takeBack(taking, false)}>
                    I turned it back on the bow
                  </ButtonBase>
                  <ButtonBase className="plain" onClick={() => setTaking(null)}>
                    Leave it
                  </ButtonBase>
                </p>
              </div>
            )}
            {way === 'reading' && <ReadingPanel paper={paper} set={shown} onBack={(set) => void goBackTo(set)} />}
            {way === 'shots' && (
              <ShotsPanel set={shown} onMark={(shot, reason, doubtful) => void markShot(shot, reason, doubtful)} />
            )}
            {way === 'ladder' && (
              <LadderPanel
                paper={paper}
                busy={work.busy}
                onControl={control}
                onNote={(rung, outcome, note) => void work.note(paper, rung, outcome, note)}
                onWithdraw={(noteId) => void work.withdrawNote(paper, noteId)}
              />
            )}
            {way === 'learned' && <LearnedPanel bowId={paper.bowId} onForgot={() => void work.papers.refetch()} />}
            {way === 'move' && (
              <MovePanel
                key={`${paper.version}-${paper.advice.move?.to}`}
                adjusters={bow.adjusters}
                advised={paper.advice.move}
                moves={bow.moves}
                fault={work.faults.to?.[0] ?? work.problem?.message ?? null}
                busy={work.busy}
                sets={paper.sets.map(({ id, number }) => ({ id, number }))}
                onLog={(...entry) => void logMove(...entry)}
              />
            )}
          </div>
        )}
        <div className="strip">
          <FilmStrip paper={paper} shownId={shown.id} onShow={setShownId} />
          <div className="stage">
            {paper.trial ? (
              <NextArrow paper={paper} arrows={arrows} onTake={(set) => void newSet(set)} />
            ) : (
              <StageRail
                paper={paper}
                onGo={(stage) => void newSet({ distance: String(stage.distance), fletched: stage.fletched })}
              />
            )}
            <div className="row">
              <ButtonBase className="key" onClick={() => void accept()} data-testid="accept">
                {paper.acceptedAt ? 'Open it again' : paper.trial ? 'End the trial' : 'I accept this'}
              </ButtonBase>
              <ButtonBase className="plain" onClick={onNew}>
                New paper
              </ButtonBase>
            </div>
          </div>
        </div>
      </main>
      {work.problem && !marking && way !== 'move' && !work.unreachable ? (
        <Foot trouble sentence={work.problem.message} reason="Nothing was changed." button="I see" onGo={work.clear} />
      ) : work.unreachable ? (
        <Foot
          trouble
          sentence="Kept here, not yet saved."
          reason="The bench’s server does not answer. What you marked stays in this browser."
          button="Try again"
          busy={work.busy}
          onGo={() => (marking ? void keepShot() : void work.papers.refetch().then(work.clear))}
        />
      ) : marking ? (
        <Foot
          trouble={work.problem !== null}
          sentence={
            work.problem?.message ??
            (ready
              ? 'Keep this shot.'
              : marking.point
                ? 'Press where the tail went through.'
                : 'Mark the point’s hole, type the tail’s place, or say it.')
          }
          reason={
            work.problem ? 'Your marks are still here.' : 'A fault is kept and voided with its reason, not left out.'
          }
          button="Keep this shot"
          busy={!ready || work.busy}
          onGo={() => void keepShot()}
          alternative="Leave it"
          onAlternative={() => setMarking(null)}
        />
      ) : (
        <Foot
          sentence={paper.next.sentence}
          reason={paper.next.reason}
          button={paper.next.button}
          guarded={paper.next.action === 'madeMove'}
          busy={work.busy}
          onGo={() => act(paper.next.action)}
          alternative={paper.next.alternative}
          onAlternative={() => act(paper.next.alternativeAction)}
          extra={undo.key}
        />
      )}
    </>
  );
}

/** The next arrow of a trial: the bow stays as it is. */
function NextArrow({
  paper,
  arrows,
  onTake,
}: {
  paper: Paper;
  arrows: Schemas['ArrowRow'][];
  onTake: (set: NextSet) => void;
}) {
  const last = paper.sets.at(-1)!;
  return (
    <label className="other-arrows">
      <span className="visually-hidden">Next arrow of the trial</span>
      <select
        value=""
        disabled={counted(last).length === 0}
        onChange={(event) =>
          onTake({ distance: last.distanceTyped, fletched: last.fletched, arrowVersionId: event.target.value })
        }
      >
        <option value="" disabled>
          Take the next arrow
        </option>
        {arrows
          .filter((a) => a.kept)
          .map((a) => (
            <option key={a.id} value={a.kept!.id}>
              {a.kept!.typed.name}
            </option>
          ))}
      </select>
    </label>
  );
}

function readMarking(paperId: string): Marking | null {
  try {
    const kept = JSON.parse(localStorage.getItem(markSlot(paperId)) ?? 'null') as Partial<Marking> | null;
    return kept && { ...freshMarking('shootingSide'), ...kept };
  } catch {
    return null;
  }
}

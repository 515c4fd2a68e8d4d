import { useRef, useState } from 'react';
import type { Schemas } from '../../api/client';
import { bowScope } from '../../api/outbox';
import { QUEUED } from '../../api/useActs';
import { useOutbox } from '../../api/useOutbox';
import { focusHome, useEscape } from '../../shell/focus';
import { useUndo } from '../../shell/useUndo';
import { Key, Plain } from '../../parts/Buttons';
import { Later } from '../../parts/Later';
import { Main } from '../../parts/Page';
import { freshHit, fromOf, halfFor, markedWith } from './target/groupTypes';
import { AtTarget } from './target/AtTarget';
import { HitsTable } from './target/HitsTable';
import { useSightMark } from './target/useSightMark';
import { useTakenIn } from './target/useTakenIn';
import { FilmStrip } from './FilmStrip';
import { HeldBack } from './HeldBack';
import { LadderPanel } from './LadderPanel';
import { LearnedPanel } from './LearnedPanel';
import { readMarking, writeMarking } from './markingDraft';
import { MovePanel } from './MovePanel';
import { NextArrow } from './NextArrow';
import { freshMarking, withoutMove, type Marking, type Paper, type Purpose, type Shot, type Side } from './paperTypes';
import { ReadingPanel } from './ReadingPanel';
import { SessionFoot } from './SessionFoot';
import { SetSheet } from './SetSheet';
import { SessionMarking } from './SessionMarking';
import { SessionWays, type Way } from './SessionWays';
import { ShotsPanel } from './ShotsPanel';
import { StageRail } from './StageRail';
import { OpenAgain, TakeBack } from './TakeBack';
import { focusSheet } from './sheetHands';
import { usePhotoSheet } from './photo/usePhotoSheet';
import { useSessionKeys } from './useSessionKeys';
import { useKeptShots } from './useKeptShots';
import { usePaperMoves } from './usePaperMoves';
import { isAtTarget, nextOf, stageOf, typedStage } from './stages';
import type { NextSet, PaperWork } from './usePaperWork';
import { otherSheet, setNow } from './waits';
import { offerToGiveUp } from './offerToGiveUp';
import l from '../../parts/layout.module.css';
import { takeFile } from '../../parts/takeFile';
import s from './PaperPage.module.css';

interface Props {
  paper: Paper;
  bow: Schemas['BowView'];
  work: PaperWork;
  arrows: Schemas['ArrowRow'][];
  firstWay: Way;
  onNew: () => void;
  /** Where else one may go from it. */
  go: Record<'start' | 'nocks' | 'sizes' | 'range' | 'papers', () => void>;
  goCheck: (kind: string) => void;
}

/** A paper in work. */
export function PaperSession({ paper, bow, work, arrows, firstWay, onNew, go, goCheck }: Props) {
  const waits = useOutbox(bowScope(paper.bowId));
  const last = paper.sets.at(-1)!;
  const [shownId, setShownId] = useState(last.id);
  const [way, setWayState] = useState<Way>(firstWay);
  const looked = useRef(firstWay);
  const setWay = (next: Way) => {
    looked.current = next;
    setWayState(next);
  };
  const [scale, setScale] = useState(() => ({ px: 96, half: halfFor(last) }));
  const [marking, setMarkingState] = useState<Marking | null>(() =>
    readMarking(paper.id, isAtTarget(last) ? markedWith(last) : []),
  );
  const shown = paper.sets.find((s) => s.id === shownId) ?? last;
  const undo = useUndo();
  const [reopened, setReopened] = useState(false);
  const photo = usePhotoSheet(paper.bowId, paper.id, last.id);
  const usualSide: Side = last.shots.at(-1)?.side ?? paper.sets.at(-2)?.shots.at(-1)?.side ?? 'shootingSide';

  const setMarking = (next: Marking | null) => {
    writeMarking(paper.id, next);
    setMarkingState(next);
    work.clear();
  };
  const now = setNow(last, waits);
  // While something waits no move is advised: what is drawn of one is left out as well.
  const asRead = waits.length > 0 ? withoutMove(paper) : paper;
  const look = (next: Way) => {
    setWay(next);
    setTimeout(focusHome);
  };
  const other = otherSheet(last, waits);
  const mark = () => {
    if (other) return look('reading');
    setShownId(last.id);
    setMarking(
      isAtTarget(last) ? freshHit(now, now.shots.at(-1)?.arrow ?? null, fromOf(now)) : freshMarking(usualSide),
    );
    setTimeout(focusSheet);
  };
  const sayReopened = (after: Paper) =>
    setReopened(paper.acceptedAt !== null && after.acceptedAt === null && paper.plan.kind === 'tune');
  /** An answer shows its set; what was opened while it was awaited stays open. */
  const show = (after: Paper | null) => {
    if (!after) return;
    setShownId(after.sets.at(-1)!.id);
    if (looked.current !== way) return;
    setWay('reading');
    setTimeout(focusHome);
  };
  const keepShot = useKeptShots(last, work, undo, {
    sayReopened,
    onKept: (newest, next) => {
      setMarking(next);
      setWay('reading');
      setShownId(newest.id);
      setTimeout(next ? focusSheet : focusHome);
    },
  });
  const moves = usePaperMoves(paper, work, undo, { show, sayReopened });
  const { taking, setTaking, logMove } = moves;
  const newSet = async (next: NextSet) => {
    const after = await work.newSet(paper, next);
    show(after === QUEUED ? paper : after);
    if (after === QUEUED) offerToGiveUp(undo, work.waits().at(-1));
    else if (after) undo.forget();
  };
  const control = (purpose: Purpose) => {
    const other = arrows.find((a) => a.kept && a.kept.id !== paper.arrowVersionId)?.kept?.id ?? null;
    void newSet({
      ...stageOf(last),
      purpose,
      arrowVersionId: purpose === 'controlArrow' ? other : null,
    });
  };
  const moveSight = useSightMark(paper, work, undo, show);
  const takenIn = useTakenIn(paper, work, undo, show);
  const groups = paper.sets.findLast((set) => set.groups !== null);
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

  useSessionKeys(last, marking, { setMarking, look, mark });

  const act = (action: string | null | undefined) => {
    if (action === 'mark') mark();
    else if (action === 'accept') void accept();
    else if (action === 'logMove') look('move');
    else if (action === 'madeMove') moves.madeAdvised();
    else if (action === 'moveSight') void moveSight({ pin: paper.heads?.pin ?? paper.sightAnswer?.pin ?? undefined });
    else if (action === 'walkOn' || action === 'backToSession') void newSet(stageOf(last));
    else if (action === 'walkAnew') void moveSight({ otherwise: true });
    else if (action === 'groups' && groups) void newSet(stageOf(groups));
    else if (action === 'start') go.start();
    else if (action === 'rung') look('ladder');
    else if (action === 'card') takeFile(`/api/bows/${paper.bowId}/card.pdf`);
    else if (action?.startsWith('check:')) goCheck(action.slice(6));
    else if (action === 'nextArrow') void newSet({ ...stageOf(last), ...nextOf(paper) });
    else if (action === 'nextStage' && paper.plan.nextStage) void newSet(typedStage(paper.plan.nextStage));
  };

  return (
    <>
      <Main className={s.page}>
        {marking ? (
          <SessionMarking
            marking={marking}
            paper={paper}
            work={work}
            photo={photo}
            count={now.shots.length}
            scale={scale}
            onScale={setScale}
            onChange={setMarking}
            onKeep={(marked) => void keepShot(marked ?? marking)}
            onCancel={() => setMarking(null)}
          />
        ) : (
          <SetSheet paper={asRead} set={shown} />
        )}
        {!marking && (
          <div className={s.panes}>
            <SessionWays
              way={way}
              shots={shown.shots.length}
              onLook={setWay}
              onMark={mark}
              onPapers={go.papers}
              {...(isAtTarget(shown) ? { onSizes: go.sizes, onRange: go.range } : { onNocks: go.nocks })}
            />
            {reopened && <OpenAgain />}
            {taking && (
              <TakeBack
                moves={taking}
                onTake={(wrongly) => void moves.takeBack(taking, wrongly)}
                onLeave={() => setTaking(null)}
              />
            )}
            {way === 'reading' && waits.length > 0 && <HeldBack entries={waits} other={other !== undefined} />}
            {way === 'reading' && waits.length === 0 && (
              <ReadingPanel
                paper={paper}
                set={shown}
                onBack={(set) => void moves.goBackTo(set)}
                atTarget={
                  isAtTarget(shown) && (
                    <AtTarget paper={paper} archerId={bow.archerId} set={shown} work={work} onMoved={moveSight} />
                  )
                }
              />
            )}
            {way === 'shots' && (
              <ShotsPanel
                set={shown}
                bowId={paper.bowId}
                after={isAtTarget(shown) && <HitsTable paper={paper} set={last} work={work} onTaken={takenIn} />}
                onMark={(shot, reason, doubtful) => void markShot(shot, reason, doubtful)}
              />
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
            {way === 'learned' && <LearnedPanel bowId={paper.bowId} onForgot={() => void work.newest.refetch()} />}
            {way === 'move' && (
              <MovePanel
                key={`${paper.version}-${paper.advice.move?.to}`}
                adjusters={bow.adjusters}
                advised={paper.advice.move}
                moves={bow.lastMoves}
                fault={work.faults.to?.[0] ?? work.problem?.message ?? null}
                busy={work.busy}
                sets={paper.sets.map(({ id, number }) => ({ id, number }))}
                onLog={(told, beside) => void logMove(told, beside)}
              />
            )}
          </div>
        )}
        <div className={s.strip}>
          <Later instead={<div className={s.film} />}>
            <FilmStrip paper={asRead} shownId={shown.id} onShow={setShownId} />
          </Later>
          <div className={s.stage} data-testid="stage">
            {paper.trial ? (
              <NextArrow paper={paper} arrows={arrows} onTake={(set) => void newSet(set)} />
            ) : (
              <StageRail paper={paper} onGo={(stage) => void newSet(typedStage(stage))} />
            )}
            <div className={l.row}>
              <Key onClick={() => void accept()} data-testid="accept">
                {paper.acceptedAt ? 'Open it again' : paper.trial ? 'End the trial' : 'I accept this'}
              </Key>
              <Plain className={s.new} onClick={onNew}>
                {isAtTarget(last) ? 'New groups' : 'New paper'}
              </Plain>
            </div>
          </div>
        </div>
      </Main>
      <SessionFoot
        paper={paper}
        work={work}
        marking={marking}
        photo={marking && !marking.arrow && photo.placing ? photo : null}
        lookingAtMoves={way === 'move'}
        waits={waits}
        other={other !== undefined}
        onMark={mark}
        undoKey={undo.key}
        act={act}
        onKeep={() => void keepShot(marking)}
        onLeave={() => setMarking(null)}
      />
    </>
  );
}

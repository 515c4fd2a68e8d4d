import { ButtonBase } from '@mui/material';
import { useEffect, useState } from 'react';
import type { Schemas } from '../../api/client';
import { Foot } from '../../bench/Foot';
import { isPageKey } from '../../bench/keys';
import { useUndo } from '../../bench/useUndo';
import { FilmStrip } from './FilmStrip';
import { MarkingPanel } from './MarkingPanel';
import { MarkingSheet } from './MarkingSheet';
import { MovePanel } from './MovePanel';
import { freshMarking, type Marking, type Paper, type Shot, type Side } from './paperTypes';
import { ReadingPanel } from './ReadingPanel';
import { ReadingSheet } from './ReadingSheet';
import { ShotsPanel } from './ShotsPanel';
import type { usePaperBench } from './usePaperBench';

type Way = 'reading' | 'shots' | 'move';

interface Props {
  paper: Paper;
  bow: Schemas['BowView'];
  bench: ReturnType<typeof usePaperBench>;
  onNew: () => void;
  goStart: () => void;
}

const markSlot = (id: string) => `merganser-mark-${id}`;

/** A paper in work. */
export function PaperSession({ paper, bow, bench, onNew, goStart }: Props) {
  const last = paper.sets.at(-1)!;
  const [shownId, setShownId] = useState(last.id);
  const [way, setWay] = useState<Way>('reading');
  const [px, setPx] = useState(96);
  const [marking, setMarkingState] = useState<Marking | null>(() => readMarking(paper.id));
  const shown = paper.sets.find((s) => s.id === shownId) ?? last;
  const undo = useUndo();
  const usualSide: Side = last.shots.at(-1)?.side ?? paper.sets.at(-2)?.shots.at(-1)?.side ?? 'shootingSide';

  const setMarking = (next: Marking | null) => {
    if (next) localStorage.setItem(markSlot(paper.id), JSON.stringify(next));
    else localStorage.removeItem(markSlot(paper.id));
    setMarkingState(next);
    bench.clear();
  };
  const mark = () => {
    setShownId(last.id);
    setMarking(freshMarking(usualSide));
    setTimeout(() => document.querySelector<SVGElement>('.marking')?.focus());
  };
  const ready =
    marking !== null &&
    ((marking.point !== null && marking.tail !== null) || marking.right.trim() !== '' || marking.up.trim() !== '');
  const keepShot = async () => {
    if (!marking || !ready) return;
    const after = await bench.keepShot(last.id, marking);
    if (after) {
      setMarking(null);
      setWay('reading');
      const shot = after.sets.at(-1)!.shots.at(-1)!;
      undo.offer('Undo the shot', () => void bench.voidShot(shot, 'marked wrongly'));
    }
  };
  const logMove = async (adjuster: Schemas['AdjusterKind'], to: number, note: string, corrects: string | null) => {
    const after = await bench.move(paper, adjuster, to, note, corrects);
    if (!after) return;
    setShownId(after.sets.at(-1)!.id);
    setWay('reading');
  };
  const accept = async () => {
    if (await bench.accept(paper, paper.acceptedAt === null))
      undo.offer('Undo', () => void bench.accept(paper, paper.acceptedAt !== null));
  };
  const voidShot = async (shot: Shot, reason: string | null) => {
    if (await bench.voidShot(shot, reason)) undo.offer('Undo', () => void bench.voidShot(shot, shot.voidReason));
  };

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!isPageKey(event) || marking) return;
      const key = event.key.toLowerCase();
      if (key === 'm') setWay('move');
      else if (key === 'v') setWay('shots');
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
    else if (action === 'logMove') setWay('move');
    else if (action === 'madeMove' && paper.advice.move)
      void logMove(paper.advice.move.kind, paper.advice.move.to, '', null);
    else if (action === 'start') goStart();
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
            faults={bench.faults}
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
                ] as const
              ).map(([name, label]) => (
                <ButtonBase key={name} className="way" aria-pressed={way === name} onClick={() => setWay(name)}>
                  {label}
                </ButtonBase>
              ))}
              <ButtonBase className="way" onClick={mark}>
                Mark a shot
              </ButtonBase>
            </div>
            {way === 'reading' && <ReadingPanel paper={paper} set={shown} />}
            {way === 'shots' && <ShotsPanel set={shown} onVoid={(shot, reason) => void voidShot(shot, reason)} />}
            {way === 'move' && (
              <MovePanel
                key={`${paper.version}-${paper.advice.move?.to}`}
                adjusters={bow.adjusters}
                advised={paper.advice.move}
                moves={bow.moves}
                fault={bench.faults.to?.[0] ?? bench.problem?.message ?? null}
                busy={bench.busy}
                onLog={(adjuster, to, note, corrects) => void logMove(adjuster, to, note, corrects)}
              />
            )}
          </div>
        )}
        <div className="strip">
          <FilmStrip paper={paper} shownId={shown.id} onShow={setShownId} />
          <div className="stage">
            <p className="lab">
              {paper.arrowName}, version {paper.arrowVersionNumber}
            </p>
            <ButtonBase className="key" onClick={() => void accept()} data-testid="accept">
              {paper.acceptedAt ? 'Open it again' : 'I accept this'}
            </ButtonBase>
            <ButtonBase
              className="plain"
              onClick={() =>
                void bench
                  .newSet(paper, last.distanceTyped, !last.fletched)
                  .then((p) => p && setShownId(p.sets.at(-1)!.id))
              }
            >
              Next set {last.fletched ? 'bare' : 'fletched'}
            </ButtonBase>
            <ButtonBase className="plain" onClick={onNew}>
              New paper or distance
            </ButtonBase>
          </div>
        </div>
      </main>
      {bench.unreachable ? (
        <Foot
          trouble
          sentence="Kept here, not yet saved."
          reason="The bench’s server does not answer. What you marked stays in this browser."
          button="Try again"
          busy={bench.busy}
          onGo={() => (marking ? void keepShot() : void bench.papers.refetch().then(bench.clear))}
        />
      ) : marking ? (
        <Foot
          trouble={bench.problem !== null}
          sentence={
            bench.problem?.message ??
            (ready
              ? 'Keep this shot.'
              : marking.point
                ? 'Press where the tail went through.'
                : 'Press where the point went through.')
          }
          reason={
            bench.problem ? 'Your marks are still here.' : 'A fault is kept and voided with its reason, not left out.'
          }
          button="Keep this shot"
          busy={!ready || bench.busy}
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
          busy={bench.busy}
          onGo={() => act(paper.next.action)}
          alternative={paper.next.alternative}
          onAlternative={() => act(paper.next.alternativeAction)}
          extra={undo.key}
        />
      )}
    </>
  );
}

function readMarking(paperId: string): Marking | null {
  try {
    return JSON.parse(localStorage.getItem(markSlot(paperId)) ?? 'null') as Marking | null;
  } catch {
    return null;
  }
}

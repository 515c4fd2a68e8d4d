import { useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { Caution, Note } from '../../parts/Note';
import { Figure } from '../../parts/Figure';
import { useEscape } from '../../shell/focus';
import { isPageKey } from '../../shell/keys';
import { number } from '../../units/units';
import { Plain } from '../../parts/Buttons';
import { Main } from '../../parts/Page';
import { Pick } from '../../parts/Pick';
import { ArrowDrawing } from './ArrowDrawing';
import { ArrowFoot } from './ArrowFoot';
import { SpeedBand } from './SpeedBand';
import { FitBand } from './FitBand';
import { Beside } from './Beside';
import { PartPanel, stepPart } from './PartPanel';
import { holds, partIds, retiredIn, withPart, type Draft, type PartName, type Used } from './parts';
import { AskPanel } from './AskPanel';
import { MoreWays } from './ArrowWays';
import { Tries } from './Tries';
import { useArrowWork } from './useArrowWork';
import w from '../../parts/words.module.css';
import tries from './Tries.module.css';
import s from './ArrowEditor.module.css';

interface Props {
  bowId: string;
  row: Schemas['ArrowRow'];
  arrows: Schemas['ArrowRow'][];
  catalogue: Schemas['Catalogue'];
  /** A part that was chosen in the catalogue for this arrow. */
  use: Used | null;
  onUsed: () => void;
  onOpen: (id: string) => void;
  onAnother: () => void;
  goPaper: () => void;
  goCheck: (kind: string) => void;
}

const top = ['totalWeight', 'frontOfCenter', 'grainsPerPound', 'speed', 'kineticEnergy', 'momentum'];
const small = ['fit', 'neededSpine', 'staticSpine', 'amoSpine', 'balancePoint', 'toSpare'];
const SINCE = 'kept';
const STALE_AFTER = 300;

/** One arrow in work: the drawing, its figures, its parts. */
export function ArrowEditor({
  bowId,
  row,
  arrows,
  catalogue: listed,
  use,
  onUsed,
  onOpen,
  onAnother,
  goPaper,
  goCheck,
}: Props) {
  const work = useArrowWork(bowId, row);
  const { draft, change, undo, redo, figures, faults } = work;
  // A part that is retired, or farther down than the lists go, is fetched by its id.
  const absent = partIds(draft).filter((id) => !holds(listed, id));
  const catalogue = useCatalogue(absent.length > 0 ? absent.join(',') : undefined).data ?? listed;
  const retired = retiredIn(catalogue, draft);
  const [chosen, setChosen] = useState<PartName>('point');
  const [asking, setAsking] = useState(false);
  const view = figures.data;
  const figure = (name: string) => view?.reading.figures.find((f) => f.name === name);
  const since = view?.reading.figures.some((f) => f.change !== null) ? SINCE : undefined;
  const beside = useQuery({
    queryKey: ['arrows', bowId, 'beside'],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/beside', { params: { path: { bowId } } })),
  });
  const kept = row.kept && row.kept.id === work.openedId ? row.kept : null;
  const speed = figure('speed');
  /** A weight that has a band stands on something that is not known. */
  const banded = figure('totalWeight')?.lowText != null;
  const speedBand = useMemo(() => speed && <SpeedBand figure={speed} />, [speed]);
  useEscape(asking, () => setAsking(false));
  const stale = useLate(figures.isPlaceholderData);
  const latest = useRef(change);
  useEffect(() => {
    latest.current = change;
  });
  const tryIt = useCallback((next: Draft) => latest.current(next), []);
  const now = useRef({ draft, use, onUsed });
  useEffect(() => {
    now.current = { draft, use, onUsed };
  });
  const usedId = use?.id;
  useEffect(() => {
    if (!usedId || !now.current.use) return;
    tryIt(withPart(now.current.draft, now.current.use));
    now.current.onUsed();
  }, [usedId, tryIt]);
  // The figures come first; what lies below follows in the next frame.
  const below = useDeferredValue(view);
  const rows = useMemo(
    () =>
      below && [
        { id: 'this', name: 'This arrow', arrow: below.arrow, summary: below.summary },
        ...(below.opened ? [below.opened] : []),
        ...(beside.data ?? []).filter((b) => b.id !== row.id).slice(0, 2),
      ],
    [below, beside.data, row.id],
  );

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (
        (event.ctrlKey || event.metaKey) &&
        event.key.toLowerCase() === 'z' &&
        !(event.target instanceof HTMLInputElement)
      ) {
        event.preventDefault();
        if (event.shiftKey) redo();
        else undo();
      } else if (isPageKey(event) && (event.key === '+' || event.key === '-')) {
        const next = stepPart(draft, catalogue, chosen, event.key === '+' ? 1 : -1);
        if (next) change(next);
      }
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });

  const focusPart = useCallback((part: PartName) => {
    setChosen(part);
    setTimeout(() => document.querySelector<HTMLElement>('[data-panel] :is(input, select)')?.focus());
  }, []);
  const act = (action: string | null | undefined) => {
    if (action === 'keep') void work.keep();
    else if (action === 'tryFront' || action === 'tryRear') focusPart('more');
    else if (action?.startsWith('try')) focusPart(action.slice('try'.length).toLowerCase() as PartName);
    else if (action === 'fixLength') focusPart('length');
    else if (action?.startsWith('check:')) goCheck(action.slice(6));
    else if (action === 'paper') goPaper();
  };

  return (
    <>
      <Main className={s.page}>
        <h1 className="visually-hidden">Arrow {draft.name}</h1>
        <div className={s.title}>
          <input
            className={s.name}
            aria-label="Name of this arrow"
            name="arrowName"
            maxLength={60}
            value={draft.name}
            onChange={(event) => change({ ...draft, name: event.target.value })}
          />
          <Pick bare label="Arrow on the bench" value="" onChange={onOpen} disabled={arrows.length < 2}>
            <option value="" disabled>
              Other arrows, {arrows.length - 1}
            </option>
            {arrows
              .filter((a) => a.id !== row.id)
              .map((a) => (
                <option key={a.id} value={a.id}>
                  {a.draft.name}
                </option>
              ))}
          </Pick>
          <span className={w.muted}>{row.kept ? `version ${row.kept.number}` : 'not kept yet'}</span>
          <Plain onClick={onAnother}>Copy</Plain>
          <MoreWays bowId={bowId} arrowId={row.id} />
          <Plain onClick={undo} disabled={!work.canUndo}>
            Undo
          </Plain>
          <Plain onClick={redo} disabled={!work.canRedo}>
            Redo
          </Plain>
          <div className={s.cautions}>
            {retired.map((name) => (
              <Note key={name} word="Retired.">
                {name} is out of the lists; this arrow keeps it.
              </Note>
            ))}
            {view?.reading.cautions.map((c) => (
              <Caution key={c.code} caution={c} />
            ))}
          </div>
        </div>
        <div className={s.work}>
          {view && <ArrowDrawing arrow={view.arrow} reading={view.reading} chosen={chosen} onChoose={focusPart} />}
          <PartPanel part={chosen} draft={draft} catalogue={catalogue} faults={faults} onChange={tryIt} />
        </div>
        {view && (
          <>
            <div className={s.figures} data-testid="figures">
              {top.map((name) => (
                <Figure
                  key={name}
                  figure={figure(name)!}
                  since={since}
                  stale={stale}
                  banded={banded && name !== 'speed'}
                >
                  {name === 'speed' ? speedBand : null}
                </Figure>
              ))}
            </div>
            <div className={s.lower}>
              <section aria-label="Spine">
                <div className={s.fit}>
                  <h2>
                    Fit {number(view.reading.fit.ratio, 2)} <span>{view.reading.fit.words}</span>
                  </h2>
                  <span className={w.muted}>
                    {number(view.reading.fit.low, 2)} to {number(view.reading.fit.high, 2)}, the bar in the band
                    {view.reading.fit.openedRatio !== null && `; kept ${number(view.reading.fit.openedRatio, 2)}`}
                  </span>
                </div>
                <FitBand fit={view.reading.fit} />
                <div className={s.small}>
                  {small.map((name) => (
                    <Figure key={name} figure={figure(name)!} size="tiny" banded={banded} />
                  ))}
                </div>
              </section>
              {below && asking ? (
                <section className={tries.tries} aria-label="Ask for a value">
                  <h2>
                    Ask for a value{' '}
                    <Plain className={tries.other} onClick={() => setAsking(false)}>
                      What would change it
                    </Plain>
                  </h2>
                  <AskPanel bowId={bowId} draft={draft} onTry={tryIt} />
                </section>
              ) : (
                below && <Tries tries={below.tries} onTry={tryIt} onAsk={() => setAsking(true)} />
              )}
            </div>
            {rows && <Beside rows={rows} />}
          </>
        )}
      </Main>
      <ArrowFoot work={work} kept={kept} act={act} />
    </>
  );
}

/** True once something has been under way for a third of a second: what is quicker is not shown as waiting. */
function useLate(waiting: boolean): boolean {
  const [late, setLate] = useState(false);
  useEffect(() => {
    if (!waiting) return;
    const timer = setTimeout(() => setLate(true), STALE_AFTER);
    return () => {
      clearTimeout(timer);
      setLate(false);
    };
  }, [waiting]);
  return waiting && late;
}

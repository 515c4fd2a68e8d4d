import { useQuery } from '@tanstack/react-query';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import { focusSoon, useEscape } from '../../shell/focus';
import { isPageKey } from '../../shell/keys';
import { Plain } from '../../parts/Buttons';
import { Later } from '../../parts/Later';
import { Main } from '../../parts/Page';
import { useSteady } from '../../parts/useSteady';
import { ArrowDrawing } from './ArrowDrawing';
import { ArrowFigures } from './ArrowFigures';
import { ArrowFoot } from './ArrowFoot';
import { ArrowTitle } from './ArrowTitle';
import { Beside } from './Beside';
import { PartPanel, stepPart } from './PartPanel';
import { called, holds, partIds, retiredIn, shaftName, withPart, type Draft, type PartName, type Used } from './parts';
import { AskPanel } from './AskPanel';
import { Tries } from './Tries';
import { useArrowWork } from './useArrowWork';
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
  const { draft, undo, redo, figures, faults } = work;
  // A part that is retired, or farther down than the lists go, is fetched by its id.
  const ids = partIds(draft);
  const held = ids.join(',');
  const absent = ids.filter((id) => !holds(listed, id));
  const catalogue = useCatalogue(absent.length > 0 ? absent.join(',') : undefined).data ?? listed;
  const change = useSteady((next: Draft) => work.change(called(draft, next, shaftName(catalogue))));
  const retired = useMemo(() => retiredIn(catalogue, held.split(',')), [catalogue, held]);
  const [chosen, setChosen] = useState<PartName>('point');
  const [asking, setAsking] = useState(false);
  const view = figures.data;
  // The figures come first. The drawing and what can be tried and compared are most of the page: they are drawn after
  // them, and a next key does not wait for that.
  const drawn = useDeferredValue(view);
  const beside = useQuery({
    queryKey: ['arrows', bowId, 'beside'],
    queryFn: () => answer(api.GET('/api/bows/{bowId}/beside', { params: { path: { bowId } } })),
  });
  const kept = row.kept && row.kept.id === work.openedId ? row.kept : null;
  // What was pressed goes with its list: the keys go on in what takes its place.
  const ask = useSteady(() => {
    setAsking(true);
    focusSoon('[data-ask] select');
  });
  const asked = useSteady(() => {
    setAsking(false);
    focusSoon('[data-tries] h2 button');
  });
  useEscape(asking, asked);
  const stale = useLate(figures.isPlaceholderData);
  const takeUsed = useSteady(() => {
    if (!use) return;
    change(withPart(draft, use));
    onUsed();
  });
  const usedId = use?.id;
  useEffect(() => {
    if (usedId) takeUsed();
  }, [usedId, takeUsed]);
  const rows = useMemo(
    () =>
      drawn && [
        { id: 'this', name: 'This arrow', arrow: drawn.arrow, summary: drawn.summary },
        ...(drawn.opened ? [drawn.opened] : []),
        ...(beside.data ?? []).filter((b) => b.id !== row.id).slice(0, 2),
      ],
    [drawn, beside.data, row.id],
  );

  // What hangs on the answer stands still while a key is drawn: it is given nothing that is new with each.
  const toTry = useMemo(() => drawn && <Tries tries={drawn.tries} onTry={change} onAsk={ask} />, [drawn, change, ask]);
  const again = useSteady(() => void figures.refetch());
  const rename = useSteady((name: string) => change({ ...draft, name }));

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
  const act = useSteady((action: string | null | undefined) => {
    if (action === 'keep') void work.keep();
    else if (action === 'tryFront' || action === 'tryRear') focusPart('more');
    else if (action?.startsWith('try')) focusPart(action.slice('try'.length).toLowerCase() as PartName);
    else if (action === 'fixLength') focusPart('length');
    else if (action?.startsWith('check:')) goCheck(action.slice(6));
    else if (action === 'paper') goPaper();
  });

  return (
    <>
      <Main className={s.page}>
        <h1 className="visually-hidden">Arrow {draft.name}</h1>
        <ArrowTitle
          bowId={bowId}
          row={row}
          arrows={arrows}
          name={draft.name}
          onName={rename}
          onOpen={onOpen}
          onAnother={onAnother}
          undo={work.canUndo ? undo : null}
          redo={work.canRedo ? redo : null}
          retired={retired}
          cautions={view?.reading.cautions}
        />
        <div className={s.work}>
          {drawn && <ArrowDrawing arrow={drawn.arrow} reading={drawn.reading} chosen={chosen} onChoose={focusPart} />}
          <PartPanel part={chosen} draft={draft} catalogue={catalogue} faults={faults} onChange={change} />
        </div>
        {view && (
          <>
            <ArrowFigures reading={view.reading} stale={stale}>
              {asking ? (
                <section className={tries.tries} aria-label="Ask for a value" data-ask>
                  <h2>
                    Ask for a value{' '}
                    <Plain className={tries.other} onClick={asked}>
                      What would change it
                    </Plain>
                  </h2>
                  <AskPanel bowId={bowId} draft={draft} onTry={change} />
                </section>
              ) : (
                toTry
              )}
            </ArrowFigures>
            <Later>{rows && <Beside rows={rows} />}</Later>
          </>
        )}
      </Main>
      <ArrowFoot
        save={work.save}
        fault={Object.values(faults)[0]?.[0]}
        notKept={work.notKept}
        unread={figures.error?.message}
        next={view?.reading.next}
        kept={kept}
        same={kept !== null && JSON.stringify(kept.typed) === JSON.stringify(draft)}
        undo={work.canUndo ? undo : null}
        act={act}
        resolve={work.resolve}
        retry={work.retry}
        again={again}
      />
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

import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { isMissing } from '../../api/client';
import { arrowsQuery } from '../../api/queries';
import { ShellHead } from '../../shell/ShellHead';
import { focusHome, useEscape, useFaultFocus } from '../../shell/focus';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { useUndo } from '../../shell/useUndo';
import { Drawn } from '../../parts/Drawn';
import { Empty } from '../../parts/Empty';
import { Body, Main, Page } from '../../parts/Page';
import { number } from '../../units/units';
import { WayLink, Ways } from '../../parts/Ways';
import { DozenTitle } from './DozenTitle';
import { HeadsPane } from './HeadsPane';
import { MatchPane } from './MatchPane';
import { QuiverPane } from './QuiverPane';
import { SpinPane } from './SpinPane';
import { copyOf, nameFor, sparesOf, StartDozen, type DozenForm } from './StartDozen';
import { TrayPane } from './TrayPane';
import { toWeigh, useDozen } from './useDozen';
import { useEntryUndo } from './useEntryUndo';
import { blank, WeighPane } from './WeighPane';
import { WorkshopPane } from './WorkshopPane';
import s from './DozenPage.module.css';

const ways = [
  ['weigh', 'Weigh in'],
  ['spin', 'Spin'],
  ['match', 'Match'],
  ['tray', 'Build list'],
  ['workshop', 'Workshop'],
  ['heads', 'Heads'],
  ['quiver', 'Arrows'],
] as const;

/** From one arrow on paper to twelve real ones. */
export default function DozenPage() {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const matching = useRef<HTMLFormElement>(null);
  const [search, setSearch] = useSearchParams();
  const work = useDozen(bowId, search.get('dozen'));
  const [planning, setPlanning] = useState<DozenForm | null>(null);
  const arrows = useQuery(arrowsQuery(bowId));
  const kept = arrows.data?.filter((a) => a.kept) ?? [];
  const { dozen } = work;
  const undo = useUndo();
  const enter = useEntryUndo(work, undo);
  const way = ways.find(([w]) => w === search.get('way'))?.[0] ?? 'weigh';
  const kind = search.get('class') ?? (dozen?.check ? (toWeigh(dozen.classes)?.name ?? 'Shaft') : 'check');
  const again = Number(search.get('again')) || null;
  const go = (next: string, of?: string, number?: number) => {
    work.clear();
    setSearch({
      ...(dozen ? { dozen: dozen.id } : {}),
      way: next,
      ...(of ? { class: of } : {}),
      ...(number ? { again: `${number}` } : {}),
    });
  };
  const first = kept[0]?.kept;
  const plan: DozenForm | null =
    planning ??
    (first
      ? {
          arrowVersionId: first.id,
          name: nameFor(first.typed.name, work.lines),
          arrows: '12',
          spares: {},
          classes: first.classes,
          vanesInSets: false,
        }
      : null);
  const begin = async () => {
    if (!plan) return;
    const started = await work.start({
      arrowVersionId: plan.arrowVersionId,
      name: plan.name,
      arrows: Number(plan.arrows) || 0,
      classes: plan.classes,
      spare: 0,
      spares: sparesOf(plan),
      vanesInSets: plan.vanesInSets,
    });
    if (started) {
      setPlanning(null);
      setSearch({ dozen: started.id, way: 'weigh' });
    }
  };
  const act = (action: string | null | undefined) => {
    if (!action || !dozen) return;
    const [what, a, b] = action.split(':');
    if (action.startsWith('check:')) void navigate(`/bows/${bowId}/bow?check=${a}`);
    else if (what === 'weigh') go('weigh', a, Number(b) || undefined);
    else if (what === 'check') go('weigh', 'check');
    else if (what === 'tick') void enter(dozen.id, { ...blank, kind: 'tick', number: Number(a), word: b! });
    else if (what === 'odd') go('weigh', dozen.classes.find((c) => c.pieces.some((p) => p.odd))?.name);
    else if (what === 'match' && way === 'match') matching.current?.requestSubmit();
    else if (what === 'match') go('match');
    else if (what === 'heads') go('heads');
    else if (what === 'tray') go('tray');
    // Also where it is that page already: the next reading has the keys.
    if (['weigh', 'check', 'odd', 'heads'].includes(what!)) setTimeout(focusHome);
  };

  useFaultFocus(work.problem);
  useEscape(planning !== null && Boolean(dozen), () => setPlanning(null));
  const loading = dozen === undefined || !arrows.data;
  const starting = !loading && (!dozen || planning !== null);
  return (
    <Page>
      <ShellHead at="dozen" bowId={bowId} title={starting || loading ? undefined : ways.find(([w]) => w === way)![1]} />
      <Main kind="ways">
        {way !== 'weigh' && !starting && <h1 className="visually-hidden">{ways.find(([w]) => w === way)![1]}</h1>}
        {!dozen && !starting && (
          <Body>
            <Drawn of="dozen" waits />
          </Body>
        )}
        {dozen && !starting && (
          <Ways label="The dozen">
            {ways.map(([name, label]) => (
              <WayLink key={name} to={`?dozen=${dozen.id}&way=${name}`} here={name === way} onClick={work.clear}>
                {label}
              </WayLink>
            ))}
            <WayLink to={`/bows/${bowId}/bow?way=speed&grains=${number(dozen.tray[0]?.total ?? 0, 1)}`}>
              Chronograph
            </WayLink>
          </Ways>
        )}
        {starting && plan && (
          <StartDozen form={plan} kept={kept} lines={work.lines} faults={work.faults} onChange={setPlanning} />
        )}
        {starting && !plan && (
          <Body>
            <Empty of="dozen" title="No arrow is kept yet">
              A dozen is built to a kept arrow: keep one first.
            </Empty>
          </Body>
        )}
        {dozen && !starting && (
          <div className={s.body}>
            <DozenTitle
              key={dozen.id}
              dozen={dozen}
              way={way}
              lines={work.lines}
              faults={work.faults}
              enter={enter}
              onCopy={() => setPlanning(copyOf(dozen, work.lines, kept))}
            />
            {way === 'weigh' && (
              <WeighPane
                key={dozen.id}
                dozen={dozen}
                work={work}
                kind={kind}
                again={again}
                onKind={(k, n) => go('weigh', k, n)}
              />
            )}
            {way === 'spin' && <SpinPane dozen={dozen} work={work} />}
            {way === 'match' && <MatchPane dozen={dozen} work={work} form={matching} />}
            {way === 'tray' && <TrayPane dozen={dozen} work={{ ...work, enter }} />}
            {way === 'workshop' && <WorkshopPane dozen={dozen} work={{ ...work, enter }} />}
            {way === 'heads' && <HeadsPane dozen={dozen} work={work} />}
            {way === 'quiver' && <QuiverPane dozen={dozen} />}
          </div>
        )}
      </Main>
      {!dozen && isMissing(work.unread[1]) ? (
        <Foot
          trouble
          sentence="There is no such dozen."
          reason="The others stand as they are."
          button="To the newest dozen"
          onGo={() => setSearch({})}
        />
      ) : loading ? (
        <OpeningFoot opening="Opening the dozen …" what="The dozen" failed={[...work.unread, arrows.error]} />
      ) : work.problem && !work.asked ? (
        <Foot
          trouble
          sentence={work.unreachable ? 'Not saved: the bench’s server does not answer.' : work.problem.message}
          reason="Nothing that was taken is lost."
          button="I see"
          onGo={() => {
            work.clear();
            work.reread();
          }}
        />
      ) : starting ? (
        plan ? (
          <Foot
            sentence="Say what is built, then weigh the parts."
            reason="Every reading is kept at once, one by one."
            button="Start the dozen"
            busy={work.busy}
            onGo={() => void begin()}
            alternative={dozen ? 'Back' : null}
            onAlternative={() => setPlanning(null)}
          />
        ) : (
          <Foot
            sentence="Build an arrow and keep it."
            reason="A dozen refers to a kept version."
            button="To the arrow"
            onGo={() => void navigate(`/bows/${bowId}/arrow`)}
          />
        )
      ) : (
        <Foot
          sentence={dozen!.next.sentence}
          reason={dozen!.next.reason}
          button={dozen!.next.button}
          busy={work.busy}
          guarded={dozen!.next.action.startsWith('tick') || way === 'weigh'}
          extra={undo.key}
          onGo={() => act(dozen!.next.action)}
          alternative={dozen!.next.alternative ?? 'Another dozen'}
          onAlternative={() => (dozen!.next.alternative ? act(dozen!.next.alternativeAction) : setPlanning(plan))}
        />
      )}
    </Page>
  );
}

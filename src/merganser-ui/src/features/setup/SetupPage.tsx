import { keptAs, readKept } from '../../api/bench';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { OpeningPage } from '../../shell/OpeningPage';
import { ShellHead } from '../../shell/ShellHead';
import { Foot } from '../../shell/Foot';
import { focusSoon } from '../../shell/focus';
import { isPageKey } from '../../shell/keys';
import { bowScope } from '../../api/outbox';
import { useBow } from '../../api/queries';
import { useOutbox } from '../../api/useOutbox';
import { bowWayLabel, BowWays, type BowWay } from '../../shell/BowWays';
import { Main, Page } from '../../parts/Page';
import { classes } from '../../parts/classes';
import { AdjusterColumn } from './AdjusterColumn';
import { CardPane } from './CardPane';
import { CheckPane } from './CheckPane';
import { CrawlsPane } from './CrawlsPane';
import { HistoryPane } from './HistoryPane';
import { SightsPane } from './SightsPane';
import { BoardPane } from './BoardPane';
import { SpeedPane } from './SpeedPane';
import { StringPane } from './StringPane';
import { useSetup, useTroubles, type Check } from './useSetup';
import { WorkOrder } from './WorkOrder';
import s from './SetupPage.module.css';

/** The answer that names who did it. */
const REPAIRED = 'repaired';
const slot = (bowId: string) => keptAs(`checks-${bowId}`);

/** The bow on the bench: a work order of checks, its adjusters, its history and its string. */
export default function SetupPage({ way }: { way: BowWay }) {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const bow = useBow(bowId);
  const work = useSetup(bowId);
  const waits = useOutbox(bowScope(bowId));
  const [typed, setTyped] = useState<Record<string, string>>(() => readTyped(bowId));
  const [open, setOpen] = useState<Schemas['AdjusterKind'] | null>(null);
  const setup = work.setup.data;
  const all = setup ? [...setup.checks, ...setup.followUps] : [];
  const wanted = setup?.next.action.startsWith('check:') ? setup.next.action.slice(6) : null;
  const check = all.find((c) => c.kind === search.get('check')) ?? all.find((c) => c.kind === wanted) ?? all[0];
  const text = check ? (typed[check.kind] ?? check.last?.typed ?? '') : '';
  const [notes, setNotes] = useState<Partial<Record<Check['kind'], string>>>({});
  const note = (check && notes[check.kind]) ?? '';
  const changed = check !== undefined && typed[check.kind] !== undefined && typed[check.kind]!.trim() !== '';

  const type = (kind: Check['kind'], next: string | null) => {
    const rest = { ...typed };
    if (next === null) delete rest[kind];
    else rest[kind] = next;
    localStorage.setItem(slot(bowId), JSON.stringify(rest));
    setTyped(rest);
    if (work.problem) work.clear();
  };
  // A check that was come to because something is wrong leads back there.
  const kept = search.get('trouble');
  const troubles = useTroubles(bowId, kept !== null);
  const trouble = troubles.data?.troubles.find((t) => t.kind === kept);
  const wrong = `/bows/${bowId}/bow?way=wrong&trouble=${kept}`;
  const asked = (kind: Check['kind']) => ({ check: kind, ...(kept && { trouble: kept }) });
  const show = (kind: Check['kind'] | null) => setSearch(kind ? asked(kind) : {});
  const after = (kind: Check['kind']) => {
    const order = setup!.checks;
    const from = order.findIndex((c) => c.kind === kind);
    return (
      order.slice(from + 1).find((c) => c.state === 'open' || c.state === 'again') ??
      order.find((c) => c.kind !== kind && (c.state === 'open' || c.state === 'again'))
    );
  };
  const found = async (entry: Parameters<typeof work.find>[1]) => {
    if (!check || !(await work.find(check.kind, { ...entry, note }))) return;
    type(check.kind, null);
    setNotes((all) => ({ ...all, [check.kind]: '' }));
    // The check stays in view, without another step for Back to take.
    setSearch(asked(check.kind), { replace: true });
    setStay(check.kind);
  };
  // After an entry its verdict is read before the next check comes.
  const [stay, setStay] = useState<string | null>(null);
  const keep = (confirmed = false) => void found({ typed: text, confirmed });
  const next = check ? after(check.kind) : undefined;
  const focusCheck = () => focusSoon('[data-entry] input, [data-choices]');
  const goNext = () => {
    setStay(null);
    show(next?.kind ?? null);
    setTimeout(focusCheck);
  };
  /** Enter in the field: keeps what was typed; once that is kept, it goes on to the next check. */
  const enter = () => {
    if (stay !== check?.kind || changed) keep();
    else if (trouble) void navigate(wrong);
    else if (next) goNext();
    else keep();
  };

  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!isPageKey(event) || way !== 'sheet' || !check) return;
      // A digit picks only while the list of answers has the focus: elsewhere it would record what nobody looked at.
      const listed = (event.target as Element).closest('[data-choices]') !== null;
      const choice = check.quantity || !listed ? undefined : check.choices[Number(event.key) - 1];
      if (choice && choice.code !== REPAIRED) void found({ choice: choice.code });
      else if (choice) focusSoon('[data-entry] [name=repairedBy]');
      if (event.key.toLowerCase() === 'm' && bow.data) setOpen(bow.data.adjusters[0]?.kind ?? null);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  });

  const act = (action: string | null | undefined) => {
    if (action?.startsWith('check:')) show(action.slice(6) as Check['kind']);
    else if (action?.startsWith('done:')) void work.find(action.slice(5) as Check['kind'], { choice: 'done' });
    else if (action === 'string' || action === 'sights') void navigate(`/bows/${bowId}/bow?way=${action}`);
    else if (action) void navigate(`/bows/${bowId}/${action}`);
  };

  if (!setup || !bow.data || !check)
    return <OpeningPage at="bow" bowId={bowId} title={bowWayLabel(way)} failed={[bow.error, work.setup.error]} />;

  const foot = work.unreachable ? (
    <Foot
      trouble
      sentence="Kept here, not yet saved."
      reason="The bench’s server does not answer. What you typed stays in this browser."
      button="Try again"
      busy={work.busy}
      onGo={() => (changed ? keep() : void work.setup.refetch().then(work.clear))}
    />
  ) : work.problem ? (
    <Foot
      trouble
      sentence={work.suspicious ? 'Look at that reading again.' : 'One entry needs another look.'}
      reason={work.problem.message}
      button={work.suspicious ? 'Keep it all the same' : 'I see'}
      onGo={() => (work.suspicious ? keep(true) : work.clear())}
    />
  ) : way === 'sheet' && changed ? (
    <Foot
      sentence={`Keep ${text.trim()} as ${check.title.toLowerCase()}.`}
      reason={setup.practice ?? 'The sheet can be left here and taken up again.'}
      button="Keep it"
      busy={work.busy}
      onGo={() => keep()}
      alternative="Put it back"
      onAlternative={() => type(check.kind, null)}
    />
  ) : way === 'sheet' && stay === check.kind && trouble ? (
    <Foot
      sentence={`Kept. Back to: ${trouble.name.toLowerCase()}.`}
      reason="What is looked at next stands there, in order."
      button="What is next"
      onGo={() => void navigate(wrong)}
    />
  ) : way === 'sheet' && stay === check.kind && next ? (
    <Foot
      sentence={`Go on: ${next.title.toLowerCase()}.`}
      reason={`${setup.checks.length - setup.done} checks stay open. The sheet can be left and taken up again.`}
      button="Next check"
      onGo={goNext}
    />
  ) : way === 'sheet' && setup.next.action === `check:${check.kind}` ? (
    <Foot
      sentence={setup.next.sentence}
      reason={setup.next.reason}
      button={check.quantity ? 'Type it' : 'Pick what you found'}
      onGo={focusCheck}
      alternative={setup.next.alternative}
      onAlternative={() => act(setup.next.alternativeAction)}
    />
  ) : (
    <Foot
      sentence={setup.next.sentence}
      reason={setup.next.reason}
      button={setup.next.button}
      onGo={() => act(setup.next.action)}
      alternative={setup.next.alternative}
      onAlternative={() => act(setup.next.alternativeAction)}
    />
  );

  return (
    <Page>
      <ShellHead at="bow" bowId={bowId} title={way === 'sheet' ? check.title : bowWayLabel(way)} />
      <Main kind="ways">
        <BowWays bowId={bowId} way={way} kind={bow.data.bow.kind} />
        {way !== 'sheet' && way !== 'card' && <h1 className="visually-hidden">{bowWayLabel(way)}</h1>}
        {way === 'sheet' && (
          <div className={s.grid}>
            <WorkOrder
              setup={setup}
              chosen={check.kind}
              onChoose={(kind) => {
                show(kind);
                setTimeout(focusCheck);
              }}
            />
            <CheckPane
              key={check.kind}
              check={check}
              at={setup.checks.indexOf(check) + 1}
              total={setup.checks.length}
              typed={text}
              aperture={setup.aperture}
              work={work}
              kind={bow.data.bow.kind}
              note={note}
              onNote={(next) => setNotes((all) => ({ ...all, [check.kind]: next }))}
              setup={setup}
              waits={waits.findLast((entry) => entry.kind === 'check' && entry.body.includes(`"kind":"${check.kind}"`))}
              back={trouble && <Link to={wrong}>Back to: {trouble.name.toLowerCase()}</Link>}
              onType={(next) => type(check.kind, next)}
              onKeep={keep}
              onEnter={enter}
              onPick={(choice, by) => void found({ choice, typed: by })}
              onSkip={(skipReason) => void found({ skipReason })}
            />
            <AdjusterColumn bow={bow.data} setup={setup} work={work} open={open} onOpen={setOpen} />
          </div>
        )}
        {way === 'history' && (
          <div className={classes(s.grid, s.two)}>
            <HistoryPane bow={bow.data} setup={setup} work={work} />
            <AdjusterColumn bow={bow.data} setup={setup} work={work} open={open} onOpen={setOpen} />
          </div>
        )}
        {way === 'string' && (
          <StringPane
            key={setup.string.plan.checksAt.join()}
            setup={setup}
            work={work}
            compound={bow.data.bow.kind === 'compound'}
          />
        )}
        {way === 'sights' && <SightsPane bowId={bowId} />}
        {way === 'crawls' && <CrawlsPane bowId={bowId} />}
        {way === 'speed' && <SpeedPane key={search.get('grains')} bowId={bowId} grains={search.get('grains')} />}
        {way === 'board' && <BoardPane bowId={bowId} />}
        {way === 'card' && <CardPane bow={bow.data} setup={setup} />}
      </Main>
      {foot}
    </Page>
  );
}

const readTyped = (bowId: string) => readKept<Record<string, string>>(slot(bowId)) ?? {};

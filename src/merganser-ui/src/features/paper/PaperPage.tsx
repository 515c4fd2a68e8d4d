import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { askAgain } from '../../api/connection';
import { bowScope, giveUp, sendAgain, type Entry } from '../../api/outbox';
import { QUEUED } from '../../api/useActs';
import { useOutbox } from '../../api/useOutbox';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape, useFaultFocus } from '../../shell/focus';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { UnsoundFoot } from '../../shell/UnsoundFoot';
import { arrowsQuery, useBow, useDozens } from '../../api/queries';
import { Plain } from '../../parts/Buttons';
import { Empty } from '../../parts/Empty';
import { Main, Page } from '../../parts/Page';
import { classes } from '../../parts/classes';
import { useSize } from '../../parts/useWidth';
import { EarlierPapers } from './EarlierPapers';
import { PastPaper } from './PastPaper';
import { NocksPage } from './NocksPage';
import { seenBeforeYouShoot } from './BeforeYouShoot';
import { freshPlan, PaperPlan, type Plan } from './PaperPlan';
import { saidOf } from './planKinds';
import { PaperSession } from './PaperSession';
import type { Way } from './SessionWays';
import { SheetGrid } from './SheetGrid';
import { SizesPage } from './SizesPage';
import { TargetFace } from './target/TargetFace';
import { isAtTarget } from './stages';
import { usePaperWork } from './usePaperWork';
import { Pane } from './Pane';
import sheet from './Sheet.module.css';
import { TrialPage } from './TrialPage';
import s from './PaperPage.module.css';

/** Paper: plan it, mark shots, read, make one move, shoot again. */
export default function PaperPage({ at = 'paper' }: { at?: 'paper' | 'groups' }) {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const bow = useBow(bowId);
  const work = usePaperWork(bowId);
  const arrows = useQuery(arrowsQuery(bowId));
  const dozens = useDozens(bowId);
  const search = useSearchParams()[0];
  const way = search.get('way');
  const past = search.get('paper');
  const [planning, setPlanning] = useState<Plan | null>(null);
  const begun = useOutbox(bowScope(bowId)).find((entry) => entry.kind === 'paper');
  const kept = arrows.data?.filter((a) => a.kept) ?? [];
  const paper = work.newest.data?.paper ?? undefined;
  const shotAtTarget = isAtTarget(paper?.sets.at(-1));
  const plan: Plan =
    planning ??
    freshPlan(
      (kept.find((a) => a.kept!.id === paper?.arrowVersionId) ?? kept[0])?.kept?.id ?? '',
      at === 'groups' || shotAtTarget,
    );
  // Groups of their own begin beside a paper; a session that is at the target is the same at both stops.
  const beginning = planning !== null || (at === 'groups' && paper !== undefined && !shotAtTarget);
  const toBegin = saidOf(plan.stages);
  const stop = paper && !beginning && shotAtTarget ? 'groups' : at;

  useEscape(planning !== null && paper !== undefined, () => setPlanning(null));
  useFaultFocus(work.problem);

  if (way === 'nocks')
    return (
      <Page>
        <ShellHead at="paper" bowId={bowId} title="Nocks" />
        <NocksPage bowId={bowId} choices={work.choices.data} />
      </Page>
    );

  if (way === 'sizes')
    return (
      <Page>
        <ShellHead at="groups" bowId={bowId} title="How well it is shot" />
        <SizesPage bowId={bowId} />
      </Page>
    );

  if (way === 'trial')
    return (
      <Page>
        <ShellHead at="paper" bowId={bowId} title="Trial of points" />
        <TrialPage
          bowId={bowId}
          onBegun={() => {
            setPlanning(null);
            void work.newest.refetch().then(() => navigate(`/bows/${bowId}/paper`));
          }}
        />
      </Page>
    );

  const here = `/bows/${bowId}/${at}`;
  if (way === 'papers' || (past && past !== paper?.id))
    return (
      <Page>
        <ShellHead at={at} bowId={bowId} title={past ? 'An earlier paper' : 'Papers and groups'} />
        {past ? (
          <PastPaper
            paperId={past}
            onList={() => void navigate(`${here}?way=papers`)}
            onNewest={() => void navigate(here)}
          />
        ) : (
          <EarlierPapers bowId={bowId} onBack={() => void navigate(here)} />
        )}
      </Page>
    );

  if (paper && bow.data && !beginning)
    return (
      <Page>
        <ShellHead at={stop} bowId={bowId} />
        <PaperSession
          key={paper.id}
          paper={paper}
          bow={bow.data}
          work={work}
          arrows={arrows.data ?? []}
          firstWay={way === 'learned' || way === 'ladder' ? (way satisfies Way) : 'reading'}
          go={{
            start: () => void navigate('/'),
            nocks: () => void navigate(`/bows/${bowId}/paper?way=nocks`),
            range: () => void navigate(`/bows/${bowId}/groups?way=range`),
            sizes: () => void navigate(`/bows/${bowId}/groups?way=sizes`),
            papers: () => void navigate(`${here}?way=papers`),
          }}
          onNew={() => setPlanning(plan)}
          goCheck={(kind) => void navigate(`/bows/${bowId}/bow?check=${kind}`)}
        />
      </Page>
    );

  const loading = !work.newest.data || !arrows.data || !bow.data;
  const begin = async () => {
    const started = await work.start(plan);
    if (!started) return;
    seenBeforeYouShoot();
    setPlanning(null);
    // What is marked on a sheet is worked on at the paper's stop, wherever it was planned.
    if (started !== QUEUED && at === 'groups' && !isAtTarget(started.sets.at(-1)))
      void navigate(`/bows/${bowId}/paper`);
  };
  return (
    <Page>
      <ShellHead at={stop} bowId={bowId} />
      <Main className={s.page}>
        <Blank atTarget={plan.stages[0]!.atTarget ?? false} />
        {!loading && kept.length > 0 && (
          <PaperPlan
            plan={plan}
            arrows={arrows.data}
            dozens={dozens.data?.dozens ?? []}
            choices={work.choices.data}
            faults={work.faults}
            onChange={setPlanning}
            trialAt={at === 'paper' ? `${here}?way=trial` : null}
            rangeAt={at === 'groups' ? `${here}?way=range` : null}
          />
        )}
        {!loading && kept.length === 0 && (
          <Pane>
            <Empty of="arrow" title="No arrow is kept yet">
              {at === 'groups' ? 'A group' : 'Paper'} reads a bow with an arrow: build one and keep it first.
            </Empty>
          </Pane>
        )}
      </Main>
      {loading ? (
        <OpeningFoot
          opening="Opening the paper …"
          what="The paper"
          failed={[bow.error, work.newest.error, arrows.error]}
          back={{ to: 'To the rack', go: () => void navigate('/') }}
        />
      ) : bow.data?.unsound ? (
        <UnsoundFoot bowId={bowId} why={bow.data.unsound} />
      ) : kept.length === 0 ? (
        <Foot
          sentence="Build an arrow and keep it."
          reason="What is shot refers to a kept version, so that it can be read again later."
          button="To the arrow"
          onGo={() => void navigate(`/bows/${bowId}/arrow`)}
        />
      ) : begun ? (
        <BegunFoot entry={begun} />
      ) : (
        <Foot
          sentence={work.unreachable ? 'Kept here, not yet saved.' : (work.problem?.message ?? toBegin.sentence)}
          reason={toBegin.reason}
          trouble={work.problem !== null}
          button={toBegin.button}
          busy={work.busy}
          onGo={() => void begin()}
          extra={
            paper && (
              <Plain
                onClick={() => {
                  setPlanning(null);
                  if (at === 'groups' && !shotAtTarget) void navigate(`/bows/${bowId}/paper`);
                }}
              >
                Back to the last {shotAtTarget ? 'groups' : 'paper'}
              </Plain>
            )
          }
        />
      )}
    </Page>
  );
}

/** A paper that was begun while the server is away, or that it refused. */
const BegunFoot = ({ entry }: { entry: Entry }) => (
  <Foot
    trouble
    sentence={entry.refused ? 'Settle what was refused.' : 'Kept here, not yet sent.'}
    reason={entry.refused ?? 'The server lays the sheet out: it is begun by itself once it is back.'}
    button={entry.refused ? 'Send it once more' : 'Ask the server now'}
    onGo={() => void (entry.refused ? sendAgain(entry) : askAgain())}
    alternative="Give it up"
    onAlternative={() => void giveUp(entry.id)}
  />
);

/** Nothing is shot yet: a blank sheet, or a target without a hit, in the room that there is. */
function Blank({ atTarget }: { atTarget: boolean }) {
  const { ref, width, height } = useSize<SVGSVGElement>(620, 530);
  const place = { width, height, cx: width / 2, cy: height / 2 };
  return (
    <svg
      ref={ref}
      className={classes(sheet.sheet, sheet.alone)}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={atTarget ? 'A target without a hit' : 'A blank sheet of paper'}
    >
      {atTarget ? (
        <TargetFace {...place} px={Math.min(width, height) / 18} half={8} />
      ) : (
        <SheetGrid {...place} px={96} />
      )}
    </svg>
  );
}

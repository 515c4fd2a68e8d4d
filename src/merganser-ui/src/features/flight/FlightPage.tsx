import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useBow } from '../../api/queries';
import { Select } from '../../parts/Field';
import { Fault, Note } from '../../parts/Note';
import { Drawn } from '../../parts/Drawn';
import { Empty } from '../../parts/Empty';
import { Body, Main, Page } from '../../parts/Page';
import { WayLink, Ways } from '../../parts/Ways';
import { takeFile } from '../../parts/takeFile';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { ShellHead } from '../../shell/ShellHead';
import { UnsoundFoot } from '../../shell/UnsoundFoot';
import { useFaultFocus } from '../../shell/focus';
import { AimPane } from './AimPane';
import { cardOf } from './cardOf';
import { KnownPane } from './KnownPane';
import { MarksPane } from './MarksPane';
import { RangePane } from './RangePane';
import { SlopesPane } from './SlopesPane';
import { useFlight } from './useFlight';
import s from './FlightPage.module.css';

const shows = ['range', 'marks', 'slopes', 'known'] as const;
type Shown = (typeof shows)[number];

/** How far an arrow is honest, its marks, slopes, and what all of it stands on. */
export default function FlightPage() {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const bow = useBow(bowId);
  const arrow = search.get('arrow') ?? undefined;
  const shown: Shown = shows.find((way) => way === search.get('show')) ?? 'range';
  const work = useFlight(bowId, arrow);
  const [printing, setPrinting] = useState(false);
  useFaultFocus(work.problem);
  const to = (show: Shown, id = arrow) =>
    `/bows/${bowId}/groups?way=range${show === 'range' ? '' : `&show=${show}`}${id ? `&arrow=${id}` : ''}`;
  const { view } = work;
  const names: Record<Shown, string> = {
    range: 'How far',
    marks: view?.hasSight === false ? 'Crawls and gaps' : 'Sight marks',
    slopes: 'Slopes',
    known: 'What it stands on',
  };
  const toArrow = (id: string) => {
    work.setSet(undefined);
    void navigate(to(shown, id), { replace: true });
  };
  const groups = `/bows/${bowId}/groups`;
  const go = (action: string | null | undefined) => {
    if (action === 'arrow') void navigate(`/bows/${bowId}/arrow`);
    else if (action === 'groups') void navigate(groups);
    else if (action === 'card') takeFile(cardOf(bowId, view?.arrowId));
    else {
      setPrinting(action === 'tape');
      void navigate(to('marks'));
    }
  };
  return (
    <Page>
      <ShellHead at="groups" bowId={bowId} title="Range" />
      <Main kind="ways">
        <Ways label="Range">
          {shows.map((way) => (
            <WayLink key={way} to={to(way)} here={way === shown}>
              {names[way]}
            </WayLink>
          ))}
          <WayLink to={`${groups}?way=sizes`}>Sizes</WayLink>
          <WayLink to={groups}>Groups</WayLink>
        </Ways>
        <Body className={s.body}>
          {!view ? (
            <>
              <h1 className="visually-hidden">Range</h1>
              <Drawn of="range" waits />
            </>
          ) : view.arrows.length === 0 ? (
            <Empty of="arrow" title="No arrow is kept yet">
              An arrow flies by its weight, length, vanes and point: build one and keep it first.
            </Empty>
          ) : (
            <>
              {shown !== 'range' && view.arrows.length > 1 && (
                <div className={s.which}>
                  <Select
                    label="Arrow"
                    name="arrow"
                    value={view.arrowId ?? ''}
                    onChange={toArrow}
                    choices={view.arrows.map((a) => ({ value: a.id, label: `${a.name}, version ${a.version}` }))}
                  />
                </div>
              )}
              {shown === 'range' && <RangePane view={view} work={work} onArrow={toArrow} />}
              {shown === 'marks' &&
                (view.hasSight ? (
                  <MarksPane bowId={bowId} view={view} work={work} printing={printing} />
                ) : (
                  <AimPane bowId={bowId} view={view} />
                ))}
              {shown === 'slopes' && <SlopesPane bowId={bowId} view={view} />}
              {shown === 'known' && <KnownPane view={view} work={work} />}
              {view.cautions.map((words) => (
                <Note key={words} word="Mind.">
                  {words}
                </Note>
              ))}
              {work.problem && Object.keys(work.faults).length === 0 && <Fault>{work.problem.message}</Fault>}
            </>
          )}
        </Body>
      </Main>
      {bow.data?.unsound ? (
        <UnsoundFoot bowId={bowId} why={bow.data.unsound} />
      ) : !view ? (
        <OpeningFoot
          opening="Following the arrow …"
          what="The range"
          failed={[work.failed]}
          back={{ to: 'Back to the groups', go: () => void navigate(groups) }}
        />
      ) : (
        <Foot
          sentence={view.next.sentence}
          reason={view.next.reason}
          button={view.next.button}
          onGo={() => go(view.next.action)}
          alternative={view.next.alternative}
          onAlternative={() => go(view.next.alternativeAction)}
        />
      )}
    </Page>
  );
}

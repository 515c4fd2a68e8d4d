import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Drawn } from '../../parts/Drawn';
import { FileLink, Plain } from '../../parts/Buttons';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Body, Main, Page } from '../../parts/Page';
import { WayKey, Ways } from '../../parts/Ways';
import { Photographs } from '../../pictures/Photographs';
import { isMissing } from '../../api/client';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape } from '../../shell/focus';
import { dayOf, shortDay } from '../../units/days';
import w from '../../parts/words.module.css';
import { takeFile } from '../../parts/takeFile';
import { FoundTable } from './FoundTable';
import { BeginPane, HandOverPane } from './HandOverPane';
import { OwnerPane } from './OwnerPane';
import { PartsPane } from './PartsPane';
import { useVisits, type Visit } from './useVisits';
import s from './Visit.module.css';

type Show = 'found' | 'parts' | 'handover' | 'begin' | 'owner';

/** A bow at the bench of a shop or a club: as found, what was done, parts, and what goes home with it. */
export default function VisitPage() {
  const bowId = useParams().bowId!;
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const visitId = search.get('visit');
  const work = useVisits(bowId, visitId);
  const { view } = work;
  const visit = view?.shown ?? null;
  const show = (search.get('show') ?? (view && !visit ? 'begin' : 'found')) as Show;
  const go = (show: Show | null, visit = visitId) => {
    work.clear();
    setSearch({ ...(visit ? { visit } : {}), ...(show && show !== 'found' ? { show } : {}) });
  };
  useEscape((show === 'begin' && visit !== null) || show === 'owner', () => go(null));
  const act = (action: string | null | undefined) => {
    if (action === 'begin') go('begin');
    else if (action === 'handover') go('handover');
    else if (action === 'card' && visit) takeFile(`/api/bows/${bowId}/visits/${visit.line.id}/card.pdf`);
    else if (action?.startsWith('stop:')) void navigate(`/bows/${bowId}/${action.slice('stop:'.length)}`);
  };
  return (
    <Page>
      <ShellHead at={null} bowId={bowId} title="Visit" />
      <Main kind="ways">
        <div className={s.bar}>
          <Ways beside label="Visits of this bow">
            {view?.visits.map((one) => (
              <WayKey
                key={one.id}
                aria-pressed={one.id === visit?.line.id && show !== 'begin'}
                onClick={() => go(null, one.id)}
              >
                Visit {one.number}, {one.handedOverAt ? shortDay(one.arrivedAt) : 'open'}
              </WayKey>
            ))}
            {view && view.visits.every((one) => one.handedOverAt !== null) && (
              <WayKey aria-pressed={show === 'begin'} onClick={() => go('begin')}>
                Begin a visit
              </WayKey>
            )}
          </Ways>
          <span className={s.far}>
            {view && <Plain onClick={() => go('owner')}>To the next owner</Plain>}
            <Link to="/visits">All visits</Link>
          </span>
        </div>
        <Body className={s.body}>
          {!view && <Drawn of="visit" waits />}
          {view &&
            (show === 'owner' ? (
              <OwnerPane view={view} work={work} onDone={() => go(null)} />
            ) : show === 'begin' || !visit ? (
              <BeginPane work={work} onBegun={(id) => go(null, id)} onLeave={visit ? () => go(null) : undefined} />
            ) : (
              <div className={s.page}>
                <div className={s.left}>
                  <Title visit={visit} bowId={bowId} />
                  <FoundTable visit={visit} />
                  <Photographs key={visit.line.id} bowId={bowId} of="visit" ofId={visit.line.id} />
                </div>
                <div className={s.right}>
                  <ChoiceRow<Show>
                    label="What of the visit"
                    value={show}
                    onChange={(to) => go(to)}
                    choices={[
                      ['found', 'What was done'],
                      ['parts', `Parts ${visit.lines.length}`],
                      ['handover', 'Take home'],
                    ]}
                  />
                  {show === 'parts' ? (
                    <PartsPane visit={visit} view={view} work={work} />
                  ) : show === 'handover' ? (
                    <HandOverPane bowId={bowId} visit={visit} work={work} />
                  ) : (
                    <DonePane visit={visit} bowId={bowId} />
                  )}
                </div>
              </div>
            ))}
        </Body>
      </Main>
      {!view && isMissing(work.failed) ? (
        <Foot
          trouble
          sentence="There is no such visit."
          reason="The others stand as they are."
          button="To the bow’s visits"
          onGo={() => setSearch({})}
        />
      ) : !view ? (
        <OpeningFoot opening="Opening the visits …" what="The visits" failed={[work.failed]} />
      ) : (
        <Foot
          sentence={view.next.sentence}
          reason={view.next.reason}
          button={view.next.button}
          guarded={show !== 'found'}
          onGo={() => act(view.next.action)}
          alternative={view.next.alternative}
          onAlternative={() => act(view.next.alternativeAction)}
        />
      )}
    </Page>
  );
}

function Title({ visit, bowId }: { visit: Visit; bowId: string }) {
  const { line, since, lastLeft } = visit;
  return (
    <>
      <h1>
        Visit {line.number}
        {line.wants && <span className={s.wants}>“{line.wants}”</span>}
      </h1>
      <p className={w.muted}>
        {line.owner}’s. It came {dayOf(line.arrivedAt)}
        {line.handedOverAt ? ` and left ${dayOf(line.handedOverAt)}` : ' and is at the bench'}.{' '}
        <FileLink href={`/api/bows/${bowId}/visits/${line.id}/sheet.pdf`} download>
          The whole sheet (PDF)
        </FileLink>
      </p>
      {since.length > 0 && lastLeft && (
        <p data-testid="since">
          Since it left on {dayOf(lastLeft)}, before it came:{' '}
          {since.map((row) => `${row.name} ${row.then} → ${row.now}`).join('; ')}.
        </p>
      )}
    </>
  );
}

/** What was found and done while it was here, the newest first. */
function DonePane({ visit, bowId }: { visit: Visit; bowId: string }) {
  return (
    <section aria-label="What was found and done" data-testid="done">
      {visit.events.length === 0 ? (
        <p className={w.muted}>
          Nothing yet. Whatever is checked, moved, shot or noted from now on stands here by itself.
        </p>
      ) : (
        <ol className={s.events}>
          {visit.events.map((happened) => (
            <li key={happened.id}>
              <span className={w.tabular}>
                {shortDay(happened.at)},{' '}
                {new Date(happened.at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })}
              </span>
              {happened.opens ? (
                <Link to={`/bows/${bowId}/${happened.opens}`}>{happened.words}</Link>
              ) : (
                <b>{happened.words}</b>
              )}
              {(happened.beside || happened.note) && (
                <span className={w.muted}>{[happened.beside, happened.note].filter(Boolean).join('. ')}</span>
              )}
            </li>
          ))}
        </ol>
      )}
    </section>
  );
}

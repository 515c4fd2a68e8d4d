import { Link, useNavigate, useSearchParams } from 'react-router';
import { useRack } from '../../api/queries';
import { guideShapes } from '../../drawing/guide';
import { Body, Main, Page } from '../../parts/Page';
import { Note } from '../../parts/Note';
import { WayLink, Ways } from '../../parts/Ways';
import { Foot } from '../../shell/Foot';
import { ShellHead } from '../../shell/ShellHead';
import w from '../../parts/words.module.css';
import { FIRST, guides, type Guide } from './guides';
import s from './GuidePage.module.css';

/** The job in a few steps, for each of five people. */
export default function GuidePage() {
  const navigate = useNavigate();
  const rack = useRack();
  const [search] = useSearchParams();
  const guide = guides.find((one) => one.name === search.get('for')) ?? guides[0]!;
  const bow = rack.data?.nextBow ?? rack.data?.bows[0]?.id;
  const way = (to: string) =>
    to === FIRST ? (bow ? '/bows/new' : '/') : to.startsWith('/') ? to : bow ? `/bows/${bow}/${to}` : '/';
  const first = guide.steps.find((step) => step.to)!;
  return (
    <Page>
      <ShellHead at={null} title="Guide" />
      <Main kind="ways">
        <Ways label="For whom">
          {guides.map((one) => (
            <WayLink key={one.name} to={`/guide?for=${one.name}`} here={one === guide}>
              {one.who}
            </WayLink>
          ))}
        </Ways>
        <Body className={s.body}>
          <div className={s.title} data-testid="guide">
            <GuideDrawing of={guide.name} />
            <div>
              <h1>{guide.who}</h1>
              <p className={s.wants}>{guide.wants}</p>
            </div>
          </div>
          <ol className={s.steps}>
            {guide.steps.map((step, at) => (
              <li key={step.does}>
                <span className={s.number} aria-hidden="true">
                  {at + 1}
                </span>
                <div>
                  <p className={s.does}>{step.does}</p>
                  <p className={w.muted}>{step.says}</p>
                </div>
                {step.to && (
                  <Link className={s.to} to={way(step.to)}>
                    {step.key}
                  </Link>
                )}
              </li>
            ))}
          </ol>
          <Note word="Left alone.">{guide.leaves}</Note>
          <p className={s.more}>
            <Link to="/glossary">Words of the trade</Link> <Link to="/copies">Data and copies</Link>
          </p>
        </Body>
      </Main>
      <Foot
        sentence={first.does}
        reason={first.says}
        button={first.key!}
        busy={!rack.data}
        onGo={() => void navigate(way(first.to!))}
        alternative="Back"
        onAlternative={() => void navigate(-1)}
      />
    </Page>
  );
}

const GuideDrawing = ({ of }: { of: Guide['name'] }) => {
  const { thin, ink, red } = guideShapes[of];
  return (
    <svg className={s.drawing} viewBox="0 0 132 84" aria-hidden="true" fill="none" strokeLinecap="round">
      <path d={thin} stroke="var(--ink2)" />
      <path d={ink} stroke="var(--ink)" strokeWidth="2.5" />
      <path d={red} stroke="var(--crest)" strokeWidth="2.5" />
    </svg>
  );
};

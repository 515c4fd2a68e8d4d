import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ShellHead } from '../../shell/ShellHead';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { Unreachable, type Schemas } from '../../api/client';
import { useRack } from '../../api/queries';
import { Drawn } from '../../parts/Drawn';
import { Key } from '../../parts/Buttons';
import { classes } from '../../parts/classes';
import { Note } from '../../parts/Note';
import { HungBow } from './HungBow';
import { RackRail } from './RackRail';
import { RackRows, WhichBows, type Which } from './RackRows';
import { Main, Page } from '../../parts/Page';
import { FindLine } from '../../parts/TextLine';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './StartPage.module.css';

/** More than so many bows hang as rows. */
const MOST_HUNG = 5;

/** The rack: every bow with its state and its next step. */
export function StartPage() {
  const rack = useRack();
  const navigate = useNavigate();
  const [find, setFind] = useState('');
  const [which, setWhich] = useState<Which>('all');
  const bows = rack.data?.bows ?? [];
  const wanted = find.trim().toLowerCase();
  const shown = bows.filter((b) => `${b.name} ${b.archerName} ${b.line}`.toLowerCase().includes(wanted));
  const next = rack.data?.next;
  const many = bows.length > MOST_HUNG;
  const pegs = new Map(bows.map((bow, i) => [bow.id, i + 1]));
  const go = (action: string | null | undefined) => {
    const first = rack.data?.nextBow;
    void navigate(action === 'newBow' || !first ? '/bows/new' : `/bows/${first}/${action}`);
  };
  const open = (bow: Schemas['RackBow']) => void navigate(`/bows/${bow.id}/${bow.nextStop}`);
  return (
    <Page>
      <ShellHead at="start" bowId={bows.length === 1 ? bows[0]!.id : undefined} />
      <Main>
        <div className={classes(l.title, s.title)}>
          <h1>The rack</h1>
          {many ? (
            <WhichBows of={shown} value={which} onChange={setWhich} />
          ) : (
            <p className={w.muted}>
              {rack.data &&
                (bows.length === 0
                  ? 'No bow hangs here yet.'
                  : 'The string is the gauge: dark part shot, a cross where a check falls.')}
            </p>
          )}
          {bows.length > 3 && (
            <FindLine
              className={l.far}
              label="Find a bow or an archer"
              placeholder="find a bow"
              value={find}
              onChange={setFind}
            />
          )}
        </div>
        {/* Nothing hangs there before it is known how much room the title takes: nothing shifts. */}
        {rack.data && <div className={s.bar} aria-hidden="true" />}
        {!rack.data ? (
          <Drawn of="rack" waits />
        ) : many ? (
          <>
            <RackRail pegs={pegs} bows={bows} next={rack.data.nextBow} />
            <RackRows pegs={pegs} shown={shown} which={which} onGo={open} />
          </>
        ) : (
          <ul className={s.rack} data-testid="rack" aria-label="Bows">
            {shown.map((bow) => (
              <HungBow key={bow.id} bow={bow} onGo={() => open(bow)} />
            ))}
            {bows.length < MOST_HUNG && <EmptyPeg onEnter={() => void navigate('/bows/new')} />}
          </ul>
        )}
        {rack.data && bows.length > 0 && shown.length === 0 && (
          <p className={s.none}>No bow and no archer is called so. {bows.length} hang here.</p>
        )}
        {rack.data?.unreadable.map((line) => (
          <Note key={line} word="Not read.">
            {line}
          </Note>
        ))}
        {(rack.data?.archived.length ?? 0) > 0 && (
          <p className={s.off}>
            Off the rack:{' '}
            {rack.data!.archived.map((bow) => (
              <Link key={bow.id} to={`/bows/${bow.id}/bow?way=measures`}>
                {bow.name}
              </Link>
            ))}
          </p>
        )}
        {/* Below the rack: while that is read it would stand in its place, and go. */}
        {(rack.data || rack.isError) && (
          <p className={s.off}>
            {bows.length > 0 && (
              <>
                <Link to="/plan">Plan</Link>
                <Link to="/range-day">Range day</Link>
                <Link to="/visits">Visits</Link>
              </>
            )}
            <Link to="/guide">Guide</Link>
            <Link to="/copies">Data and copies</Link>
          </p>
        )}
      </Main>
      {next ? (
        <Foot
          key="next"
          sentence={next.sentence}
          reason={next.reason}
          button={next.button}
          onGo={() => go(next.action)}
          alternative={next.alternative}
          onAlternative={() => go(next.alternativeAction)}
        />
      ) : rack.error instanceof Unreachable ? (
        <Foot
          key="away"
          trouble
          sentence="The bench’s server does not answer."
          reason="Nothing is lost. Start it again with ./merganser start."
          button="Try again"
          onGo={() => void rack.refetch()}
        />
      ) : (
        <OpeningFoot opening="Opening the rack …" what="The rack" failed={[rack.error]} />
      )}
    </Page>
  );
}

function EmptyPeg({ onEnter }: { onEnter: () => void }) {
  return (
    <li className={s.empty}>
      <div className={s.peg}>
        <svg width="180" height="360" viewBox="0 0 100 200" role="img" aria-label="An empty peg">
          <path
            d="M24 6 C46 40 58 70 58 90 V110 C58 130 46 160 24 194 Z"
            fill="none"
            stroke="var(--edge)"
            strokeDasharray="4 4"
          />
        </svg>
      </div>
      <h2>An empty peg</h2>
      <p className={w.muted}>Draw weight, draw length and brace height are enough to start.</p>
      <Key className={s.next} onClick={onEnter}>
        Enter a bow
      </Key>
    </li>
  );
}

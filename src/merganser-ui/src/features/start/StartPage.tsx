import { ButtonBase } from '@mui/material';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { ShellHead } from '../../shell/ShellHead';
import { BowDrawing } from '../../parts/BowDrawing';
import { Foot } from '../../shell/Foot';
import { useRack } from '../../api/queries';
import './start.css';

/** The rack: every bow with its state and its next step. */
export function StartPage() {
  const rack = useRack();
  const navigate = useNavigate();
  const [find, setFind] = useState('');
  const bows = rack.data?.bows ?? [];
  const wanted = find.trim().toLowerCase();
  const shown = bows.filter((b) => `${b.name} ${b.archerName} ${b.line}`.toLowerCase().includes(wanted));
  const next = rack.data?.next;
  const go = (action: string | null | undefined) => {
    const first = bows.find((b) => b.nextStop === action) ?? bows[0];
    void navigate(action === 'newBow' || !first ? '/bows/new' : `/bows/${first.id}/${action}`);
  };
  return (
    <div className="page">
      <ShellHead at="start" bowId={bows.length === 1 ? bows[0]!.id : undefined} />
      <main className="thing">
        <div className="rack-title">
          <h1>The rack</h1>
          <p className="muted">
            {bows.length === 0 ? 'No bow hangs here yet.' : 'Each bow with how it stands and what is next.'}
          </p>
          {bows.length > 3 && (
            <input
              className="name-input"
              data-find
              aria-label="Find a bow or an archer"
              placeholder="find a bow"
              value={find}
              onChange={(event) => setFind(event.target.value)}
            />
          )}
        </div>
        <div className="rack-bar" aria-hidden="true" />
        <ul className="rack">
          {shown.map((bow) => (
            <li key={bow.id}>
              <div className="peg">
                <BowDrawing kind={bow.kind} hand={bow.hand} height={360} />
              </div>
              <h2>{bow.name}</h2>
              <p className="muted">
                {bow.line}
                <br />
                {bow.archerName}
              </p>
              <p className={bow.unsound ? 'state caution' : 'state'} role={bow.unsound ? 'note' : undefined}>
                {bow.state}
              </p>
              <ButtonBase className="key" onClick={() => void navigate(`/bows/${bow.id}/${bow.nextStop}`)}>
                {bow.nextWords}
              </ButtonBase>
            </li>
          ))}
          <li>
            <div className="peg">
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
            <p className="muted">Draw weight, draw length and brace height are enough to start.</p>
            <ButtonBase className="key" onClick={() => void navigate('/bows/new')}>
              Enter a bow
            </ButtonBase>
          </li>
        </ul>
        {rack.data?.unreadable.map((line) => (
          <p key={line} className="caution" role="note">
            <span>
              <b>Not read.</b>
              {line}
            </span>
          </p>
        ))}
        {(rack.data?.archived.length ?? 0) > 0 && (
          <p className="off-rack">
            Off the rack:{' '}
            {rack.data!.archived.map((bow) => (
              <Link key={bow.id} to={`/bows/${bow.id}/bow?way=measures`}>
                {bow.name}
              </Link>
            ))}
          </p>
        )}
      </main>
      {next ? (
        <Foot
          sentence={next.sentence}
          reason={next.reason}
          button={next.button}
          onGo={() => go(next.action)}
          alternative={next.alternative}
          onAlternative={() => go(next.alternativeAction)}
        />
      ) : (
        <Foot
          sentence={rack.isError ? 'The bench’s server does not answer.' : 'Opening the rack …'}
          reason={rack.isError ? 'Nothing is lost. Start it again with ./merganser start.' : ''}
          button={rack.isError ? 'Try again' : 'Wait'}
          trouble={rack.isError}
          onGo={() => void rack.refetch()}
        />
      )}
    </div>
  );
}

import { ButtonBase } from '@mui/material';
import { useEffect, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { Popover } from '../parts/Popover';
import type { Schemas } from '../api/client';
import { savedTheme, themes, themeWords, wearTheme } from '../parts/theme';
import { BowDrawing } from '../parts/BowDrawing';
import { useRack } from '../api/queries';
import { Mark } from './Mark';
import { isPageKey } from './keys';
import { KeySheet } from './KeySheet';
import { ToolKey } from './ToolKey';
import { UnitsKey } from './UnitsKey';
import l from '../parts/layout.module.css';
import s from './ShellHead.module.css';

export type StopName = 'start' | 'bow' | 'arrow' | 'dozen' | 'paper' | 'groups' | 'story';

const stops: { name: StopName; label: string; key: string }[] = [
  { name: 'start', label: 'Start', key: 's' },
  { name: 'bow', label: 'Bow', key: 'b' },
  { name: 'arrow', label: 'Arrow', key: 'a' },
  { name: 'dozen', label: 'Dozen', key: 'd' },
  { name: 'paper', label: 'Paper', key: 'p' },
  { name: 'groups', label: 'Groups', key: 'g' },
  { name: 'story', label: 'Story', key: 'l' },
];

export const isStop = (name: string | undefined): name is StopName => stops.some((stop) => stop.name === name);

const way = (stop: StopName, bowId: string | undefined) =>
  stop === 'start' ? '/' : bowId ? `/bows/${bowId}/${stop}` : '/bows/new';

export function ShellHead({ at, bowId, title }: { at: StopName | null; bowId?: string; title?: string }) {
  const rack = useRack();
  const bow = rack.data?.bows.find((b) => b.id === bowId);
  const navigate = useNavigate();
  const view = title ?? stops.find((s) => s.name === at)?.label ?? 'Words';
  useEffect(() => {
    document.title = [view, bow?.name, 'Merganser'].filter(Boolean).join(', ');
  }, [view, bow?.name]);
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (!isPageKey(event)) return;
      if (event.key === '/') {
        const find = document.querySelector<HTMLInputElement>('[data-find]');
        if (find) {
          event.preventDefault();
          find.focus();
        }
      }
      const stop = stops.find((s) => s.key === event.key.toLowerCase());
      if (stop) void navigate(way(stop.name, bowId));
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [bowId, navigate]);
  return (
    <header className={s.head}>
      <Link className={s.mark} to="/" aria-label="Merganser, to the rack">
        <Mark />
      </Link>
      <ButtonBase className={s.bow} component={Link} to="/">
        {bow ? (
          <>
            <BowDrawing kind={bow.kind} hand={bow.hand} height={46} thin />
            <span>
              <b>{bow.name}</b>
              {bow.unsound ? (
                <em className={s.unsound}>do not shoot it</em>
              ) : (
                <span className={s.line}>{bow.line.split(',').slice(0, 2).join(',').toLowerCase()}</span>
              )}
            </span>
          </>
        ) : (
          <span>
            <b>No bow in hand</b>
            <span className={s.line}>press to see the rack</span>
          </span>
        )}
      </ButtonBase>
      <nav className={s.rule} aria-label="The job, in order">
        <svg className={s.ticks} aria-hidden="true" preserveAspectRatio="none">
          <line x1="0" x2="100%" y1="0.5" y2="0.5" stroke="var(--edge)" strokeDasharray="2 9" strokeWidth="6" />
        </svg>
        {stops.map((stop) => (
          <Link
            key={stop.name}
            className={s.stop}
            to={way(stop.name, bowId)}
            aria-current={stop.name === at ? 'page' : undefined}
          >
            {stop.label}
            <small>{stateOf(rack.data, bow, stop.name)}</small>
          </Link>
        ))}
      </nav>
      <MiniRule at={at} view={view} bowId={bowId} rack={rack.data} bow={bow} />
      <div className={s.tools}>
        <ThemeKey />
        {bowId && <UnitsKey bowId={bowId} />}
        <KeySheet />
      </div>
    </header>
  );
}

interface MiniProps {
  at: StopName | null;
  /** What the page is called. */
  view: string;
  bowId?: string;
  rack: Schemas['RackView'] | undefined;
  bow: Schemas['RackBow'] | undefined;
}

/** The rule where there is no room for it: the present stop, and the list of stops behind it. */
function MiniRule({ at, view, bowId, rack, bow }: MiniProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <div className={s.mini}>
      <ButtonBase
        className={s.present}
        data-testid="stops"
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {stops.find((s) => s.name === at)?.label ?? view}
        <svg width="12" height="8" aria-hidden="true">
          <path d="M1 1l5 6 5-6" fill="none" stroke="var(--ink)" strokeWidth="2" />
        </svg>
      </ButtonBase>
      <Popover anchor={anchor} onClose={() => setAnchor(null)} label="The job, in order" at="belowRight">
        <nav className={s.stops} aria-label="The job, in order">
          {stops.map((stop) => (
            <Link
              key={stop.name}
              to={way(stop.name, bowId)}
              aria-current={stop.name === at ? 'page' : undefined}
              onClick={() => setAnchor(null)}
            >
              {stop.label} <small>{stateOf(rack, bow, stop.name)}</small>
            </Link>
          ))}
          <Link to="/guide" onClick={() => setAnchor(null)}>
            A guide
          </Link>
          <Link to="/glossary" onClick={() => setAnchor(null)}>
            Words of the trade
          </Link>
        </nav>
        <div className={l.row}>
          <ThemeKey />
          {bowId && <UnitsKey bowId={bowId} />}
        </div>
      </Popover>
    </div>
  );
}

function stateOf(rack: Schemas['RackView'] | undefined, bow: Schemas['RackBow'] | undefined, stop: StopName): string {
  if (!rack) return '…';
  if (bow) return bow.stops.find((s) => s.name === stop)?.state ?? '';
  return stop === 'start' ? (rack.bows[0]?.stops.find((s) => s.name === 'start')?.state ?? 'empty') : '';
}

function ThemeKey() {
  const [theme, setTheme] = useState(savedTheme);
  const following = themes[(themes.indexOf(theme) + 1) % themes.length]!;
  return (
    <ToolKey
      aria-label={`Theme: ${themeWords[theme]}. Change to ${themeWords[following]}`}
      onClick={() => {
        wearTheme(following);
        setTheme(following);
      }}
    >
      <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
        <circle cx="10" cy="10" r="8" fill="none" stroke="var(--ink)" strokeWidth="2" />
        <path d={theme === 'sun' ? 'M10 6a4 4 0 110 8 4 4 0 010-8' : 'M10 2a8 8 0 000 16z'} fill="var(--ink)" />
      </svg>
    </ToolKey>
  );
}

import { percent } from '../../units/units';
import { ButtonBase } from '@mui/material';
import { useEffect, useRef } from 'react';
import type { Paper } from './paperTypes';
import type { Kinds } from './usePaperWork';
import s from './StageRail.module.css';

/** How a stage stands: its chance, or the hits where there is none. */
const standing = ({ chance, atTarget, shots }: Paper['plan']['stages'][number]) =>
  chance !== null ? `${percent(chance)} in` : atTarget && shots > 0 ? `${shots} hits` : 'not yet';

/** The stages of the plan on a rail, the pointer at the one in work, each with how it stands. */
export function StageRail({ paper, onGo }: { paper: Paper; onGo: (stage: Kinds & { distance: number }) => void }) {
  const rail = useRef<HTMLOListElement>(null);
  const at = paper.plan.stages.findIndex((stage) => stage.inWork);
  useEffect(() => {
    // The stage in work is in sight, with the one before it.
    const before = rail.current?.children[Math.max(0, at - 1)] as HTMLElement | undefined;
    if (rail.current && before) rail.current.scrollLeft = before.offsetLeft;
  }, [at]);
  return (
    <ol ref={rail} className={s.rail} data-testid="stages" aria-label="Stages">
      {paper.plan.stages.map((stage) => (
        <li key={stage.words}>
          <ButtonBase className={s.stage} onClick={() => onGo(stage)} aria-current={stage.inWork ? 'step' : undefined}>
            <svg width="30" height="29" viewBox="0 2 30 29" aria-hidden="true">
              {stage.inWork && <path d="M15 12l-7 -11h14z" fill="var(--bill)" />}
              <path d="M0 22h30" stroke="var(--edge)" strokeWidth="1.5" />
              <circle
                cx="15"
                cy="22"
                r={stage.inWork ? 8 : 6}
                fill={stage.chance !== null && stage.chance > 0.9 ? 'var(--green)' : 'var(--bench)'}
                stroke="var(--ink)"
                strokeWidth={stage.inWork ? 3 : 1.5}
                strokeDasharray={stage.planned ? undefined : '3 2'}
              />
            </svg>
            <b>{stage.words}</b> <small>{standing(stage)}</small>
          </ButtonBase>
        </li>
      ))}
    </ol>
  );
}

import { ButtonBase } from '@mui/material';
import { BowDrawing } from '../../parts/BowDrawing';
import { classes } from '../../parts/classes';
import { isDue, type RackBow } from './RackRows';
import s from './RackRail.module.css';

interface Props {
  pegs: Map<string, number>;
  bows: RackBow[];
  /** The one that is next. */
  next: string | null | undefined;
}

/** Goes to a bow's row: its key has the focus. */
function toRow(bow: RackBow) {
  const row = document.querySelector(`[data-testid="rack"] [data-bow="${bow.id}"]`);
  row?.scrollIntoView({ block: 'nearest' });
  row?.querySelector<HTMLElement>('button')?.focus();
}

/** Every bow on its peg, as they hang: two bars under what is due, a pointer over what is next. */
export const RackRail = ({ pegs, bows, next }: Props) => (
  <ol className={s.rail} aria-label="Pegs">
    {bows.map((bow) => (
      <li key={bow.id}>
        <ButtonBase
          className={classes(s.peg, isDue(bow) && s.due)}
          onClick={() => toRow(bow)}
          aria-label={`${pegs.get(bow.id)}, ${bow.name}${isDue(bow) ? ', something is due' : ''}, to its row`}
        >
          <i className={classes(s.hook, bow.id === next && s.next)} aria-hidden="true" />
          <span aria-hidden="true">
            <BowDrawing kind={bow.kind} hand={bow.hand} height={92} shots={bow.string} />
          </span>
          <i className={s.bars} aria-hidden="true" />
          <span>{pegs.get(bow.id)}</span>
        </ButtonBase>
      </li>
    ))}
  </ol>
);

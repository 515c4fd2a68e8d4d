import { Link } from 'react-router';
import { Plain } from '../../parts/Buttons';
import { Photographs } from '../../pictures/Photographs';
import { Table } from '../../parts/Table';
import { dayOf } from '../../units/days';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import type { Happened } from './useStory';
import s from './Story.module.css';

const time = (at: string) => new Date(at).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' });

interface Props {
  bowId: string;
  happened: Happened;
  onBack: () => void;
  onTakeBack: () => void;
}

/** One thing that happened, opened over the answers. */
export const EventPane = ({ bowId, happened, onBack, onTakeBack }: Props) => (
  <section aria-label="What happened" data-testid="happened">
    <p className={w.muted}>
      {dayOf(happened.at)}, {time(happened.at)}
      {happened.shots > 0 && `, ${happened.shots} shots on the string`}
    </p>
    <h1>{happened.words}</h1>
    {happened.beside && <p>{happened.beside}</p>}
    {happened.note && happened.note !== happened.words && <blockquote className={s.note}>{happened.note}</blockquote>}
    {happened.details.length > 0 && (
      <Table kind="card">
        <tbody>
          {happened.details.map((detail, i) => (
            <tr key={i}>
              <td className={w.muted}>{detail.name}</td>
              <td>{detail.told}</td>
            </tr>
          ))}
        </tbody>
      </Table>
    )}
    {happened.picturedAs ? (
      <Photographs key={happened.id} bowId={bowId} of={happened.picturedAs} ofId={happened.id} />
    ) : (
      happened.pictures.length > 0 && (
        <Photographs key={happened.id} bowId={bowId} of="bow" ofId={null} only={happened.pictures} />
      )
    )}
    <div className={l.row}>
      {happened.opens && (
        <Link className={s.open} to={`/bows/${bowId}/${happened.opens}`}>
          Open it as it was
        </Link>
      )}
      {happened.mayBeTakenBack && <Plain onClick={onTakeBack}>Put this note in the bin</Plain>}
      <Plain onClick={onBack}>Back to what changed</Plain>
    </div>
  </section>
);

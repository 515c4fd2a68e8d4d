import { useState } from 'react';
import { FileLink, Key, Plain } from '../../parts/Buttons';
import { DayField } from '../../parts/DayField';
import { Fault } from '../../parts/Note';
import { TextLine } from '../../parts/TextLine';
import { dayOf } from '../../units/days';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import type { Visit, VisitWork } from './useVisits';
import s from './Visit.module.css';

/** The card that goes home with the bow, and the hand-over itself. */
export function HandOverPane({ bowId, visit, work }: { bowId: string; visit: Visit; work: VisitWork }) {
  const [watch, setWatch] = useState('');
  const [nextOn, setNextOn] = useState('');
  const { handOver, line } = visit;
  const open = line.handedOverAt === null;
  const files = `/api/bows/${bowId}/visits/${line.id}`;
  return (
    <section aria-label="To take home" data-testid="hand-over">
      <h2>What was done</h2>
      {handOver.done.length === 0 ? (
        <p className={w.muted}>Nothing on record was changed yet.</p>
      ) : (
        <ul className={s.plain}>
          {handOver.done.map((done) => (
            <li key={done}>{done}</li>
          ))}
        </ul>
      )}
      <h2>Watch at home</h2>
      <ul className={s.plain}>
        {visit.watch && (
          <li>
            <b>{visit.watch}</b>
          </li>
        )}
        {handOver.watch.map((watch) => (
          <li key={watch}>{watch}</li>
        ))}
      </ul>
      <h2>Always</h2>
      <ul className={s.plain}>
        {handOver.cautions.map((caution) => (
          <li key={caution}>{caution}</li>
        ))}
      </ul>
      {open ? (
        <form
          className={s.form}
          aria-label="Hand it over"
          onSubmit={(event) => {
            event.preventDefault();
            void work.handOver(line.id, watch, nextOn);
          }}
        >
          <TextLine
            label="Watch at home, in your own words"
            placeholder="what else to watch, in your own words"
            name="watch"
            wide
            maxLength={300}
            value={watch}
            onChange={(text) => {
              work.clear();
              setWatch(text);
            }}
          />
          <DayField
            label="Next visit"
            name="nextOn"
            value={nextOn}
            onChange={(day) => {
              work.clear();
              setNextOn(day);
            }}
            fault={work.faults.nextOn?.[0]}
            hint="goes on the plan; may stay empty"
          />
          {work.problem && !work.faults.nextOn && <Fault>{work.problem.message}</Fault>}
          <div className={l.row}>
            <Key strong type="submit" disabled={work.busy}>
              Hand it over
            </Key>
            <FileLink href={`${files}/card.pdf`} download>
              This card (PDF)
            </FileLink>
          </div>
        </form>
      ) : (
        <>
          <p role="status">
            Handed over on {dayOf(line.handedOverAt!)}.{' '}
            {line.nextOn ? `The next visit is on ${dayOf(line.nextOn)}.` : 'No next visit was agreed.'}
          </p>
          <div className={l.row}>
            <FileLink href={`${files}/card.pdf`} download>
              This card (PDF)
            </FileLink>
          </div>
        </>
      )}
    </section>
  );
}

/** A bow comes in: what its owner wants. */
export function BeginPane({
  work,
  onBegun,
  onLeave,
}: {
  work: VisitWork;
  onBegun: (id: string) => void;
  onLeave?: () => void;
}) {
  const [wants, setWants] = useState('');
  return (
    <form
      className={s.form}
      aria-label="A bow comes in"
      onSubmit={(event) => {
        event.preventDefault();
        void work.begin(wants).then((id) => id && onBegun(id));
      }}
    >
      <h1>The bow comes in</h1>
      <p className={w.muted}>
        What stands on record now is kept as found: checks, adjusters, string, arrow and the last results. Measure first
        what you want to have in it.
      </p>
      <TextLine
        label="What its owner wants"
        placeholder="what its owner wants"
        name="wants"
        wide
        autoFocus
        maxLength={300}
        value={wants}
        onChange={setWants}
      />
      {work.problem && <Fault>{work.problem.message}</Fault>}
      <div className={l.row}>
        <Key strong type="submit" disabled={work.busy}>
          Keep it as found
        </Key>
        {onLeave && <Plain onClick={onLeave}>Leave it</Plain>}
      </div>
    </form>
  );
}

import { useState } from 'react';
import { Plain } from '../../parts/Buttons';
import { Select } from '../../parts/Field';
import { Sections } from '../../parts/Sections';
import { Scroller, Table } from '../../parts/Table';
import { classes } from '../../parts/classes';
import { dayOf, shortDay } from '../../units/days';
import w from '../../parts/words.module.css';
import type { Answers, StoryWork } from './useStory';
import s from './Story.module.css';

const SECTIONS = [
  ['bow', 'Bow'],
  ['arrow', 'Arrow'],
  ['results', 'Results'],
] as const;

/** Two dates compared: only what differs, what can do what the paper shows, and what can be asked besides. */
export function ChangedPane({ answers, work }: { answers: Answers; work: StoryWork }) {
  const { two, days } = answers;
  const [same, setSame] = useState(false);
  const shown = two.rows.filter((row) => row.differs || same);
  const hidden = two.rows.length - two.rows.filter((row) => row.differs).length;
  const dates = days.map((day) => ({
    value: day.at,
    label: `${dayOf(day.at)}${day.well ? ', shot well' : ''}`,
  }));
  return (
    <section aria-label="What changed" data-testid="changed">
      <h1>{two.verdict}</h1>
      {two.cannotTell && <p>{two.cannotTell}</p>}
      <div className={s.dates}>
        <p className={w.muted}>{two.thenWell ? 'What changed since it last shot well' : 'Two dates compared'}</p>
        <Select
          label="Then"
          name="then"
          value={two.then ?? ''}
          onChange={(then) => work.setDates({ ...work.dates, then })}
          choices={
            two.then && !dates.some((d) => d.value === two.then)
              ? [{ value: two.then, label: dayOf(two.then) }, ...dates]
              : dates
          }
        />
        <Select
          label="Against"
          name="now"
          value={two.now ?? ''}
          onChange={(now) => work.setDates({ ...work.dates, now: now || undefined })}
          choices={[{ value: '', label: 'now' }, ...dates]}
        />
      </div>
      {two.rows.length > 0 && (
        <Scroller label="What differs">
          <Table className={s.two}>
            <thead>
              <tr>
                <th scope="col">{two.then ? 'What' : 'Nothing'}</th>
                <th scope="col">{two.then ? shortDay(two.then) : 'then'}</th>
                <th scope="col">{two.now ? shortDay(two.now) : 'now'}</th>
                <th scope="col">change</th>
                <th scope="col">{two.asks ?? 'besides'}</th>
              </tr>
            </thead>
            <Sections
              names={SECTIONS}
              rows={shown}
              columns={5}
              className={s.section}
              row={(row) => (
                <tr key={row.name} className={classes(!row.differs && w.muted)} data-can={row.can}>
                  <th scope="row">
                    {row.can === 'can' && <i className={s.can} aria-hidden="true" />}
                    {row.name}
                  </th>
                  <td>{row.then}</td>
                  <td>{row.differs ? <b>{row.now}</b> : row.now}</td>
                  <td>{row.change}</td>
                  <td>{row.can === 'can' ? <b>{row.beside}</b> : row.beside}</td>
                </tr>
              )}
            />
          </Table>
        </Scroller>
      )}
      {hidden > 0 && (
        <Plain aria-expanded={same} onClick={() => setSame(!same)}>
          {same ? 'Hide what is the same' : `${hidden} values are the same: show them`}
        </Plain>
      )}
    </section>
  );
}

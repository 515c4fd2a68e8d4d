import { Link } from 'react-router';
import { Empty } from '../../parts/Empty';
import { Key, Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import { TextLine } from '../../parts/TextLine';
import { Select } from '../../parts/Field';
import { Photographs } from '../../pictures/Photographs';
import { dayOf } from '../../units/days';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import type { Answers, StoryWork } from './useStory';
import s from './Story.module.css';

/** How the last sessions went. */
export const SessionsPane = ({ bowId, answers }: { bowId: string; answers: Answers }) => (
  <section aria-label="The last sessions" data-testid="sessions">
    <h1>How the last sessions went</h1>
    {answers.sessions.length === 0 && <Empty of="paper">Nothing was shot through paper or at a target yet.</Empty>}
    <ol className={s.sessions}>
      {answers.sessions.map((session) => (
        <li key={session.opens}>
          <Link to={`/bows/${bowId}/${session.opens}`}>
            <b>{dayOf(session.at)}</b>
            <span>{session.words}</span>
            <span className={w.muted}>
              {session.beside}. {session.arrow}.{' '}
              {session.acceptedAt ? `Accepted ${dayOf(session.acceptedAt)}.` : 'Open.'}
            </span>
          </Link>
        </li>
      ))}
    </ol>
  </section>
);

/** What is due, now or soon. */
export const DuePane = ({ bowId, answers, work }: { bowId: string; answers: Answers; work: StoryWork }) => (
  <section aria-label="What is due" data-testid="due">
    <h1>{answers.due.length === 0 ? 'Nothing is due' : 'What is due'}</h1>
    <ul className={s.sessions}>
      {answers.due.map((due) => (
        <li key={due.reminderId ?? due.what}>
          <Link to={due.reminderId ? '/plan' : `/bows/${bowId}/bow?way=string`}>
            <b>{due.what}</b>
            <span>
              {due.now
                ? 'now'
                : due.shotsLeft !== null
                  ? `in ${due.shotsLeft} shots`
                  : due.on
                    ? `on ${dayOf(due.on)}`
                    : ''}
            </span>
          </Link>
          {due.reminderId && (
            <Key
              aria-label={`It is done: ${due.what}`}
              disabled={work.busy}
              onClick={() => void work.planned(due.reminderId!)}
            >
              It is done
            </Key>
          )}
        </li>
      ))}
    </ul>
    {work.problem && <Fault>{work.problem.message}</Fault>}
    {answers.due.length === 0 && (
      <p className={w.muted}>No check of the string is near, by shots or by date, and nothing is planned.</p>
    )}
  </section>
);

/** Photographs of the bow as it is. */
export const PhotographsPane = ({ bowId }: { bowId: string }) => (
  <>
    <h1>The bow as it is</h1>
    <p className={w.muted}>What belongs to a paper, a check, a note or a visit is added there: open it in the list.</p>
    <Photographs bowId={bowId} of="bow" ofId={null} label="Photographs of the bow" />
  </>
);

/** The moves that lead back to the first date. */
export const BackPane = ({ work, answers, onDone }: { work: StoryWork; answers: Answers; onDone: () => void }) => {
  const { two } = answers;
  return (
    <section aria-label="The way back" data-testid="way-back">
      <h1>Back to {two.then && dayOf(two.then)}</h1>
      {two.wayBack.length === 0 ? (
        <p>Every adjuster stands as it stood then.</p>
      ) : (
        <>
          <p className={w.muted}>One after the other, from where each stands now. What needs a press comes first.</p>
          <ol className={s.back}>
            {two.wayBack.map((move) => (
              <li key={move.kind}>
                {move.order}
                {move.needsPress && <b> (press: only the right one, by the maker’s manual, else a shop)</b>}
              </li>
            ))}
          </ol>
        </>
      )}
      {work.problem && <Fault>{work.problem.message}</Fault>}
      <div className={l.row}>
        {two.wayBack.length > 0 && (
          <Key strong disabled={work.busy} onClick={() => void work.back(two).then((ok) => ok && onDone())}>
            I made {two.wayBack.length === 1 ? 'this move' : 'these moves'}
          </Key>
        )}
        <Plain onClick={onDone}>Back to what changed</Plain>
      </div>
    </section>
  );
};

interface NoteProps {
  text: string;
  by: string;
  archers: { id: string; name: string }[];
  onText: (text: string) => void;
  onBy: (by: string) => void;
  work: StoryWork;
  onDone: () => void;
}

/** A note: whatever happened that no stop asks for. */
export const NotePane = ({ text, by, archers, onText, onBy, work, onDone }: NoteProps) => (
  <form
    aria-label="A note"
    data-testid="note"
    className={s.form}
    onSubmit={(event) => {
      event.preventDefault();
      void work.note(text, by || null).then((ok) => ok && onDone());
    }}
  >
    <h1>A note</h1>
    <TextLine label="What happened" name="note" wide value={text} onChange={onText} maxLength={500} autoFocus />
    {work.problem && <Fault>{work.problem.message}</Fault>}
    <Select
      label="Who says it"
      name="by"
      value={by}
      onChange={onBy}
      choices={[{ value: '', label: 'nobody in particular' }, ...archers.map((a) => ({ value: a.id, label: a.name }))]}
    />
    <div className={l.row}>
      <Key strong type="submit" disabled={work.busy}>
        Keep this note
      </Key>
      <Plain onClick={onDone}>Leave it</Plain>
    </div>
  </form>
);

import { Unreachable } from '../../api/client';
import { Foot } from '../../shell/Foot';
import { Plain } from '../../parts/Buttons';
import { named } from '../../parts/letters';
import { differences, type BowForm, type Entry } from './bowForm';
import type { useBowForm } from './useBowForm';
import s from './BowFoot.module.css';

/** What is next of the bow, or what is wrong with its keeping. */
export function BowFoot({
  work,
  keep,
  go,
}: {
  work: ReturnType<typeof useBowForm>;
  keep: () => void;
  go: (stop: string) => void;
}) {
  const { bow, problem, conflict } = work;
  if (conflict)
    return (
      <Foot
        sentence="This bow was changed in another place meanwhile."
        reason="Your text is still here. Keep yours: what only the other changed stays as well."
        button="Keep mine"
        onGo={() => void work.keepMine()}
        alternative="Take the other"
        onAlternative={() => void work.takeTheirs()}
        trouble
      />
    );
  if (problem)
    return (
      <Foot
        sentence={problem instanceof Unreachable ? 'Kept here, not yet saved.' : problem.message}
        reason={
          problem instanceof Unreachable
            ? 'The bench’s server does not answer. Your text stays in this browser.'
            : 'Nothing you typed is lost.'
        }
        button="Try again"
        busy={work.busy}
        onGo={keep}
        trouble
      />
    );
  if (work.dirty || !bow)
    return (
      <Foot
        sentence={bow ? 'Keep what you changed on this bow.' : 'Fill in what you know and keep the bow.'}
        reason="Measured wins over marked. Lengths may be written in any unit that is named."
        button="Keep this bow"
        busy={work.busy}
        onGo={keep}
        alternative={bow ? 'Put it back' : null}
        onAlternative={() => work.change(null)}
        extra={bow ? null : <Plain onClick={() => work.change(null)}>Clear</Plain>}
      />
    );
  const act = (action: string | null | undefined) => {
    if (action === 'measureWeight') document.querySelector<HTMLElement>('[name=measuredWeight]')?.focus();
    else if (action?.startsWith('check:')) go(`bow?check=${action.slice(6)}`);
    else if (action) go(action);
  };
  return (
    <Foot
      sentence={bow.next.sentence}
      reason={bow.next.reason}
      button={bow.next.button}
      onGo={() => act(bow.next.action)}
      alternative={bow.next.alternative}
      onAlternative={() => act(bow.next.alternativeAction)}
    />
  );
}

/** The two values side by side, for each field that either side changed. */
export function Conflict({ form, theirs }: { form: BowForm; theirs: Entry }) {
  return (
    <table className={s.conflict} data-testid="conflict">
      <caption>Changed here and in another place</caption>
      <thead>
        <tr>
          <th scope="col">field</th>
          <th scope="col">here</th>
          <th scope="col">in the other place</th>
        </tr>
      </thead>
      <tbody>
        {differences(form, theirs).map((line) => (
          <tr key={line.field}>
            <th scope="row">{named(line.field)}</th>
            <td>{line.mine || 'empty'}</td>
            <td>{line.theirs || 'empty'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

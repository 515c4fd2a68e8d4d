import { useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { Drawn } from '../../parts/Drawn';
import { Key, Plain, FileLink } from '../../parts/Buttons';
import { Main, Page } from '../../parts/Page';
import { Fault } from '../../parts/Note';
import { classes } from '../../parts/classes';
import { Foot } from '../../shell/Foot';
import { OpeningFoot } from '../../shell/OpeningFoot';
import { ShellHead } from '../../shell/ShellHead';
import { useEscape } from '../../shell/focus';
import { dayOf } from '../../units/days';
import l from '../../parts/layout.module.css';
import w from '../../parts/words.module.css';
import { AddReminder } from './AddReminder';
import { ShootPane } from './ShootPane';
import { usePlan, type Plan, type PlanWork } from './usePlan';
import s from './PlanPage.module.css';

/** The plan: what is to be done by day and by shots, and what must be in order before the next shoot. */
export default function PlanPage() {
  const work = usePlan();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const adding = search.get('show') === 'add';
  const { plan } = work;
  const close = () => {
    work.clear();
    setSearch({});
  };
  useEscape(adding, close);
  const go = (action: string | null | undefined) => {
    if (action === 'add') setSearch({ show: 'add' });
    else if (action?.startsWith('done:')) void work.put(action.slice('done:'.length), 'done');
    else if (action) void navigate(`/${action}`);
  };
  return (
    <Page>
      <ShellHead at={null} title="Plan" />
      <Main>
        <div className={classes(l.title, s.title)}>
          <h1>The plan</h1>
          <p className={w.muted}>{plan && sumOf(plan)}</p>
          <span className={classes(l.far, l.row)}>
            <FileLink href="/api/plan/calendar.ics" download>
              Into a calendar (.ics)
            </FileLink>
            {!adding && <Key onClick={() => setSearch({ show: 'add' })}>Add to the plan</Key>}
          </span>
        </div>
        {!plan && <Drawn of="plan" waits />}
        {plan && (
          <div className={s.page}>
            <div className={s.left}>
              {adding && <AddReminder plan={plan} work={work} onDone={close} />}
              {work.problem && !adding && <Fault>{work.problem.message}</Fault>}
              <Lines plan={plan} work={work} />
              <Ended plan={plan} work={work} />
            </div>
            <div className={s.right}>
              {plan.shoot ? (
                <ShootPane shoot={plan.shoot} />
              ) : (
                <section aria-label="Before the shoot">
                  <h2>No shoot is entered</h2>
                  <p className={w.muted}>
                    With its day on the plan, each bow stands here with what it needs before it.
                  </p>
                </section>
              )}
            </div>
          </div>
        )}
      </Main>
      {!plan ? (
        <OpeningFoot opening="Opening the plan …" what="The plan" failed={[work.failed]} />
      ) : (
        <Foot
          sentence={plan.next.sentence}
          reason={plan.next.reason}
          button={plan.next.button}
          busy={work.busy}
          guarded={adding || plan.next.action.startsWith('done:')}
          onGo={() => go(plan.next.action)}
          alternative={plan.next.alternative}
          onAlternative={() => go(plan.next.alternativeAction)}
        />
      )}
    </Page>
  );
}

const sumOf = (plan: Plan) =>
  plan.lines.length === 0
    ? 'Nothing waits.'
    : `${plan.lines.length} ${plan.lines.length === 1 ? 'thing waits' : 'things wait'}, the nearest first.`;

const NEARNESS: Record<Plan['lines'][number]['standing'], string> = {
  late: 'late',
  now: 'now',
  soon: 'soon',
  later: '',
};

function Lines({ plan, work }: { plan: Plan; work: PlanWork }) {
  return (
    <ul className={s.lines} data-testid="plan" aria-label="What waits">
      {plan.lines.map((line) => (
        <li
          key={line.reminderId ?? `string-${line.bowId}`}
          className={classes(line.standing !== 'later' && s.near)}
          data-standing={line.standing}
        >
          <span className={s.when}>
            <b>{NEARNESS[line.standing]}</b> {line.when}
          </span>
          <span>
            {line.bow && <b>{line.bow}: </b>}
            {line.what}
          </span>
          {line.reminderId ? (
            <span className={l.row}>
              {line.reminderId !== plan.shoot?.id && (
                <Key aria-label={`It is done: ${line.what}`} onClick={() => void work.put(line.reminderId!, 'done')}>
                  It is done
                </Key>
              )}
              <Plain aria-label={`Drop it: ${line.what}`} onClick={() => void work.put(line.reminderId!, 'dropped')}>
                Drop it
              </Plain>
            </span>
          ) : (
            <Link className={s.to} to={`/bows/${line.bowId}/bow?way=string`}>
              To its string
            </Link>
          )}
        </li>
      ))}
    </ul>
  );
}

/** What was done or dropped lately: a press puts it back. */
function Ended({ plan, work }: { plan: Plan; work: PlanWork }) {
  const [open, setOpen] = useState(false);
  if (plan.ended.length === 0) return null;
  return (
    <section aria-label="Done or dropped">
      <Plain aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide what ended' : `${plan.ended.length} done or dropped lately: show them`}
      </Plain>
      {open && (
        <ul className={s.lines}>
          {plan.ended.map((one) => (
            <li key={one.id}>
              <span className={s.when}>
                <b>{one.state}</b> {dayOf(one.endedAt)}
              </span>
              <span>
                {one.bow && <b>{one.bow}: </b>}
                {one.text}
              </span>
              <Plain aria-label={`Back on the plan: ${one.text}`} onClick={() => void work.put(one.id, 'open')}>
                Back on the plan
              </Plain>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

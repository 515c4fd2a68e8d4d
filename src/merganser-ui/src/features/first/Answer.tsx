import { ButtonBase } from '@mui/material';
import { Key } from '../../parts/Buttons';
import { classes } from '../../parts/classes';
import { Field } from '../../parts/Field';
import { entriesOf, hands, kinds, type Question } from './questions';
import { asKind, type FirstWork } from './useFirst';
import s from './FirstPage.module.css';

interface Props {
  question: Question;
  work: FirstWork;
  /** What stands for it now, as the bench counts with it. */
  counted: string;
}

/** One question of the list: its answer in a line to press, or open with what is usual, a field, and "I don't know". */
export function Answer({ question, work, counted }: Props) {
  const { name, label } = question;
  const open = work.open.name === name;
  const answered = work.first.answered.includes(name);
  if (!open)
    return (
      <ButtonBase className={s.answer} onClick={() => work.change({ at: name })} aria-expanded={false}>
        <span className={s.name}>{label}</span>
        <span className={classes(s.value, !answered && s.waits)}>{answered ? counted : 'not asked yet'}</span>
      </ButtonBase>
    );
  return (
    <div className={s.asked} role="group" aria-label={question.asks} data-asked={name}>
      <p>
        <b>{question.asks}</b> <span className={s.hint}>{question.hint}</span>
      </p>
      {name === 'kind' ? <KindAndHand work={work} /> : name !== 'hole' && <Typed {...{ question, work, counted }} />}
    </div>
  );
}

function KindAndHand({ work }: { work: FirstWork }) {
  const { kind, hand } = work.first;
  return (
    <>
      <div className={s.usual} role="group" tabIndex={-1} data-first aria-label="Kind of bow">
        {entriesOf(kinds).map(([value, words]) => (
          <Key key={value} aria-pressed={kind === value} onClick={() => work.change(asKind(work.first, value))}>
            {words}
          </Key>
        ))}
      </div>
      <div className={s.usual} role="group" aria-label="Hand that draws it">
        {entriesOf(hands).map(([value, words]) => (
          <Key key={value} aria-pressed={hand === value} onClick={() => work.goOn('kind', { hand: value })}>
            {words}
          </Key>
        ))}
      </div>
    </>
  );
}

function Typed({ question, work, counted }: Props) {
  const { name, usual, quantity, beside } = question;
  if (name === 'kind' || name === 'hole') return null;
  const text = work.first.texts[name] ?? '';
  const put = (value: string) => work.goOn(name, { texts: { ...work.first.texts, [name]: value } });
  return (
    <>
      {usual.length > 0 && (
        <div className={s.usual}>
          {usual.map((value) => (
            <Key key={value} aria-pressed={text === value} onClick={() => put(value)}>
              {value}
            </Key>
          ))}
        </div>
      )}
      <div className={s.typed}>
        <Field
          key={name}
          label={usual.length > 0 ? 'another' : question.label}
          name={name}
          value={text}
          quantity={quantity}
          onChange={(value) => work.type(name, value)}
          onEnter={() => work.goOn(name)}
          fault={work.faults[name]?.[0]}
          hint={question.range}
          first
        />
        {beside && (
          <Field
            label={beside.label}
            name={beside.name}
            value={work.first.texts[beside.name] ?? ''}
            quantity={beside.quantity}
            onChange={(value) => work.type(beside.name, value)}
            onEnter={() => work.goOn(name)}
            fault={work.faults[beside.name]?.[0]}
            hint={beside.hint}
          />
        )}
        <Key className={s.unknown} onClick={() => put('')}>
          I don’t know
          <small>{text === '' ? `count with ${counted}` : 'count with the usual'}</small>
        </Key>
      </div>
    </>
  );
}

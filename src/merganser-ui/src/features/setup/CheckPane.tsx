import { useState, type ReactNode } from 'react';
import type { Entry } from '../../api/outbox';
import { Field } from '../../parts/Field';
import { useEscape } from '../../shell/focus';
import type { BowKind } from '../../drawing/bow';
import type { Quantity } from '../../units/units';
import { Photographs } from '../../pictures/Photographs';
import { useUnits } from '../../units/UnitsContext';
import { Key, Plain } from '../../parts/Buttons';
import { Fold } from '../../parts/Fold';
import { Bullets } from '../../parts/List';
import { Fault, Note } from '../../parts/Note';
import { NoteField } from '../../parts/NoteField';
import { TextLine } from '../../parts/TextLine';
import { Caliper } from './Caliper';
import { GaugeDrawing, inUnit, MeasureDrawing } from './MeasureDrawing';
import type { Check, Setup, SetupWork } from './useSetup';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './CheckPane.module.css';

interface Props {
  check: Check;
  at: number;
  total: number;
  typed: string;
  aperture: string;
  work: SetupWork;
  kind: BowKind;
  setup: Setup;
  note: string;
  /** What was found of it and waits in this browser. */
  waits?: Entry;
  /** The way back to what is wrong, where the check was come to from there. */
  back?: ReactNode;
  onNote: (note: string) => void;
  onType: (text: string) => void;
  onKeep: (confirmed?: boolean) => void;
  onEnter: () => void;
  onPick: (choice: string, by?: string) => void;
  onSkip: (reason: string) => void;
}

/** A tool is asked for by the first step that needs it. */
const toolWords: Record<NonNullable<Check['asks']>, string> = {
  press: 'I have the right press and its manual',
  drawBoard: 'I have a draw board',
  scale: 'I have a bow scale',
  chronograph: 'I have a chronograph',
};

/** The answer that names who did it. */
const REPAIRED = 'repaired';

const when = (at: string) => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });

/** One check: how it is measured, the entry, the verdict and what to do. */
export function CheckPane({
  check,
  at,
  total,
  typed,
  aperture,
  work,
  kind,
  setup,
  note,
  waits,
  back,
  onNote,
  onType,
  onKeep,
  onEnter,
  onPick,
  onSkip,
}: Props) {
  const units = useUnits();
  const [skipping, setSkipping] = useState<string | null>(null);
  const [by, setBy] = useState('');
  useEscape(skipping !== null, () => setSkipping(null));
  const last = check.last;
  return (
    <section className={s.pane} aria-label={check.title} data-testid="check">
      <p className={w.label}>
        {at > 0 ? `Check ${at} of ${total}` : 'Asked again'}
        {check.tool && `, ${check.tool}`}
        {check.minutes > 0 && `, about ${check.minutes} minutes`}
      </p>
      <h1>{check.title}</h1>
      {back && <p className={s.back}>{back}</p>}
      {check.whyHere && <p className={w.muted}>{check.whyHere}</p>}
      {check.because && check.state !== 'done' && (
        <Note word={check.state === 'again' ? 'Again.' : check.state === 'held' ? 'Not now.' : 'Left open.'}>
          {check.because}
        </Note>
      )}
      <MeasureDrawing check={check} kind={kind} />
      <p>
        {check.how} {check.advice && <span className={w.muted}>{check.advice}</span>}
        {check.kind === 'peep' && ` Suggested aperture: ${aperture}, from the axle to axle.`}
      </p>
      {check.asks && (
        <p>
          <Key disabled={work.busy} onClick={() => void work.equip(check.asks!)}>
            {toolWords[check.asks]}
          </Key>
        </p>
      )}
      {check.tolerance && <GaugeDrawing check={check} />}
      <div className={s.entry} data-entry>
        {check.quantity ? (
          <Field
            label={check.title}
            name={`check-${check.kind}`}
            quantity={check.quantity as Quantity}
            value={typed}
            onChange={onType}
            onEnter={onEnter}
            first
            large
            fault={work.suspicious ? undefined : work.faults.typed?.[0]}
            hint={
              check.tolerance
                ? `aim ${inUnit(check.tolerance.aim, check.unit, units)}: ${check.tolerance.source}`
                : check.unit === 'degrees'
                  ? 'degrees'
                  : undefined
            }
          />
        ) : (
          <div
            className={s.choices}
            role="group"
            tabIndex={-1}
            data-first
            data-choices
            aria-label={`${check.title}, what was found`}
          >
            {check.choices.map((choice, i) =>
              choice.code === REPAIRED ? (
                <span key={choice.code} className={l.row}>
                  <div className={s.by}>
                    <Field
                      label="Repaired by"
                      name="repairedBy"
                      value={by}
                      onChange={setBy}
                      fault={work.faults.typed?.[0]}
                      onEnter={() => by.trim() && onPick(REPAIRED, by)}
                    />
                  </div>
                  <Key
                    disabled={work.busy || !by.trim()}
                    onClick={() => onPick(REPAIRED, by)}
                    data-choice={choice.code}
                  >
                    It is repaired
                  </Key>
                </span>
              ) : (
                <Key
                  key={choice.code}
                  aria-pressed={last?.choice === choice.code && check.state === 'done'}
                  disabled={work.busy}
                  onClick={() => onPick(choice.code)}
                  data-choice={choice.code}
                >
                  <kbd aria-hidden="true">{i + 1}</kbd>&nbsp;{choice.label}
                </Key>
              ),
            )}
          </div>
        )}
        {waits && <Note word="Kept here, not yet sent.">{waits.refused ?? `${waits.words}.`}</Note>}
        {check.verdict && last && (
          <div className={s.verdict} data-verdict={check.verdict.verdict} aria-live="polite">
            <h2>{check.verdict.words}</h2>
            <p>
              {check.verdict.toDo}
              {check.verdict.press && <b> Press.</b>}
            </p>
            <p className={w.label}>
              {last.typed ? `entered ${last.typed}, ` : ''}
              {when(last.at)}
              {last.note && `: ${last.note}`}
              {check.before &&
                `; last time ${check.before.typed || check.before.choiceWords}, ${when(check.before.at)}`}
            </p>
          </div>
        )}
      </div>
      {last && (
        <Fold words="Photographs of it">
          <Photographs
            key={last.id}
            bowId={work.bowId}
            of="check"
            ofId={last.id}
            label={`${check.title}, photographs`}
          />
        </Fold>
      )}
      {check.howTo.length > 0 && (
        <Fold words="How it is done">
          <Bullets>
            {check.howTo.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Bullets>
        </Fold>
      )}
      {check.kind === 'drawWeight' && setup.backOff && (
        <Note
          word="Caution."
          act={
            setup.backOff.to !== null && (
              <Key
                disabled={work.busy}
                onClick={() => void work.move({ adjuster: 'limbBolts', to: setup.backOff!.to!, from: null })}
              >
                I backed them off
              </Key>
            )
          }
        >
          {setup.backOff.words}
        </Note>
      )}
      {check.kind === 'camTiming' && setup.lastTwist && <p>{setup.lastTwist}</p>}
      {check.kind === 'centreShot' && setup.centreShot?.caution && <Note>{setup.centreShot.caution}</Note>}
      {(check.quantity === null || typed.trim() !== '' || note !== '') && (
        <NoteField label={check.noteAsked} placeholder={check.noteAsked} value={note} onChange={onNote} />
      )}
      {work.faults.choice && <Fault>{work.faults.choice[0]}</Fault>}
      {work.suspicious && (
        <Note word="Is that so?" role="alert" act={<Key onClick={() => onKeep(true)}>Yes, keep it</Key>}>
          {work.suspicious}
        </Note>
      )}
      {check.kind === 'centreShot' && (
        <Caliper
          bowId={work.bowId}
          onMoved={(to) => work.move({ adjuster: 'restSideways', to, from: null, note: 'by caliper' })}
        />
      )}
      <div className={l.row}>
        {skipping === null ? (
          <Plain onClick={() => setSkipping('')}>Leave it with a reason</Plain>
        ) : (
          <>
            <TextLine
              label="Reason for leaving this check"
              placeholder="why it is left"
              maxLength={120}
              autoFocus
              value={skipping}
              onChange={setSkipping}
              onKeyDown={(event) => event.key === 'Enter' && skipping.trim() && onSkip(skipping)}
            />
            <Key disabled={!skipping.trim()} onClick={() => onSkip(skipping)}>
              Leave it
            </Key>
          </>
        )}
        {last && <Plain onClick={() => void work.withdraw(last.id)}>That entry was wrong</Plain>}
      </div>
    </section>
  );
}

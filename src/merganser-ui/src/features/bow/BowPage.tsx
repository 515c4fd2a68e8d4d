import { useNavigate, useParams } from 'react-router';
import { faultsOf } from '../../api/client';
import { OpeningPage } from '../../shell/OpeningPage';
import { ShellHead } from '../../shell/ShellHead';
import { Field, Select } from '../../parts/Field';
import { useFaultFocus } from '../../shell/focus';
import { number, type Quantity } from '../../units/units';
import { useFigures } from '../../units/UnitsContext';
import { BowWays } from '../../shell/BowWays';
import { Plain } from '../../parts/Buttons';
import { Fault } from '../../parts/Note';
import { Main, Page } from '../../parts/Page';
import { AdjusterList, useOffers, usualWay } from './AdjusterList';
import { ArcherFields } from './ArcherFields';
import { BowFoot, Conflict } from './BowFoot';
import { BowFigure } from './BowFigure';
import { emptyEntry, usualFor, type Entry, type TextField } from './bowForm';
import { camDraws, cams, hands, kinds, labelOf, releases, restsOf } from './choices';
import { More } from './More';
import { MoveList } from './MoveList';
import { useBowForm } from './useBowForm';
import w from '../../parts/words.module.css';
import l from '../../parts/layout.module.css';
import s from './BowPage.module.css';

const measures: TextField[] = ['axleToAxle', 'ratedSpeed', 'stringWeight', 'stringWeightFromTip'];
const makers: TextField[] = ['maximumWeight', 'makerAxleToAxle', 'makerBraceHeight', 'makerCentreShot', 'axleBolts'];

/** How many of some fields are filled, in words. */
const count = (entry: Entry, fields: TextField[]) => {
  const filled = fields.filter((field) => entry[field]?.trim()).length;
  return filled > 0 && `${filled} entered`;
};

/** The bow on the bench: who shoots it, what it measures, what can be adjusted. */
export default function BowPage() {
  const { figure, rule } = useFigures();
  const { bowId } = useParams();
  const work = useBowForm(bowId);
  const { form } = work;
  const navigate = useNavigate();
  const offers = useOffers(form?.entry ?? emptyEntry).data;

  const usual = (offers ?? [])
    .filter((o) => o.usual)
    .map((offer) => {
      const { kind, lower, upper, needsPress } = offer;
      return { kind, lower, upper, needsPress, inchesPerStep: '', way: usualWay(offer) } as const;
    });
  useFaultFocus(work.problem);

  if (!form) return <OpeningPage at="bow" bowId={bowId} title="Bow and archer" failed={work.failed} />;

  const faults = faultsOf(work.problem);
  const fault = (field: string) => faults[field]?.[0];
  const put = (part: Partial<Entry>) => work.change({ ...form, entry: { ...form.entry, ...part } });
  const typed = (name: TextField, label: string, quantity: Quantity, hint?: string, term?: string) => (
    <Field
      label={label}
      term={term}
      name={name}
      value={form.entry[name] ?? ''}
      onChange={(text) => put({ [name]: text })}
      quantity={quantity}
      fault={fault(name)}
      hint={hint}
    />
  );

  const compound = form.entry.kind === 'compound';
  const fresh = bowId === undefined;
  const newOne = fresh && form.archerId === null;
  const beginner = form.archer.experience === 'beginner';
  return (
    <Page>
      <ShellHead at="bow" bowId={bowId} title={fresh ? 'A new bow' : 'Bow and archer'} />
      <Main className={s.page}>
        {bowId !== undefined && <BowWays bowId={bowId} way="measures" kind={form.entry.kind} />}
        <section aria-label="The bow, drawn">
          <BowFigure entry={form.entry} />
          {work.bow && <MoveList bow={work.bow} />}
          {work.bow && (
            <Plain onClick={() => void work.archive(work.bow!.archivedAt === null)}>
              {work.bow.archivedAt ? 'Hang it on the rack again' : 'Take it off the rack'}
            </Plain>
          )}
        </section>
        <section className={s.measures}>
          <h1>{bowId === undefined ? 'A new bow' : form.entry.name || 'The bow'}</h1>
          {work.conflict && <Conflict form={form} theirs={work.conflict.typed} />}
          <ArcherFields work={work} form={form} fresh={fresh} faults={faults} />
          <h2>Bow</h2>
          <div className={l.fields}>
            <Field
              label="Name of the bow"
              name="name"
              value={form.entry.name ?? ''}
              onChange={(name) => put({ name })}
              fault={fault('name')}
              first={fresh && !newOne}
            />
            {fresh && (
              <Select
                label="Kind"
                name="kind"
                value={form.entry.kind}
                onChange={(kind) =>
                  work.change({
                    ...form,
                    adjusters: null,
                    entry: { ...form.entry, ...usualFor(kind as Entry['kind']) },
                  })
                }
                choices={kinds}
              />
            )}
            <Select
              label="Hand"
              name="hand"
              value={form.entry.hand}
              onChange={(hand) => put({ hand: hand as Entry['hand'] })}
              choices={hands}
            />
          </div>
          <h2>Measured</h2>
          <div className={l.fields}>
            {typed('nominalWeight', 'Draw weight, marked', 'drawWeight', 'or its range: 60 to 70')}
            {typed('measuredWeight', 'Draw weight, measured', 'drawWeight', 'on a scale, at full draw', 'drawWeight')}
            {typed('drawLength', 'Draw length, AMO', 'length', `pivot point plus ${rule(1.75)}`, 'drawLength')}
            {typed('braceHeight', 'Brace height', 'length', undefined, 'braceHeight')}
          </div>
          <More
            words="More of the bow"
            holds={[form.entry.make, labelOf(releases, form.entry.release).toLowerCase()]}
            fields={['make']}
            faults={faults}
          >
            <Field
              label="Make and model"
              name="make"
              value={form.entry.make ?? ''}
              onChange={(make) => put({ make })}
              fault={fault('make')}
              hint="may stay empty; bows of one make share what their adjusters did"
            />
            <Select
              label="Release"
              name="release"
              value={form.entry.release}
              onChange={(release) => put({ release: release as Entry['release'] })}
              choices={releases}
            />
          </More>
          <More words="More measures" holds={[count(form.entry, measures)]} fields={measures} faults={faults}>
            {compound
              ? typed('axleToAxle', 'Axle to axle', 'length', 'later, if not measured yet', 'axleToAxle')
              : typed('axleToAxle', 'Bow length', 'length', 'tip to tip, as the maker names it', 'bowLength')}
            {compound &&
              typed(
                'ratedSpeed',
                'Rated speed, if known',
                'speed',
                `${figure(350, 'gr', 0)}, ${figure(70, 'lb', 0)}, ${rule(30)}`,
                'ratedSpeed',
              )}
            {typed('stringWeight', 'Weight on the string', 'weight', 'peep, loop, silencers', 'stringWeight')}
            {typed('stringWeightFromTip', 'Its place', 'number', '0 at the tip, 1 at the nocking point')}
          </More>
          <More
            words="The maker’s figures, where known"
            holds={[count(form.entry, makers)]}
            fields={makers}
            faults={faults}
          >
            {compound && typed('maximumWeight', 'Rated maximum weight', 'drawWeight', 'never above it')}
            {compound && typed('makerAxleToAxle', 'Axle to axle', 'length', `play ${rule(0.125)}`)}
            {typed('makerBraceHeight', 'Brace height', 'length', `play ${rule(0.125)}`)}
            {compound && typed('makerCentreShot', 'Centre shot', 'length', `empty takes ${rule(0.8125)}`)}
            {compound && (
              <Field
                label="Axle bolts"
                name="axleBolts"
                value={form.entry.axleBolts ?? ''}
                onChange={(axleBolts) => put({ axleBolts })}
                fault={fault('axleBolts')}
                hint="the maker’s figure in the maker’s words"
              />
            )}
          </More>
          <More
            words={compound ? 'Rest and cams' : 'Rest'}
            holds={[
              labelOf(restsOf(form.entry.kind), form.entry.restType).toLowerCase(),
              compound && !beginner && labelOf(cams, form.entry.camSystem).toLowerCase(),
              form.entry.factorSet && `factor ${form.entry.factorSet}`,
            ]}
            fields={['restAhead', 'factorSet']}
            faults={faults}
          >
            <Select
              label="Rest"
              name="restType"
              value={form.entry.restType}
              onChange={(restType) => put({ restType: restType as Entry['restType'] })}
              choices={restsOf(form.entry.kind)}
            />
            {typed('restAhead', 'Rest ahead of the pivot', 'length', '0 when it stands above it')}
            {compound && (
              <>
                <Select
                  label="Cam system"
                  name="camSystem"
                  value={form.entry.camSystem}
                  onChange={(camSystem) => put({ camSystem: camSystem as Entry['camSystem'] })}
                  choices={cams}
                />
                <Select
                  label="Cams draw"
                  name="camDraw"
                  value={form.entry.camDraw}
                  onChange={(camDraw) => put({ camDraw: camDraw as Entry['camDraw'] })}
                  choices={camDraws}
                />
              </>
            )}
            {typed(
              'factorSet',
              'Bow factor, if known',
              'number',
              work.bow
                ? `in use ${number(work.bow.factor.factor, 2)}, ± ${number(100 * work.bow.factor.modelSpread, 0)} %: ${work.bow.factor.why}`
                : 'empty takes the stated default',
              'bowFactor',
            )}
          </More>
        </section>
        <section aria-label="Adjusters">
          <h2>Adjusters</h2>
          <p className={w.muted}>Tick what this bow has. Positions count from the mark at which you found them.</p>
          {Object.entries(faults)
            .filter(([field]) => field.startsWith('adjusters'))
            .map(([field, words]) => (
              <Fault key={field}>{words[0]}</Fault>
            ))}
          <AdjusterList
            entry={form.entry}
            chosen={form.adjusters ?? usual}
            faults={faults}
            standing={work.bow?.adjusters ?? []}
            onChange={(adjusters) => work.change({ ...form, adjusters })}
          />
        </section>
      </Main>
      <BowFoot work={work} keep={() => void work.keep(usual)} go={(stop) => void navigate(`/bows/${bowId}/${stop}`)} />
    </Page>
  );
}

import { useQuery } from '@tanstack/react-query';
import { memo, useDeferredValue, useMemo, useRef, useState } from 'react';
import { answer, api } from '../../api/client';
import { aboutOf, withUnit } from '../../units/units';
import { useUnits } from '../../units/UnitsContext';
import type { Schemas } from '../../api/client';
import { Select, TypedField } from '../../parts/Field';
import { FindPick } from '../../parts/FindPick';
import { Key, Plain } from '../../parts/Buttons';
import { Popover } from '../../parts/Popover';
import { focusSoon } from '../../shell/focus';
import { OwnShaft } from './OwnShaft';
import { EndParts } from './EndParts';
import {
  called,
  classOf,
  neighbour,
  parts,
  shaftName,
  steppedLength,
  stockOf,
  withPart,
  type Draft,
  type PartName,
} from './parts';
import s from './PartPanel.module.css';

interface Props {
  part: PartName;
  draft: Draft;
  catalogue: Schemas['Catalogue'];
  faults: Record<string, string[]>;
  onChange: (draft: Draft) => void;
}

const OWN = 'own';

/** The chosen part under the hand: one step less, one step more, or another one. */
export const PartPanel = memo(function PartPanel({ part, draft, catalogue, faults, onChange }: Props) {
  const facts = parts.find((p) => p.name === part)!;
  const about = aboutOf(draft.cutLength);
  const step = (by: 1 | -1) => stepPart(draft, catalogue, part, by);
  if (part === 'more')
    return (
      <div className={s.panel} data-panel={part}>
        <div className={s.pick}>
          <PartField part={part} draft={draft} catalogue={catalogue} faults={faults} onChange={onChange} />
          <EndParts draft={draft} catalogue={catalogue} onChange={onChange} />
        </div>
      </div>
    );
  return (
    <div className={s.panel} data-panel={part}>
      <Key
        className={s.step}
        aria-label={`${facts.label}: one step less`}
        disabled={!step(-1)}
        onClick={() => onChange(step(-1)!)}
      >
        −
      </Key>
      <div className={s.pick}>
        <PartField part={part} draft={draft} catalogue={catalogue} faults={faults} onChange={onChange} />
        {part === 'length' && (
          <Plain onClick={() => onChange({ ...draft, cutLength: about ?? `about ${draft.cutLength}` })}>
            {about !== null ? 'I measured it' : 'I don’t know it: about so long'}
          </Plain>
        )}
        {(part === 'insert' || part === 'point') && (
          <BreakOff part={part} draft={draft} catalogue={catalogue} faults={faults} onChange={onChange} />
        )}
        {part === 'vanes' && (
          <PartField part="vaneCount" draft={draft} catalogue={catalogue} faults={faults} onChange={onChange} />
        )}
        {part === 'vanes' && (
          <TypedField
            label="Front edge"
            name="vaneFront"
            quantity="length"
            value={draft.vaneFront}
            onChange={(vaneFront) => onChange({ ...draft, vaneFront })}
            fault={faults.vaneFront?.[0]}
          />
        )}
      </div>
      <Key
        className={s.step}
        aria-label={`${facts.label}: one step more`}
        disabled={!step(1)}
        onClick={() => onChange(step(1)!)}
      >
        +
      </Key>
    </div>
  );
});

/** Steps that are broken off an insert or a point, where it has any. */
function BreakOff({ part, draft, catalogue, faults, onChange }: Props & { part: 'insert' | 'point' }) {
  const field = part === 'insert' ? 'insertBroken' : 'pointBroken';
  const stock = part === 'insert' ? catalogue.inserts : catalogue.points;
  const id = part === 'insert' ? draft.insertId : draft.pointId;
  const units = useUnits();
  const steps = stock.find((s) => s.id === id)?.part.breakOffSteps ?? 0;
  if (steps === 0) return null;
  const size = stock.find((s) => s.id === id)!.part.breakOff ?? 0;
  return (
    <Select
      label="Broken off"
      name={field}
      value={String(draft[field] ?? 0)}
      onChange={(count) => onChange({ ...draft, [field]: Number(count) })}
      choices={Array.from({ length: steps + 1 }, (_, i) => ({
        value: String(i),
        label: i === 0 ? 'nothing' : `${i} × ${withUnit(size, 'gr', 0, units)}`,
      }))}
      fault={faults[field]?.[0]}
    />
  );
}

const vaneCounts = ['2', '3', '4', '6'];

/** The draft with this part one step on, or null at the end. */
export function stepPart(draft: Draft, catalogue: Schemas['Catalogue'], part: PartName, by: 1 | -1): Draft | null {
  const field = parts.find((p) => p.name === part)!.field;
  if (part === 'length') {
    const text = steppedLength(draft.cutLength, by);
    return text === null ? null : { ...draft, cutLength: text };
  }
  if (part === 'vaneCount') {
    const count = vaneCounts[vaneCounts.indexOf(String(draft.vaneCount)) + by];
    return count === undefined ? null : { ...draft, vaneCount: Number(count) };
  }
  if (!field || field === 'endPartIds') return null;
  const id = neighbour(stockOf(catalogue, part), draft[field], by);
  return id === null ? null : withPart(draft, { part, id });
}

function PartField({ part, draft, catalogue, faults, onChange }: Props) {
  const fault = (field: string) => faults[field]?.[0];
  if (part === 'length')
    return (
      <TypedField
        label="Cut length, nock throat to shaft end"
        name="cutLength"
        quantity="length"
        value={draft.cutLength}
        onChange={(cutLength) => onChange({ ...draft, cutLength })}
        fault={fault('cutLength')}
      />
    );
  if (part === 'glue')
    return (
      <TypedField
        label="Glue at the vanes"
        name="glue"
        quantity="weight"
        value={draft.glue}
        onChange={(glue) => onChange({ ...draft, glue })}
        fault={fault('glue')}
      />
    );
  if (part === 'vaneCount')
    return (
      <Select
        label="Vane count"
        name="vaneCount"
        value={String(draft.vaneCount)}
        onChange={(count) => onChange({ ...draft, vaneCount: Number(count) })}
        choices={vaneCounts.map((value) => ({ value, label: value }))}
        fault={fault('vaneCount')}
      />
    );
  return <StockPick part={part} draft={draft} catalogue={catalogue} faults={faults} onChange={onChange} />;
}

/** One part of the whole catalogue: the list at hand, and what is found by typing. */
function StockPick({ part, draft, catalogue, faults, onChange }: Props) {
  const units = useUnits();
  const facts = parts.find((p) => p.name === part)!;
  const fault = (field: string) => faults[field]?.[0];
  const here = useRef<HTMLDivElement>(null);
  const [own, setOwn] = useState<HTMLElement | null>(null);
  const [text, setText] = useState('');
  const find = useDeferredValue(text.trim());
  const kind = classOf(facts.name);
  const found = useQuery({
    queryKey: ['catalogue', 'find', kind, find, draft.shaftId],
    queryFn: () =>
      answer(
        api.GET('/api/catalogue', {
          params: { query: { kind, find, ...(kind === 'shaft' ? {} : { shaft: draft.shaftId }) } },
        }),
      ),
    enabled: find.length > 1,
  });
  const shaft = draft.shaftId;
  const inTube = part === 'insert' || part === 'point' || part === 'nock' || part === 'more';
  const misfits = useQuery({
    queryKey: ['catalogue', 'misfits', shaft],
    queryFn: () => answer(api.GET('/api/components/misfits', { params: { query: { shaft } } })),
    enabled: inTube && Boolean(shaft),
  }).data;
  // The same objects from one key press to the next: a list that is new each time empties what is typed.
  const stock = useMemo(
    () => [
      ...(facts.optional ? [{ value: '', label: part === 'more' ? 'pick one to add it' : 'none' }] : []),
      ...stockOf(catalogue, part, units, misfits).map((s) => ({ value: s.id, label: s.label })),
    ],
    [catalogue, part, units, facts.optional, misfits],
  );
  const rows = found.data?.rows;
  const choices = useMemo(
    () => [
      ...stock,
      ...(rows ?? [])
        .filter((row) => !stock.some((s) => s.value === row.id))
        .map((row) => ({
          value: row.id,
          label: [row.fields.name, row.fields.maker, row.misfit].filter(Boolean).join(', '),
        })),
      ...(part === 'shaft' ? [{ value: OWN, label: 'Mine is not here: type what is printed on it' }] : []),
    ],
    [stock, rows, part],
  );
  const field = facts.field!;
  const value = draft[field];
  const use = (id: string) => {
    const found = (shaft: string) => rows?.find((row) => row.id === shaft)?.fields.name;
    const known = shaftName(catalogue);
    const next = withPart(draft, { part, id: id === '' ? null : id });
    onChange(called(draft, next, (shaft) => known(shaft) ?? found(shaft)));
    // The list is for the next one: what was picked stands in the arrow.
    if (part === 'more') focusSoon('[data-panel=more] input');
  };
  return (
    <div ref={here}>
      <FindPick
        key={part === 'more' ? draft.endPartIds?.length : part}
        label={facts.label}
        name={field}
        value={typeof value === 'string' ? value : ''}
        onChange={(id) => (id === OWN ? setOwn(here.current) : use(id))}
        choices={choices}
        onFind={setText}
        // While the catalogue is being looked through it is not offered: Enter would take it for what is looked for.
        otherwise={part === 'shaft' && !found.isFetching && find === text.trim() ? OWN : undefined}
        fault={fault(part === 'vanes' ? 'vane' : part === 'more' ? 'endParts' : part)}
      />
      <Popover anchor={own} onClose={() => setOwn(null)} label="My own shaft">
        <OwnShaft
          onUse={(id) => {
            setOwn(null);
            use(id);
          }}
        />
      </Popover>
    </div>
  );
}

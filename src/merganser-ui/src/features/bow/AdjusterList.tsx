import { Checkbox } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type Schemas } from '../../api/client';
import { Field } from '../../parts/Field';
import { Fold } from '../../parts/Fold';
import { ChoiceRow } from '../../parts/ChoiceRow';
import { Scale } from '../../parts/Scale';
import { classes } from '../../parts/classes';
import type { AdjusterEntry, Entry } from './bowForm';
import w from '../../parts/words.module.css';
import s from './AdjusterList.module.css';

interface Props {
  entry: Entry;
  chosen: AdjusterEntry[];
  standing: Schemas['AdjusterView'][];
  faults: Record<string, string[]>;
  onChange: (adjusters: AdjusterEntry[]) => void;
}

export const useOffers = (entry: Entry) =>
  useQuery({
    queryKey: ['adjusters', entry.kind, entry.camSystem],
    queryFn: () =>
      answer(api.GET('/api/adjusters', { params: { query: { kind: entry.kind, cams: entry.camSystem } } })),
    staleTime: Infinity,
  });

/** Which adjusters the bow has, each on its own scale with its position. */
export function AdjusterList({ entry, chosen, standing, faults, onChange }: Props) {
  const offers = useOffers(entry).data ?? [];
  const toggle = (offer: Schemas['AdjusterOffer'], on: boolean) =>
    onChange(
      on
        ? [
            ...chosen,
            {
              kind: offer.kind,
              lower: offer.lower,
              upper: offer.upper,
              needsPress: offer.needsPress,
              inchesPerStep: '',
              way: usualWay(offer),
            },
          ]
        : chosen.filter((a) => a.kind !== offer.kind),
    );
  const put = (has: AdjusterEntry, part: Partial<AdjusterEntry>) =>
    onChange(chosen.map((a) => (a.kind === has.kind ? { ...a, ...part } : a)));
  // What is ticked or unticked meanwhile stays where it was pressed.
  const [found] = useState(() => chosen.map((a) => a.kind));
  const first = (offer: Schemas['AdjusterOffer']) =>
    offer.usual || found.includes(offer.kind) || standing.some((a) => a.kind === offer.kind);
  const here = offers.filter(first);
  const others = offers.filter((offer) => !first(offer));
  const list = (some: Schemas['AdjusterOffer'][]) => (
    <ul className={s.adjusters}>
      {some.map((offer) => {
        const has = chosen.find((a) => a.kind === offer.kind);
        const now = standing.find((a) => a.kind === offer.kind);
        return (
          <li key={offer.kind} data-kind={offer.kind} className={has ? undefined : s.absent}>
            <label className={s.has}>
              <Checkbox checked={!!has} onChange={(event) => toggle(offer, event.target.checked)} />
              <b>{offer.name}</b>
              {has && <span className={classes(w.tabular, s.place)}>{now?.standing ?? 'at its mark'}</span>}
            </label>
            {has && (
              <Scale
                lower={has.lower}
                upper={has.upper}
                at={now?.position ?? 0}
                label={`${offer.name}: ${now?.standing ?? 'at its mark'}`}
              />
            )}
            {has && (
              <p className={s.room}>
                <span>{now?.room ?? `one step is ${offer.stepUnit}`}</span>
                {has.needsPress && <b>press</b>}
              </p>
            )}
            {has && offer.wayIsAFact && (
              <div className={s.way}>
                <span id={`${offer.kind}-way`}>{WAYS[offer.kind]}</span>
                <ChoiceRow
                  label={`${offer.name}: ${WAYS[offer.kind]}`}
                  value={has.way ?? 'agreed'}
                  choices={ANSWERS}
                  onChange={(way) => put(has, { way })}
                />
              </div>
            )}
            {has && (
              <details className={s.limits}>
                <summary>Travel and step</summary>
                <div className={s.limitGrid}>
                  <Field
                    label="From"
                    name={`${offer.kind}-lower`}
                    value={String(has.lower)}
                    onChange={(text) => put(has, { lower: steps(text, has.lower) })}
                  />
                  <Field
                    label="To"
                    name={`${offer.kind}-upper`}
                    value={String(has.upper)}
                    onChange={(text) => put(has, { upper: steps(text, has.upper) })}
                  />
                  <Field
                    label="A step moves"
                    name={`${offer.kind}-step`}
                    quantity="length"
                    value={has.inchesPerStep ?? ''}
                    onChange={(inchesPerStep) => put(has, { inchesPerStep })}
                    fault={faults[`adjusters.${offer.kind}.inchesPerStep`]?.[0]}
                  />
                </div>
              </details>
            )}
          </li>
        );
      })}
    </ul>
  );
  return (
    <div data-testid="adjusters">
      {list(here)}
      {others.length > 0 && <Fold words={`What else it may have, ${others.length}`}>{list(others)}</Fold>}
    </div>
  );
}

const ANSWERS = [
  ['agreed', 'Yes'],
  ['reversed', 'The other way'],
  ['notKnown', 'Not known'],
] as const;

/** What the maker's sheet is asked, where makers differ; the shots tell where nobody knows. */
const WAYS: Record<string, string> = {
  limbPocket: 'By the maker’s sheet: does clockwise answer a tail right?',
  camSpacer: 'By the maker’s sheet: do cams to the right answer a tail right?',
};

export const usualWay = (offer: Schemas['AdjusterOffer']): 'agreed' | 'notKnown' =>
  offer.wayIsAFact ? 'notKnown' : 'agreed';

/** Whole steps as typed; while it is no number the old one stands. */
function steps(text: string, old: number): number {
  const value = Number(text.replace('\u2212', '-'));
  return text.trim() !== '' && Number.isInteger(value) ? value : old;
}

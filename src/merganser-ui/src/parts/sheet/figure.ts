import type { Schemas } from '../../api/client';

/** A figure with all that one can have. */
export const figure: Schemas['Figure'] = {
  name: 'totalWeight',
  label: 'Total weight',
  value: 409,
  unit: 'gr',
  decimals: 1,
  low: null,
  high: null,
  change: -29.5,
  word: null,
  missing: null,
  text: '409.0',
  shownUnit: 'gr',
  lowText: null,
  highText: null,
  changeText: '−29.5',
  working: {
    what: 'Every part added up.',
    terms: [
      { name: 'Shaft', formula: 'm = ρ L', value: 252, unit: 'gr', decimals: 1, text: '252.0 gr' },
      { name: 'Total', formula: 'M = Σ mᵢ', value: 409, unit: 'gr', decimals: 1, text: '409.0 gr' },
    ],
    source: 'the parts as weighed',
    wouldMove: 'A heavier point.',
  },
};

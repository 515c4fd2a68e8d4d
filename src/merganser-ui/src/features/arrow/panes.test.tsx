import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { answering, refusing, show } from '../../testing/show';
import { ArrowWays, MoreWays } from './ArrowWays';
import { AskPanel } from './AskPanel';
import { EndParts } from './EndParts';
import { partIds, stockOf, withoutEnd, withPart, type Draft } from './parts';
import { stepPart } from './PartPanel';
import { Tries } from './Tries';
import { VersionsPane } from './VersionsPane';
import { WeightsPane } from './WeightsPane';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const part = (name: string, grains: number, more: object = {}) => ({ maker: 'Own', name, grains, ...more });
const catalogue = {
  shafts: ['250', '300', '340', '400'].map((s) => ({
    id: `s${s}`,
    part: {
      maker: 'Own',
      name: s,
      spine: Number(s) / 1000,
      grainsPerInch: 9,
      outerDiameter: 0.246,
      maxLength: 32,
      material: 'Carbon',
    },
  })),
  inserts: [
    { id: 'i0', part: part('Plain', 12) },
    { id: 'i1', part: part('Chisel', 60, { breakOff: 10, breakOffSteps: 3 }) },
  ],
  points: [85, 100, 125].map((g) => ({ id: `p${g}`, part: part(`${g}`, g, { kind: 'field' }) })),
  nocks: [{ id: 'n', part: part('Nock', 9) }],
  vanes: [{ id: 'v', part: part('Vane', 6) }],
  wraps: [{ id: 'w', part: part('Wrap', 5) }],
  endParts: [
    { id: 'c', part: part('Ring', 12, { kind: 'collar' }) },
    { id: 'q', part: part('Pin', 6, { kind: 'pin', diameter: 0.166 }) },
  ],
} as Schemas['Catalogue'];
const draft: Draft = {
  name: 'Own',
  shaftId: 's340',
  cutLength: '28 1/2',
  insertId: 'i1',
  pointId: 'p100',
  nockId: 'n',
  vaneId: 'v',
  vaneCount: 3,
  vaneFront: '',
  wrapId: null,
  glue: '',
  insertBroken: 2,
  pointBroken: 0,
};
const effect = {
  label: 'Pebble 85, 85 gr',
  ratio: 1.06,
  band: 'good',
  words: 'good',
  grains: 394,
  frontOfCenter: 11.3,
  refused: false,
} as const;

describe('stepping a part', () => {
  it('goes to its neighbour in the catalogue and stops at the end', () => {
    expect(stepPart(draft, catalogue, 'point', 1)!.pointId).toBe('p125');
    expect(stepPart({ ...draft, pointId: 'p125' }, catalogue, 'point', 1)).toBeNull();
    expect(stepPart(draft, catalogue, 'shaft', -1)!.shaftId).toBe('s300');
  });

  it('another insert is whole, not broken off', () => {
    expect(stepPart(draft, catalogue, 'insert', -1)).toMatchObject({ insertId: 'i0', insertBroken: 0 });
  });

  it('steps the length by an eighth and the vanes by count', () => {
    expect(stepPart(draft, catalogue, 'length', 1)!.cutLength).toBe('28 5/8');
    expect(stepPart(draft, catalogue, 'vaneCount', 1)!.vaneCount).toBe(4);
    expect(stepPart(draft, catalogue, 'glue', 1)).toBeNull();
  });

  it('names what is in stock with its weight', () => {
    expect(stockOf(catalogue, 'point').map((s) => s.label)).toEqual(['85, 85 gr', '100, 100 gr', '125, 125 gr']);
    expect(stockOf(catalogue, 'glue')).toEqual([]);
  });
});

describe('what stands at the ends', () => {
  it('is added, twice where it is there twice, and named by what it is', () => {
    const two = withPart(withPart(draft, { part: 'more', id: 'c' }), { part: 'more', id: 'c' });
    expect(two.endPartIds).toEqual(['c', 'c']);
    expect(partIds(two).slice(-2)).toEqual(['c', 'c']);
    expect(stockOf(catalogue, 'more').map((s) => s.label)).toEqual([
      'Ring, collar, 12 gr',
      'Pin, pin, 6 gr, into 0.166 in',
    ]);
    expect(stepPart(two, catalogue, 'more', 1)).toBeNull();
  });

  it('is taken out one by one', async () => {
    const changed = vi.fn();
    show(<EndParts draft={{ ...draft, endPartIds: ['c', 'q'] }} catalogue={catalogue} onChange={changed} />);
    await userEvent.click(screen.getByText('2 are in the arrow: take out'));
    await userEvent.click(screen.getByLabelText('Take out Ring, collar, 12 gr'));
    expect(changed).toHaveBeenCalledWith({ ...draft, endPartIds: ['q'] });
    expect(withoutEnd({ ...draft, endPartIds: ['q'] }, 0).endPartIds).toBeUndefined();
  });
});

describe('asking for a value', () => {
  const told = {
    exact: 92.365,
    unit: 'gr',
    words: '92.4 gr at the point gives 12.0 %.',
    cautions: [],
    inStock: [{ effect, draft: { ...draft, pointId: 'p85' } }],
  };

  it('gives the exact answer and tries what is in stock', async () => {
    const asked = answering({ '/api/figures/ask': told });
    const onTry = vi.fn();
    show(<AskPanel bowId="b" draft={draft} onTry={onTry} />);
    await userEvent.click(screen.getByText('Ask'));
    expect(await screen.findByText('92.4 gr at the point gives 12.0 %.')).toBeTruthy();
    expect(asked[0]!.body).toMatchObject({ wanted: 'pointForFrontOfCenter', value: '12', bowId: 'b' });
    await userEvent.click(screen.getByText('Pebble 85, 85 gr'));
    expect(onTry).toHaveBeenCalledWith(expect.objectContaining({ pointId: 'p85' }));
  });

  it('asks for a length or a spine as well', async () => {
    const asked = answering({ '/api/figures/ask': told });
    show(<AskPanel bowId="b" draft={draft} onTry={vi.fn()} />);
    await userEvent.selectOptions(screen.getByLabelText('What is asked for'), 'lengthForWeight');
    await userEvent.clear(screen.getByLabelText('Wanted total weight'));
    await userEvent.type(screen.getByLabelText('Wanted total weight'), '400{Enter}');
    await waitFor(() => expect(asked[0]?.body).toMatchObject({ wanted: 'lengthForWeight', value: '400' }));
  });

  it('shows a refusal beside the field', async () => {
    answering({
      '/api/figures/ask': () => refusing({ value: ['Even without it the arrow balances farther forward than that.'] }),
    });
    show(<AskPanel bowId="b" draft={draft} onTry={vi.fn()} />);
    await userEvent.click(screen.getByText('Ask'));
    expect(await screen.findByText(/farther forward than that/)).toBeTruthy();
  });
});

describe('what would change it', () => {
  it('is tried by a press or by its number, and a change of the bow is only told', async () => {
    const onTry = vi.fn();
    const onAsk = vi.fn();
    const tries = [
      { effect: { ...effect, label: 'Cut 1/4 in off' }, draft: { ...draft, cutLength: '28.25' } },
      { effect: { ...effect, label: 'Bow 1 lb up' }, draft: null },
    ];
    show(<Tries tries={tries} onTry={onTry} onAsk={onAsk} />);
    await userEvent.click(screen.getByText('Cut 1/4 in off'));
    expect(onTry).toHaveBeenCalledTimes(1);
    await userEvent.keyboard('1');
    expect(onTry).toHaveBeenCalledTimes(2);
    await userEvent.keyboard('2');
    expect(onTry).toHaveBeenCalledTimes(2);
    await userEvent.click(screen.getByText('Ask for a value'));
    expect(onAsk).toHaveBeenCalled();
  });
});

describe('the versions', () => {
  const version = (number: number, words: string, shot = false) => ({
    id: `v${number}`,
    number,
    keptAt: '2026-11-23T18:00:00Z',
    words,
    shot,
    typed: { ...draft, pointId: `p${number}` },
  });

  it('say what changed, what was shot, and can be put on the bench', async () => {
    const onOpen = vi.fn();
    answering({
      '/versions?before=': { versions: [version(0, 'the very first')], earlier: null },
      '/versions': {
        versions: [version(2, 'point Pebble 100 to Pebble 125'), version(1, 'the first', true)],
        earlier: 1,
      },
    });
    show(<VersionsPane row={{ id: 'a', version: 3 } as Schemas['ArrowRow']} onOpen={onOpen} onBinned={vi.fn()} />);
    expect(await screen.findByText(/point Pebble 100 to Pebble 125/)).toBeTruthy();
    expect(screen.getByText(/shot through paper: frozen/)).toBeTruthy();
    await userEvent.click(screen.getAllByText('Put it on the bench')[1]!);
    expect(onOpen).toHaveBeenCalledWith(expect.objectContaining({ pointId: 'p1' }));
    expect(screen.getByText('Card to print (PDF)').getAttribute('href')).toBe('/api/arrows/a/card.pdf');
    await userEvent.click(screen.getByText('Earlier ones'));
    expect(await screen.findByText(/the very first/)).toBeTruthy();
    expect(screen.getAllByText('Put it on the bench')).toHaveLength(3);
    expect(screen.queryByText('Earlier ones')).toBeNull();
  });
});

describe('light, middle, heavy', () => {
  const point = (grains: number) => ({
    grains,
    speed: 300 - grains / 10,
    low: 280,
    high: 310,
    kineticEnergy: 60 + grains / 100,
    momentum: grains / 1000,
    grainsPerPound: grains / 65,
  });
  const weights = {
    curve: [250, 500, 750].map(point),
    schools: [{ name: 'Middle', from: 400, to: 520, for: 'Easy to tune.', against: 'The best of neither.' }],
    rules: [{ figure: 'frontOfCenter', unit: '%', from: 10, to: 15, words: '10 to 15 % for field' }],
    here: point(409),
    word: 'Middle',
    law: 'Local law sets what is needed.',
  };

  it('asks for the purpose first', async () => {
    const heavy = {
      name: 'Heavy',
      grains: '675 gr',
      speed: '218 ft/s',
      energy: '71.5 ft·lb',
      momentum: '0.655 slug·ft/s',
      drift: '1.6 in',
      honest: '24 yd',
      heights: [-4.5, 2, 0, -6],
    };
    const flights = { at: 2, steps: 2, words: 'By experience.', schools: [heavy] };
    const asked = answering({ '/weights': weights, '/weights/flight': flights });
    show(<WeightsPane bowId="b" grains={409} />);
    expect(screen.getByText(/pick one first/)).toBeTruthy();
    expect(asked).toHaveLength(0);
    await userEvent.click(screen.getByText('Field and 3D'));
    expect(await screen.findByText('Easy to tune.')).toBeTruthy();
    expect(screen.getByText('10 to 15 % for field')).toBeTruthy();
    expect(screen.getByText(/Local law/)).toBeTruthy();
    expect(asked[0]!.path).toContain('purpose=field');
    expect(asked[0]!.path).toContain('grains=409');
    expect(await screen.findByText('24 yd')).toBeTruthy();
  });
});

describe('the ways of an arrow', () => {
  it('stand as a row, the present one marked', () => {
    show(<ArrowWays bowId="b" arrowId="a" way="chart" />);
    expect(screen.getByText('Needed spine').getAttribute('aria-current')).toBe('true');
    expect(screen.getByText('Build').getAttribute('href')).toBe('/bows/b/arrow?arrow=a');
    expect(screen.getByText('Catalogue').getAttribute('href')).toBe('/catalogue?bow=b&arrow=a');
  });

  it('or behind one key', async () => {
    show(<MoreWays bowId="b" arrowId="a" />);
    await userEvent.click(screen.getByText('Compare, charts, files'));
    expect(screen.getByText('Compare').getAttribute('href')).toBe('/bows/b/arrow?arrow=a&way=compare');
  });
});

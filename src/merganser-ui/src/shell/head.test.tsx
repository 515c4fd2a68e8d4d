import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../testing/show';
import { StartPage } from '../features/start/StartPage';
import { tradeUnits } from '../units/units';
import { ShellHead } from './ShellHead';
import { KeySheet } from './KeySheet';
import { UnitsKey } from './UnitsKey';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  localStorage.clear();
});

const stops = ['start', 'bow', 'arrow', 'dozen', 'paper', 'groups', 'story'].map((name) => ({
  name,
  state: `${name} state`,
}));
const bow = (id: string, name: string, nextStop = 'paper') => ({
  id,
  name,
  archerName: 'Own archer',
  kind: 'compound',
  hand: 'right',
  line: 'Compound, right-handed, 65.5 lb',
  state: `${name} stands so.`,
  unsound: null as string | null,
  nextStop,
  nextWords: `Go on with ${name}`,
  stops,
  urgency: 'inWork',
  string: { shots: 87, span: 400, checksAt: [100, 300], nextCheck: 100, due: false },
  shotWellAt: null,
  arrowsOut: null,
});
const rack = (bows: object[], archived: object[] = []) => ({
  unreadable: [],
  bows,
  archived,
  next: {
    sentence: 'Brindle: paper open.',
    reason: 'Everything is kept.',
    action: 'paper',
    button: 'Go on',
    alternative: 'Enter another bow',
    alternativeAction: 'newBow',
  },
});

describe('the head', () => {
  it('shows the job in its order with the state of each stop', async () => {
    answering({ '/api/rack': rack([bow('b', 'Brindle')]), '/api/bows/b': { units: tradeUnits } });
    show(<ShellHead at="arrow" bowId="b" />);
    expect(await screen.findByText('dozen state')).toBeTruthy();
    const present = screen.getAllByRole('link', { current: 'page' })[0]!;
    expect(present.textContent).toContain('Arrow');
    expect(screen.getByText('compound, right-handed')).toBeTruthy();
  });

  it('without a bow in hand leads to the rack', () => {
    answering({ '/api/rack': rack([]) });
    show(<ShellHead at="start" />);
    expect(screen.getByText('No bow in hand')).toBeTruthy();
  });
});

describe('the rack', () => {
  it('says of no rack that it is empty before it was read', async () => {
    answering({ '/api/rack': () => rack([]) });
    show(<StartPage />);
    expect(screen.getByText('Opening the rack …')).toBeTruthy();
    expect(screen.queryByText('No bow hangs here yet.')).toBeNull();
    expect(screen.queryByText('An empty peg')).toBeNull();
    expect(await screen.findByText('An empty peg')).toBeTruthy();
    expect(screen.getByText('No bow hangs here yet.')).toBeTruthy();
  });

  it('hangs every bow with its state and its next step', async () => {
    answering({ '/api/rack': rack([bow('b', 'Brindle'), bow('t', 'Tall Osk')]) });
    show(<StartPage />);
    expect(await screen.findByText('Brindle stands so.')).toBeTruthy();
    expect(screen.getByText('Go on with Tall Osk')).toBeTruthy();
    expect(screen.queryByLabelText('Find a bow or an archer')).toBeNull();
  });

  it('is searched when many hang on it', async () => {
    answering({ '/api/rack': rack(['A', 'B', 'C', 'Dunlin'].map((n, i) => bow(`b${i}`, n))) });
    show(<StartPage />);
    await userEvent.type(await screen.findByLabelText('Find a bow or an archer'), 'dun');
    expect(screen.queryByText('A stands so.')).toBeNull();
    expect(screen.getByText('Dunlin stands so.')).toBeTruthy();
  });

  it('draws the string as its gauge and says what a look at a bow asks', async () => {
    const well = { ...bow('b', 'Brindle'), shotWellAt: '2026-09-12T10:00:00Z', arrowsOut: { out: 2, of: 12 } };
    answering({
      '/api/rack': rack([
        well,
        { ...bow('t', 'Tall Osk'), string: { shots: 342, span: 400, checksAt: [100, 300], nextCheck: 300, due: true } },
      ]),
    });
    show(<StartPage />);
    await screen.findByText('Brindle');
    const [first, second] = [...document.querySelectorAll('[data-bow]')];
    expect(first!.textContent).toContain('87 shotsarrows out2 of 12last shot well12 Septstring checkin 13');
    expect(second!.textContent).toContain('342 shotslast shot wellnot markedstring check300 is due');
  });

  it('is rows once it is long, what is due first, and shows those alone when asked', async () => {
    const due = { ...bow('d', 'Due one'), urgency: 'due' };
    const unsound = { ...bow('u', 'Cracked one'), urgency: 'unsound', unsound: 'cracked' };
    answering({ '/api/rack': rack([...'ABCD'].map((n) => bow(n, n)).concat([due, unsound])) });
    show(<StartPage />);
    await screen.findByText('Due one');
    const names = () => screen.getAllByRole('heading', { level: 2 }).map((h) => h.textContent);
    expect(names()).toEqual(['Cracked one', 'Due one', 'A', 'B', 'C', 'D']);
    await userEvent.click(screen.getByText('Due 2'));
    expect(names()).toEqual(['Cracked one', 'Due one']);
  });

  it('names what was taken off it', async () => {
    answering({ '/api/rack': rack([bow('b', 'Brindle')], [{ id: 'o', name: 'Old one', version: 2 }]) });
    show(<StartPage />);
    expect((await screen.findByText('Old one')).getAttribute('href')).toBe('/bows/o/bow?way=measures');
  });

  it('shows nothing below the rack that would move when it comes', async () => {
    let come: (rack: unknown) => void = () => undefined;
    answering({ '/api/rack': () => new Promise((done) => (come = done)) });
    show(<StartPage />);
    expect(await screen.findByText('Opening the rack …')).toBeTruthy();
    expect(screen.queryByText('Data and copies')).toBeNull();
    come(refusing({}, 'No.', 500));
    expect(await screen.findByText('Data and copies')).toBeTruthy();
  });

  it('says so when the server does not answer', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('away')));
    show(<StartPage />);
    expect(await screen.findByText(/Start it again with/)).toBeTruthy();
  });

  it('says what the server said when the rack cannot be read', async () => {
    answering({ '/api/rack': () => refusing({}, 'Something went wrong here.', 500) });
    show(<StartPage />);
    expect(await screen.findByText('The rack could not be read.')).toBeTruthy();
    expect(screen.getByText('Something went wrong here.')).toBeTruthy();
  });
});

describe('the keys', () => {
  it('open by ?, and single letters can be turned off', async () => {
    show(<KeySheet />);
    await userEvent.keyboard('?');
    expect(await screen.findByText('go to the stops of the rule')).toBeTruthy();
    await userEvent.click(screen.getByRole('checkbox'));
    expect(localStorage.getItem('merganser-letters')).toBe('off');
    await userEvent.click(screen.getByText('Close'));
    await waitFor(() => expect(screen.queryByText('go to the stops of the rule')).toBeNull());
  });
});

describe('the keys of a page', () => {
  const log = 'log a move';
  it.each([
    ['/', []],
    ['/glossary', []],
    ['/bows/b/bow', [log]],
    ['/bows/b/bow?check=peep', [log]],
    ['/bows/b/bow?way=string', []],
    ['/bows/b/paper', [log, 'mark a shot']],
    ['/bows/b/paper?way=nocks', []],
    ['/bows/b/groups?way=sizes', []],
    ['/bows/b/arrow', ['step the chosen part']],
    ['/bows/b/arrow?way=compare', []],
    ['/bows/b/dozen?dozen=d&way=weigh', ['take the piece back that was weighed last']],
    ['/bows/b/dozen?dozen=d&way=tray', []],
  ])('at %s are those that do something there', async (path, listed) => {
    show(<KeySheet />, path);
    await userEvent.keyboard('?');
    await screen.findByText('go to the stops of the rule');
    const own = [log, 'mark a shot', 'step the chosen part', 'take the piece back that was weighed last'];
    expect(own.filter((words) => screen.queryByText(words))).toEqual(listed);
    expect(screen.queryByText('find')).toBeNull();
  });
});

describe('the units', () => {
  const archer = {
    id: 'a',
    version: 4,
    archer: { name: 'Own archer', hand: 'right', hasPress: false, school: 'ladder', units: null },
  };

  it('are chosen at once, whatever else is still on its way', async () => {
    const asked = answering({ '/api/bows/b/units': archer });
    show(<UnitsKey bowId="b" />);
    await userEvent.click(screen.getByText('gr in'));
    await userEvent.click(screen.getByText('All metric'));
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    expect(asked.filter((a) => !a.path.includes('/units'))).toEqual([]);
    expect(asked.find((a) => a.method === 'POST')!.body).toMatchObject({ length: 'centimetres', mass: 'grams' });
  });

  it('say when they could not be kept', async () => {
    answering({
      '/api/bows/b/units': () => refusing({}, 'The disk is full.', 507),
    });
    show(<UnitsKey bowId="b" />);
    await userEvent.click(screen.getByText('gr in'));
    await userEvent.click(screen.getByText('All as the trade'));
    expect(await screen.findByText('The disk is full.')).toBeTruthy();
  });
});

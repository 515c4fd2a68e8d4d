import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../../api/client';
import { sent } from '../../testing/fixtures';
import { show } from '../../testing/show';
import { LadderPanel } from './LadderPanel';
import { paper } from './sessionFixtures';
import { StageRail } from './StageRail';

afterEach(cleanup);

type Rung = Schemas['PaperView']['ladder']['rungs'][number];

describe('the ladder', () => {
  const rung = (code: Rung['code'], part: Partial<Rung> = {}): Rung => ({
    code,
    title: String(code),
    how: `how ${code}`,
    tells: `tells ${code}`,
    control: true,
    noteId: null,
    outcome: null,
    note: null,
    ...part,
  });
  const ladder = (acts: object = {}) => {
    const all = { onControl: vi.fn(), onNote: vi.fn(), onWithdraw: vi.fn(), ...acts };
    const rungs = [
      rung('grip', { outcome: 'nothing', noteId: 'n1', note: 'no change' }),
      rung('controlArrow'),
      rung('screws'),
    ];
    show(
      <LadderPanel paper={paper({ ladder: { wanted: true, rungs, next: 'controlArrow' } })} busy={false} {...all} />,
    );
    return all;
  };

  it('offers only the rung that is next, and takes what was seen', async () => {
    const acts = ladder();
    expect(screen.getByText('Moves do not help: look here first')).toBeTruthy();
    expect(screen.getAllByText('Nothing found')).toHaveLength(1);
    await userEvent.click(screen.getByText('Shoot it now'));
    expect(acts.onControl).toHaveBeenCalledWith('controlArrow');
    await userEvent.type(screen.getByLabelText('controlArrow: what was seen'), 'flies clean');
    await userEvent.click(screen.getByText('Something was found'));
    expect(acts.onNote).toHaveBeenCalledWith('controlArrow', 'found', 'flies clean');
  });

  it('takes a rung back, and a note of one’s own', async () => {
    const acts = ladder();
    expect(screen.getByText(/done, nothing found: no change/)).toBeTruthy();
    await userEvent.click(screen.getByText('Take back'));
    expect(acts.onWithdraw).toHaveBeenCalledWith('n1');
    await userEvent.type(screen.getByLabelText('A note at this place'), 'seated');
    await userEvent.click(screen.getByText('Note it'));
    expect(acts.onNote).toHaveBeenCalledWith(null, null, 'seated');
  });
});

describe('the stages', () => {
  it('stand on a rail with how each is, and one press goes there', async () => {
    const onGo = vi.fn();
    const stages = [
      {
        words: '3 yd bare',
        distance: 3,
        fletched: false,
        atTarget: false,
        heads: false,
        walk: null,
        sighting: false,
        ways: null,
        rangeError: null,
        nockEnd: false,
        planned: true,
        inWork: true,
        shots: 4,
        reading: null,
        chance: 0.98,
      },
      {
        words: '6 yd bare',
        distance: 6,
        fletched: false,
        atTarget: false,
        heads: false,
        walk: null,
        sighting: false,
        ways: null,
        rangeError: null,
        nockEnd: false,
        planned: true,
        inWork: false,
        shots: 0,
        reading: null,
        chance: null,
      },
    ];
    show(<StageRail paper={paper({ plan: { ...sent.paper.plan, stages, arrowNumbers: [] } })} onGo={onGo} />);
    expect(screen.getByRole('button', { name: '3 yd bare 98 % in' }).getAttribute('aria-current')).toBe('step');
    await userEvent.click(screen.getByRole('button', { name: '6 yd bare not yet' }));
    expect(onGo).toHaveBeenCalledWith(stages[1]);
  });
});

import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { only, sent } from '../../testing/fixtures';
import { AddReminder } from './AddReminder';
import { ShootPane } from './ShootPane';
import type { PlanWork } from './usePlan';

afterEach(cleanup);

const shoot = sent.plan.shoot!;

describe('the plan', () => {
  it('says of each bow whether something is open before the shoot, not by colour alone', () => {
    const [first, ...others] = shoot.bows;
    render(
      <MemoryRouter>
        <ShootPane shoot={{ ...shoot, bows: [{ ...first!, ready: true, lines: [] }, ...others] }} />
      </MemoryRouter>,
    );
    expect(screen.getAllByRole('img', { name: 'in order' })).toHaveLength(1);
    expect(screen.getAllByRole('img', { name: 'open' })).toHaveLength(others.length);
    expect(screen.getByRole('img', { name: '5 days left' })).toBeTruthy();
  });

  it('asks for shots of a bow or for a day, and leaves out what is not asked', async () => {
    const add = vi.fn().mockResolvedValue(true);
    const done = vi.fn();
    const work = only<PlanWork>({ problem: null, faults: {}, busy: false, clear: () => undefined, add });
    render(<AddReminder plan={sent.plan} work={work} onDone={done} />);
    await userEvent.type(screen.getByLabelText('What is to be done'), 'Wax the string');
    await userEvent.click(screen.getByRole('button', { name: 'After shots' }));
    expect(screen.queryByLabelText('On')).toBeNull();
    await userEvent.selectOptions(screen.getByLabelText('Which bow'), 'Tansel');
    await userEvent.type(screen.getByLabelText(/After so many shots/), '60{Enter}');
    expect(add.mock.calls[0]![0]).toMatchObject({ kind: 'byShots', text: 'Wax the string', shots: '60' });
    await waitFor(() => expect(done).toHaveBeenCalledOnce());
  });
});

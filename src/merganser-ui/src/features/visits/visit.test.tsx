import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { MemoryRouter } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { only, sent } from '../../testing/fixtures';
import { FoundTable } from './FoundTable';
import { HandOverPane } from './HandOverPane';
import { PartsPane } from './PartsPane';
import type { VisitWork } from './useVisits';

afterEach(cleanup);

const visit = sent.visits.shown!;
const atTheBench = { ...visit, line: { ...visit.line, handedOverAt: null, nextOn: null } };
const work = (part: Partial<VisitWork> = {}) =>
  only<VisitWork>({ problem: null, faults: {}, busy: false, clear: () => undefined, ...part });

describe('a visit', () => {
  it('shows what differs from how it came, and the rest on request', async () => {
    render(<FoundTable visit={visit} />);
    expect(screen.getByRole('rowheader', { name: 'Rest in/out' })).toBeTruthy();
    expect(screen.queryByRole('rowheader', { name: 'Brace height' })).toBeNull();
    await userEvent.click(screen.getByRole('button', { name: /as found: show them/ }));
    expect(screen.getByRole('rowheader', { name: 'Brace height' })).toBeTruthy();
  });

  it('says what goes home with it, and takes own words and a day when it is handed over', async () => {
    const handOver = vi.fn().mockResolvedValue(visit.line.id);
    render(<HandOverPane bowId="b" visit={atTheBench} work={work({ handOver })} />);
    expect(screen.getByText('A new string was put on.')).toBeTruthy();
    expect(screen.getByText(/pencil mark/)).toBeTruthy();
    await userEvent.type(screen.getByLabelText(/in your own words/), 'Listen to the loop');
    await userEvent.type(screen.getByLabelText('Next visit'), '2027-03-01');
    await userEvent.click(screen.getByRole('button', { name: 'Hand it over' }));
    expect(handOver).toHaveBeenCalledExactlyOnceWith(visit.line.id, 'Listen to the loop', '2027-03-01');
  });

  it('keeps a line as it was typed when it is refused, and names the field', async () => {
    const addLine = vi.fn().mockResolvedValue(null);
    const faults = { quantity: ['More than 0, up to 100,000.'] };
    render(
      <MemoryRouter>
        <PartsPane visit={atTheBench} view={sent.visits} work={work({ addLine, faults })} />
      </MemoryRouter>,
    );
    const form = within(screen.getByRole('form', { name: 'A line of parts or labour' }));
    await userEvent.type(form.getByLabelText('Which part'), 'Loop cord');
    await userEvent.click(form.getByRole('button', { name: 'Put it on the sheet' }));
    expect(addLine.mock.calls[0]![1]).toMatchObject({ kind: 'part', text: 'Loop cord', quantity: '1', price: '' });
    expect(form.getByLabelText<HTMLInputElement>('Which part').value).toBe('Loop cord');
    expect(form.getByText(/More than 0/)).toBeTruthy();
  });

  it('says beside a part from another bow that its place is found anew', async () => {
    render(<PartsPane visit={atTheBench} view={sent.visits} work={work()} />);
    await userEvent.click(screen.getByRole('button', { name: 'Carried over' }));
    expect(screen.getByText(/height of the peep/)).toBeTruthy();
  });

  it('offers the facts of a part that came over, each beside what stands here', async () => {
    const takeFacts = vi.fn().mockResolvedValue(null);
    const brings = [{ name: 'The rest', here: 'drop-away, drops late', there: 'containment' }];
    const rest = { ...visit.lines[0]!, id: 'rest', text: 'Rest', fromBow: 'Whimbrel', brings };
    render(<PartsPane visit={{ ...atTheBench, lines: [rest] }} view={sent.visits} work={work({ takeFacts })} />);
    const facts = within(screen.getByRole('region', { name: 'Rest, its own facts' }));
    expect(facts.getByRole('listitem').textContent).toBe('The rest: drop-away, drops late here, containment there');
    await userEvent.click(facts.getByRole('button', { name: 'Put it on this bow’s record' }));
    expect(takeFacts).toHaveBeenCalledExactlyOnceWith(visit.line.id, 'rest');
  });

  it('that was handed over takes no more lines', () => {
    render(<PartsPane visit={visit} view={sent.visits} work={work()} />);
    expect(screen.queryByRole('form')).toBeNull();
    expect(screen.getByText('155.50')).toBeTruthy();
  });
});

import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answering, refusing, show } from '../../testing/show';
import CataloguePage from './CataloguePage';
import { ImportPanel } from './ImportPanel';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const field = (name: string, label: string, kind = 'number', choices: string[] = []) => ({
  name,
  label,
  kind,
  quantity: 'weight',
  range: { low: 0, high: 60, unit: 'gr', why: '', words: '' },
  required: true,
  choices,
});
const fields = {
  shaft: [field('maker', 'Maker', 'text'), field('name', 'Family and size', 'text')],
  wrap: [field('maker', 'Maker', 'text'), field('name', 'Name', 'text'), field('grains', 'Weight')],
};
const row = {
  id: 'w1',
  class: 'wrap',
  fields: { maker: 'Own', name: 'Band 3', grains: '4.1' },
  retired: false,
  version: 2,
};
const rack = { bows: [], next: { sentence: '', reason: '', action: '', button: '' }, archived: [], unreadable: [] };
const answers = (more: Record<string, unknown> = {}) => ({
  '/api/component-fields': fields,
  '/api/catalogue?': { rows: [row], found: 1, all: 1 },
  '/api/rack': rack,
  ...more,
});

describe('the catalogue', () => {
  it('lists the parts of a class with their columns', async () => {
    answering(answers());
    show(<CataloguePage />, '/catalogue?kind=wrap');
    expect(await screen.findByText('Band 3')).toBeTruthy();
    expect(screen.getByText('1 of 1')).toBeTruthy();
    expect(screen.getAllByRole('columnheader').map((c) => c.textContent)).toEqual(['Name', 'Maker', 'Weight gr']);
  });

  it('looks for what is typed on the server', async () => {
    const asked = answering(answers());
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await userEvent.type(screen.getByLabelText('Find a part'), 'band');
    await waitFor(() => expect(asked.some((a) => a.path.includes('find=band'))).toBe(true));
  });

  it('keeps an edit with the version it was made on', async () => {
    const asked = answering(answers({ '/api/catalogue/w1': row }));
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await userEvent.click(await screen.findByLabelText('Open Band 3'));
    const weight = screen.getByLabelText('Weight');
    await userEvent.clear(weight);
    await userEvent.type(weight, '4,3');
    await userEvent.click(screen.getByTestId('go'));
    await waitFor(() => expect(asked.some((a) => a.method === 'PUT')).toBe(true));
    expect(asked.find((a) => a.method === 'PUT')!.body).toMatchObject({
      id: 'w1',
      class: 'wrap',
      fields: { grains: '4,3' },
    });
    await waitFor(() => expect(screen.queryByLabelText('Weight')).toBeNull());
  });

  it('keeps what was typed beside the fault', async () => {
    answering(
      answers({ '/api/catalogue/w1': () => refusing({ grains: ['Allowed is 0 to 60 gr: a few grains each.'] }) }),
    );
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await userEvent.click(await screen.findByLabelText('Open Band 3'));
    await userEvent.clear(screen.getByLabelText('Weight'));
    await userEvent.type(screen.getByLabelText('Weight'), '900');
    await userEvent.click(screen.getByTestId('go'));
    expect(await screen.findByText(/a few grains each/)).toBeTruthy();
    expect((screen.getByLabelText('Weight') as HTMLInputElement).value).toBe('900');
  });

  it('copies a part under a name of its own', async () => {
    const asked = answering(answers({ '/api/catalogue': row }));
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await userEvent.click(await screen.findByLabelText('Open Band 3'));
    await userEvent.click(screen.getByText('Copy it'));
    await userEvent.click(screen.getByTestId('go'));
    await waitFor(() => expect(asked.some((a) => a.method === 'POST')).toBe(true));
    const body = asked.find((a) => a.method === 'POST')!.body as { id: string; fields: { name: string } };
    expect(body.fields.name).toBe('Band 3, copy');
    expect(body.id).not.toBe('w1');
  });

  it('sorts on the server, one way and the other', async () => {
    const asked = answering(answers());
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await screen.findByText('Band 3');
    await userEvent.click(screen.getByText('Weight gr'));
    await waitFor(() => expect(asked.some((a) => a.path.includes('sort=grains&down=false'))).toBe(true));
    await userEvent.click(screen.getByText('Weight gr ↑'));
    await waitFor(() => expect(asked.some((a) => a.path.includes('sort=grains&down=true'))).toBe(true));
  });

  it('edits a cell by keys, says what is wrong beside it, and takes it back', async () => {
    let refuse = true;
    const asked = answering(
      answers({
        '/api/catalogue/w1': (body: { fields: { grains: string } }) =>
          refuse ? refusing({ grains: ['a few grains each'] }) : { ...row, version: 3, fields: body.fields },
      }),
    );
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await screen.findByText('Band 3');
    screen.getByText('Band 3').closest<HTMLElement>('[data-cell]')!.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    await waitFor(() => expect(document.activeElement?.textContent).toBe('4.1'));
    await userEvent.keyboard('{F2}');
    await userEvent.keyboard('900{Enter}');
    expect(await screen.findByText('a few grains each')).toBeTruthy();
    refuse = false;
    await userEvent.clear(screen.getByLabelText('Weight of Band 3'));
    await userEvent.keyboard('4.6{Enter}');
    await userEvent.click(await screen.findByText('Undo: weight of Band 3'));
    await waitFor(() =>
      expect(asked.filter((a) => a.method === 'PUT').map((a) => (a.body as typeof row).fields.grains)).toEqual([
        '900',
        '4.6',
        '4.1',
      ]),
    );
  });

  // The interface test that lost the focus here once in many runs: a frame came before the cell was drawn.
  it('stays at the cell after an edit when a frame comes before the page is drawn', async () => {
    const asked = answering(answers({ '/api/catalogue/w1': row }));
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await screen.findByText('Band 3');
    screen.getByText('Band 3').closest<HTMLElement>('[data-cell]')!.focus();
    await userEvent.keyboard('{ArrowRight}{ArrowRight}');
    await waitFor(() => expect(document.activeElement?.textContent).toBe('4.1'));
    vi.stubGlobal('requestAnimationFrame', (frame: FrameRequestCallback) => (frame(0), 0));
    await userEvent.keyboard('{F2}4.6{Enter}');
    await waitFor(() => expect(asked.some((a) => a.method === 'PUT')).toBe(true));
    await waitFor(() => expect(document.activeElement?.getAttribute('data-cell')).toBe('0.2'));
  });

  it('deletes without asking, and puts the part back as it was', async () => {
    const asked = answering(answers({ '/api/catalogue/w1': row, '/api/catalogue': row }));
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await userEvent.click(await screen.findByLabelText('Open Band 3'));
    await userEvent.click(screen.getByText('Delete it'));
    await userEvent.click(await screen.findByText('Undo: the deleting of Band 3'));
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'POST')?.body).toMatchObject({ id: 'w1', fields: row.fields }),
    );
  });

  it('says why a part in use stays', async () => {
    answering(
      answers({
        '/api/catalogue/w1': () => refusing({}, 'Band 3 is in use (Island 340): it can be retired, not deleted.'),
      }),
    );
    show(<CataloguePage />, '/catalogue?kind=wrap');
    await userEvent.click(await screen.findByLabelText('Open Band 3'));
    await userEvent.click(screen.getByText('Delete it'));
    expect(await screen.findByText(/it can be retired, not deleted/)).toBeTruthy();
  });
});

describe('an import', () => {
  const view = (part: object) => ({
    id: 'i',
    state: 'checked',
    class: 'wrap',
    columns: ['maker', 'weight'],
    fields: { maker: 'Maker', grains: 'Weight' },
    mapping: { maker: 'maker' },
    rows: 4,
    done: 4,
    good: 2,
    changed: 1,
    changes: [{ row: 3, id: 'w1', name: 'Band 3', fields: [{ field: 'grains', from: '4.1', to: '4.6' }] }],
    problems: [{ row: 3, column: 'weight', message: '“heavy” is not a number.' }],
    problemCount: 1,
    preview: [['Own', '5']],
    message: null,
    fixed: {},
    remembered: false,
    letters: [],
    same: 0,
    ...part,
  });
  const give = () =>
    fireEvent.change(screen.getByLabelText('The file'), {
      target: { files: [new File(['maker,weight\nOwn,5\n'], 'w.csv')] },
    });

  it('tells each problem with its row and column, and writes nothing before a yes', async () => {
    const onDone = vi.fn();
    const asked = answering({ '/api/imports/': view({}), '/api/imports/i/confirm': view({ state: 'written' }) });
    show(<ImportPanel kind="wrap" onDone={onDone} onClose={vi.fn()} />);
    give();
    expect(await screen.findByText(/2 of 4 rows can be written; 1 part/)).toBeTruthy();
    expect(screen.getByText(/Weight 4.1 to 4.6/)).toBeTruthy();
    expect(screen.getByText('Row 3, weight:')).toBeTruthy();
    expect(onDone).not.toHaveBeenCalled();
    await userEvent.click(screen.getByText('Write 2 parts'));
    await waitFor(() => expect(onDone).toHaveBeenCalled());
    expect(asked.some((a) => a.path.endsWith('/confirm'))).toBe(true);
  });

  it('checks again with another column', async () => {
    const asked = answering({
      '/api/imports/': view({}),
      '/api/imports/i/mapping': view({ good: 4, mapping: { maker: 'maker', grains: 'weight' } }),
    });
    show(<ImportPanel kind="wrap" onDone={vi.fn()} onClose={vi.fn()} />);
    give();
    await userEvent.click(await screen.findByText(/Which column is what/));
    await userEvent.selectOptions(screen.getByLabelText('Weight'), 'weight');
    expect(await screen.findByText(/4 of 4 rows/)).toBeTruthy();
    expect(asked.find((a) => a.method === 'PUT')!.body).toEqual({
      mapping: { maker: 'maker', grains: 'weight' },
      fixed: {},
    });
  });

  it('shows progress and can be cancelled', async () => {
    answering({
      '/api/imports/': view({ state: 'checking', done: 1 }),
      '/api/imports/i/cancel': view({ state: 'cancelled' }),
    });
    show(<ImportPanel kind="wrap" onDone={vi.fn()} onClose={vi.fn()} />);
    give();
    expect(await screen.findByText(/Checking 1 of 4/)).toBeTruthy();
    await userEvent.click(screen.getByText('Cancel'));
    expect(await screen.findByText('Cancelled: nothing was written.')).toBeTruthy();
  });

  it('leaves nothing of the file before to be written when the next one is refused', async () => {
    let file = 0;
    answering({ '/api/imports/': () => (file++ === 0 ? view({}) : refusing({}, 'There is no header line.')) });
    show(<ImportPanel kind="wrap" onDone={vi.fn()} onClose={vi.fn()} />);
    give();
    expect(await screen.findByText('Write 2 parts')).toBeTruthy();
    give();
    expect(await screen.findByText(/no header line/)).toBeTruthy();
    expect(screen.queryByText(/^Write/)).toBeNull();
  });

  it('takes one text for all rows once it is typed, and keeps the list of columns open', async () => {
    const asked = answering({
      '/api/imports/': view({}),
      '/api/imports/i/mapping': view({ fixed: { grains: '5' }, good: 4 }),
    });
    show(<ImportPanel kind="wrap" onDone={vi.fn()} onClose={vi.fn()} />);
    give();
    await userEvent.click(await screen.findByText(/Which column is what/));
    await userEvent.selectOptions(screen.getByLabelText('Weight'), 'the same for all rows');
    expect(asked.some((a) => a.method === 'PUT')).toBe(false);
    await userEvent.type(screen.getByLabelText('Weight, for all rows'), '5{Enter}');
    await waitFor(() =>
      expect(asked.find((a) => a.method === 'PUT')?.body).toEqual({
        mapping: { maker: 'maker' },
        fixed: { grains: '5' },
      }),
    );
    expect(await screen.findByText(/4 of 4 rows/)).toBeTruthy();
    expect(screen.getByLabelText('Weight')).toBeTruthy();
  });

  it('says that the same file changes nothing', async () => {
    answering({ '/api/imports/': view({ good: 0, same: 4, problemCount: 0, problems: [], changed: 0, changes: [] }) });
    show(<ImportPanel kind="wrap" onDone={vi.fn()} onClose={vi.fn()} />);
    give();
    expect(await screen.findByText('All 4 parts are there as they stand: nothing to write.')).toBeTruthy();
    expect(screen.queryByText(/^Write/)).toBeNull();
  });

  it('says what is wrong with the file itself', async () => {
    answering({ '/api/imports/': () => refusing({}, 'The file is not UTF-8: save it as "CSV UTF-8" and try again.') });
    show(<ImportPanel kind="wrap" onDone={vi.fn()} onClose={vi.fn()} />);
    give();
    expect(await screen.findByText(/not UTF-8/)).toBeTruthy();
  });
});

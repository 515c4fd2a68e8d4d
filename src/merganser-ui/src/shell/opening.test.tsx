import { useQuery } from '@tanstack/react-query';
import { cleanup, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it, vi } from 'vitest';
import { answer, api } from '../api/client';
import { App } from '../app/App';
import { answering, refusing, show } from '../testing/show';
import { Foot } from './Foot';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it.each(['bow', 'arrow', 'dozen', 'paper?way=nocks', 'groups?way=range', 'story', 'visit'])(
  'opens nothing of a bow that there is not: %s',
  async (stop) => {
    answering({ '/api/rack': { bows: [] } });
    show(<App />, `/bows/nobody/${stop}`);
    expect(await screen.findByRole('heading', { name: 'There is no such bow on this rack.' })).toBeTruthy();
    await waitFor(() => expect(screen.getByTestId('go').textContent).toContain('To the rack'));
  },
);

/** A page with a part beside its main thing. */
function Page() {
  const part = useQuery({ queryKey: ['archers'], queryFn: () => answer(api.GET('/api/archers')) });
  return (
    <>
      <p>{part.data ? 'The part.' : ''}</p>
      <Foot sentence="Go on." reason="" button="On" onGo={() => undefined} />
    </>
  );
}

it('says in the foot when a part of the page could not be read, and reads it again', async () => {
  let whole = false;
  answering({ '/api/archers': () => (whole ? [] : refusing({}, 'A row is damaged.', 500)) });
  show(<Page />);
  expect(await screen.findByText('Not all of this page could be read. A row is damaged.')).toBeTruthy();
  expect(screen.getByTestId('next').textContent).toContain('Go on.');
  whole = true;
  await userEvent.click(screen.getByRole('button', { name: 'Read the rest again' }));
  expect(await screen.findByText('The part.')).toBeTruthy();
  expect(screen.queryByText(/Not all of this page/)).toBeNull();
});

it('leaves to the page what is not on record or was asked wrongly', async () => {
  answering({ '/api/archers': () => refusing({}, 'No such.', 404) });
  show(<Page />);
  await waitFor(() => expect(screen.getByTestId('next')).toBeTruthy());
  await new Promise((done) => setTimeout(done, 100));
  expect(screen.queryByText(/Not all of this page/)).toBeNull();
});

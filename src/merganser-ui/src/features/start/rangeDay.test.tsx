import { cleanup, screen } from '@testing-library/react';
import { afterEach, expect, it, vi } from 'vitest';
import { answering, show } from '../../testing/show';
import RangeDayPage from './RangeDayPage';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

it('asks for a bow where none hangs, and not for an end of it', async () => {
  answering({ '/rack': { bows: [], archived: [], unreadable: [], nextBow: null } });
  show(<RangeDayPage />);
  expect(await screen.findByText('There is nothing to count yet.')).toBeTruthy();
  expect(screen.getByTestId('go').textContent).toContain('Enter a bow');
  expect(screen.queryByText(/Press an end/)).toBeNull();
});

import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { Link, MemoryRouter, Route, Routes } from 'react-router';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { EscapeKeeper, FocusKeeper, useEscape } from './focus';

afterEach(cleanup);

function Layer({ name, onClose }: { name: string; onClose: () => void }) {
  useEscape(true, onClose);
  return <p>{name}</p>;
}

function Vanishing() {
  const [gone, setGone] = useState(false);
  return <main>{gone ? <h1>After it</h1> : <button onClick={() => setGone(true)}>Keep it</button>}</main>;
}

const page = (children: React.ReactNode) =>
  render(
    <MemoryRouter>
      <FocusKeeper />
      <EscapeKeeper />
      {children}
    </MemoryRouter>,
  );

describe('the focus', () => {
  it('goes to the heading when what had it is gone', async () => {
    page(<Vanishing />);
    await userEvent.click(screen.getByText('Keep it'));
    await waitFor(() => expect(document.activeElement?.textContent).toBe('After it'));
  });

  it('goes to the first thing of a view after a navigation', async () => {
    page(
      <Routes>
        <Route path="/" element={<Link to="/next">On</Link>} />
        <Route
          path="/next"
          element={
            <main>
              <h1>Next</h1>
              <input aria-label="First" data-first />
            </main>
          }
        />
      </Routes>,
    );
    await userEvent.click(screen.getByText('On'));
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('First')));
  });
});

describe('Esc', () => {
  it('closes what was opened last, one layer at a time', async () => {
    const [outer, inner] = [vi.fn(), vi.fn()];
    page(
      <>
        <Layer name="outer" onClose={outer} />
        <Layer name="inner" onClose={inner} />
      </>,
    );
    await userEvent.keyboard('{Escape}');
    expect(inner).toHaveBeenCalledTimes(1);
    expect(outer).not.toHaveBeenCalled();
  });
});

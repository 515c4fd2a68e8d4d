import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Stepper, stepsOf } from './Stepper';

afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

function Clicks({ bare = false }) {
  const [count, setCount] = useState(0);
  return (
    <>
      <Stepper label="Rest" value={count} onChange={setCount} bare={bare} halves />
      <output>{count}</output>
    </>
  );
}

const count = () => screen.getByRole('status').textContent;
const field = () => screen.getByLabelText<HTMLInputElement>('Rest: how many');

describe('a stepper', () => {
  it('takes eight clicks as a typed number, and what it holds is replaced by it', async () => {
    render(<Clicks />);
    await userEvent.click(screen.getByLabelText('Rest: one more'));
    await userEvent.click(field());
    await userEvent.keyboard('8');
    expect(count()).toBe('8');
    await userEvent.keyboard('{ArrowUp}');
    expect(count()).toBe('9');
    expect(field().value).toBe('9');
  });

  it('goes on while its key is held, once for a press', () => {
    vi.useFakeTimers();
    render(<Clicks />);
    const more = screen.getByLabelText('Rest: one more');
    fireEvent.pointerDown(more);
    fireEvent.pointerUp(more);
    fireEvent.click(more);
    expect(count()).toBe('1');
    fireEvent.pointerDown(more);
    for (let i = 0; i < 20; i++) act(() => vi.advanceTimersByTime(50));
    const held = Number(count());
    expect(held).toBeGreaterThan(4);
    fireEvent.pointerUp(more);
    fireEvent.click(more);
    act(() => vi.advanceTimersByTime(2000));
    expect(Number(count())).toBe(held);
  });

  it('keeps its way while its number is typed without a sign', async () => {
    render(<Clicks bare />);
    await userEvent.click(screen.getByLabelText('Rest: one less'));
    await userEvent.click(field());
    await userEvent.keyboard('4');
    expect([count(), field().value]).toEqual(['-4', '4']);
  });

  it('leaves the count alone while what is typed is none', async () => {
    render(<Clicks />);
    await userEvent.type(field(), 'x');
    expect(field().getAttribute('aria-invalid')).toBe('true');
    expect(count()).toBe('0');
    await userEvent.tab();
    expect(field().value).toBe('0');
  });

  it.each([
    ['3', true, 3],
    ['−2', true, -2],
    ['+12', false, 12],
    ['2½', true, 2.5],
    ['2,5', true, 2.5],
    ['½', true, 0.5],
    ['2½', false, null],
    ['', true, null],
    ['1e3', true, null],
  ])('reads "%s" (halves: %s) as %s', (text, halves, steps) => expect(stepsOf(text, halves)).toBe(steps));
});

import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { FindPick } from './FindPick';

afterEach(cleanup);

const shafts = [
  { value: '', label: 'none' },
  { value: 'a', label: 'Marram 340, carbon, 8.9 gr/in' },
  { value: 'b', label: 'Marram 400, carbon, 7.9 gr/in' },
  { value: 'c', label: 'Thrift 340, carbon, 9.5 gr/in' },
];

function Held({ onChange }: { onChange: (value: string) => void }) {
  const [value, setValue] = useState('a');
  const pick = (next: string) => {
    setValue(next);
    onChange(next);
  };
  return <FindPick label="Shaft" name="shaftId" value={value} choices={shafts} onChange={pick} />;
}

describe('one of many', () => {
  it('is found by part of its words, and Enter takes the first', async () => {
    const onChange = vi.fn();
    render(<Held onChange={onChange} />);
    const field = screen.getByLabelText<HTMLInputElement>('Shaft');
    expect(field.value).toBe('Marram 340, carbon, 8.9 gr/in');
    await userEvent.click(field);
    await userEvent.clear(field);
    await userEvent.type(field, 'thr');
    expect(screen.getAllByRole('option').map((o) => o.textContent)).toEqual(['Thrift 340, carbon, 9.5 gr/in']);
    await userEvent.keyboard('{Enter}');
    expect(onChange).toHaveBeenCalledExactlyOnceWith('c');
    expect(field.value).toBe('Thrift 340, carbon, 9.5 gr/in');
  });

  it('takes what is typed in the place of what stands there, however it got the focus', async () => {
    const onChange = vi.fn();
    render(<Held onChange={onChange} />);
    const field = screen.getByLabelText<HTMLInputElement>('Shaft');
    field.focus();
    await userEvent.keyboard('thr');
    expect(field.value).toBe('thr');
    await userEvent.keyboard('{Enter}');
    expect(onChange).toHaveBeenCalledExactlyOnceWith('c');
  });

  it('is left as it was by Esc, and by words that fit nothing', async () => {
    const onChange = vi.fn();
    render(<Held onChange={onChange} />);
    const field = screen.getByLabelText<HTMLInputElement>('Shaft');
    await userEvent.click(field);
    await userEvent.clear(field);
    await userEvent.type(field, 'nowhere');
    expect(screen.getByText('no such part')).toBeTruthy();
    await userEvent.keyboard('{Escape}');
    await userEvent.tab();
    expect(onChange).not.toHaveBeenCalled();
    expect(field.value).toBe('Marram 340, carbon, 8.9 gr/in');
  });

  it('opens with all of them, the present one marked', async () => {
    render(<Held onChange={vi.fn()} />);
    await userEvent.click(screen.getByLabelText('Shaft'));
    expect(screen.getAllByRole('option')).toHaveLength(4);
    expect(screen.getByRole('option', { selected: true }).textContent).toMatch(/^Marram 340/);
  });
});

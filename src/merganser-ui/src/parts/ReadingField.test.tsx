import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { ReadingField } from './ReadingField';

afterEach(cleanup);

const field = () => screen.getByLabelText('Weight') as HTMLInputElement;

describe('a field that takes readings', () => {
  it('empties itself after Enter, keeps the focus, and takes the same reading again', async () => {
    const taken: string[] = [];
    const onTake = vi.fn(async (text: string) => {
      taken.push(text);
      return `taken: ${text}`;
    });
    render(<ReadingField label="Weight" name="weight" onTake={onTake} />);
    await userEvent.type(field(), '9{Enter}9{Enter}9{Enter}');
    await waitFor(() => expect(taken).toEqual(['9', '9', '9']));
    expect(field().value).toBe('');
    expect(document.activeElement).toBe(field());
    expect(screen.getByTestId('weight-taken').textContent).toBe('taken: 9');
  });

  it('takes readings in their order while one is under way', async () => {
    const order: string[] = [];
    const onTake = async (text: string) => {
      await new Promise((done) => setTimeout(done, text === '270' ? 30 : 0));
      order.push(text);
      return text;
    };
    render(<ReadingField label="Weight" name="weight" onTake={onTake} />);
    await userEvent.type(field(), '270{Enter}272{Enter}');
    await waitFor(() => expect(order).toEqual(['270', '272']));
  });

  it('gives a refused reading back to be corrected, and never over what is typed by then', async () => {
    const onTake = async (text: string) => (text === '9999' ? null : text);
    render(<ReadingField label="Weight" name="weight" onTake={onTake} fault="Allowed is 0.1 to 1500 gr." />);
    await userEvent.type(field(), '9999{Enter}');
    await waitFor(() => expect(field().value).toBe('9999'));
    expect(screen.getByText('Allowed is 0.1 to 1500 gr.')).toBeTruthy();
    await userEvent.type(field(), '{Enter}25');
    await waitFor(() => expect(screen.getByText(/^9999: Allowed/)).toBeTruthy());
    expect(field().value).toBe('25');
  });

  it('does what Enter means in an empty field', async () => {
    const onEmpty = vi.fn();
    render(<ReadingField label="Weight" name="weight" onTake={vi.fn()} onEmpty={onEmpty} />);
    await userEvent.type(field(), '{Enter}');
    expect(onEmpty).toHaveBeenCalled();
  });
});

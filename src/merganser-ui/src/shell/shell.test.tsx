import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useState } from 'react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '../api/client';
import { Field } from '../parts/Field';
import { Figure } from '../parts/Figure';
import { figure as shown } from '../parts/sheet/figure';
import { show } from '../testing/show';
import { Foot } from './Foot';

afterEach(cleanup);

const figure: Schemas['Figure'] = {
  ...shown,
  working: {
    what: 'Every part added up.',
    terms: [{ name: 'Total', formula: 'M = Σ mᵢ', value: 409, unit: 'gr', decimals: 2, text: '409.00 gr' }],
    source: 'ATA/AMO',
    wouldMove: '',
  },
};

describe('a figure', () => {
  it('shows value, unit and change, and opens its working by a press', async () => {
    render(<Figure figure={figure} since="opened" />);
    expect(screen.getByText('409.0')).toBeTruthy();
    expect(screen.getByText('−29.5 since opened')).toBeTruthy();
    await userEvent.click(screen.getByRole('button'));
    expect(screen.getByText('M = Σ mᵢ')).toBeTruthy();
    expect(screen.getByText('409.00 gr')).toBeTruthy();
    expect(screen.getByText('Source: ATA/AMO.')).toBeTruthy();
  });

  it('says why there is none', () => {
    render(<Figure figure={{ ...figure, value: null, text: null, missing: 'not weighed yet' }} />);
    expect(screen.getByText('not weighed yet')).toBeTruthy();
  });
});

describe('the foot', () => {
  it('is pressed by Enter, but not while a field has it', () => {
    const go = vi.fn();
    show(
      <>
        <input aria-label="a field" />
        <Foot sentence="Do it." reason="" button="Do" onGo={go} />
      </>,
    );
    fireEvent.keyDown(document.body, { key: 'Enter' });
    expect(go).toHaveBeenCalledTimes(1);
    fireEvent.keyDown(screen.getByLabelText('a field'), { key: 'Enter' });
    expect(go).toHaveBeenCalledTimes(1);
  });

  it('wants Ctrl for an act on the bow', () => {
    const go = vi.fn();
    show(<Foot sentence="Move." reason="" button="I made this move" onGo={go} guarded />);
    fireEvent.keyDown(document.body, { key: 'Enter' });
    expect(go).not.toHaveBeenCalled();
    fireEvent.keyDown(document.body, { key: 'Enter', ctrlKey: true });
    expect(go).toHaveBeenCalledTimes(1);
  });
});

describe('a field', () => {
  function Form() {
    const [text, setText] = useState('28 1/2');
    return (
      <Field
        label="Draw length"
        name="drawLength"
        quantity="length"
        value={text}
        onChange={setText}
        fault={text === 'x' ? 'Not a number.' : undefined}
      />
    );
  }

  it('keeps the text as typed and puts the fault beneath', async () => {
    render(<Form />);
    const input = screen.getByLabelText<HTMLInputElement>('Draw length');
    expect(input.value).toBe('28 1/2');
    await userEvent.clear(input);
    await userEvent.type(input, 'x');
    expect(input.value).toBe('x');
    expect(screen.getByText('Not a number.')).toBeTruthy();
    expect(input.getAttribute('aria-invalid')).toBe('true');
  });
});

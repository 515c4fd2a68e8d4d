import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, it } from 'vitest';
import { show } from '../testing/show';
import { Field } from './Field';

afterEach(cleanup);

const field = (label: string) => <Field label={label} name={label} value="" onChange={() => undefined} />;

it('Enter goes through the fields of a form, to its key, and from the last of all to what is next', async () => {
  show(
    <main>
      <form>
        {field('Arrows fewer')}
        {field('Glued in')}
        <button type="submit">Match the pieces</button>
      </form>
      {field('Another')}
      <button data-go>Go on</button>
    </main>,
  );
  const at = () => document.activeElement?.getAttribute('name') ?? document.activeElement?.textContent;
  await userEvent.click(screen.getByLabelText('Arrows fewer'));
  await userEvent.keyboard('{Enter}');
  expect(at()).toBe('Glued in');
  await userEvent.keyboard('{Enter}');
  expect(at()).toBe('Match the pieces');
  await userEvent.click(screen.getByLabelText('Another'));
  await userEvent.keyboard('{Enter}');
  expect(at()).toBe('Go on');
});

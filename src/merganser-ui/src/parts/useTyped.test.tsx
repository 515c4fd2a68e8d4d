import { act, cleanup, fireEvent, render } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useTyped } from './useTyped';

let frames: FrameRequestCallback[] = [];

beforeEach(() => {
  frames = [];
  vi.stubGlobal('requestAnimationFrame', (then: FrameRequestCallback) => frames.push(then));
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** The next frame, and the task after it. */
const frame = () =>
  act(async () => {
    frames.splice(0).forEach((then) => then(0));
    await new Promise((resolve) => setTimeout(resolve, 20));
  });

function Length() {
  const [length, setLength] = useState('28');
  const [shown, type] = useTyped(length, setLength);
  return (
    <>
      <input value={shown} onChange={(event) => type(event.target.value)} />
      <output>{length}</output>
      <button onClick={() => setLength(`kept ${length}`)}>Keep</button>
    </>
  );
}

function opened() {
  const { container } = render(<Length />);
  const find = <T extends Element>(css: string) => container.querySelector<T>(css)!;
  const field = find<HTMLInputElement>('input');
  return {
    field,
    told: () => find('output').textContent,
    keep: () => fireEvent.click(find('button')),
    type: (value: string) => fireEvent.change(field, { target: { value } }),
  };
}

it('shows a key at once, and tells of it after the frame that it stands in', async () => {
  const { field, type, told } = opened();
  type('28.5');
  expect(field.value).toBe('28.5');
  expect(told()).toBe('28');
  await frame();
  expect(told()).toBe('28.5');
  expect(field.value).toBe('28.5');
});

it('tells at once when a further key, a press or leaving comes before the frame', () => {
  const { field, type, told, keep } = opened();
  type('29');
  fireEvent.keyDown(field, { key: '.' });
  expect(told()).toBe('29');
  type('29.2');
  fireEvent.focusOut(field);
  expect(told()).toBe('29.2');
  type('29.25');
  keep();
  expect(told()).toBe('kept 29.25');
});

it('tells of each key once, in order', async () => {
  const { field, type, told } = opened();
  type('3');
  type('30');
  expect(told()).toBe('3');
  await frame();
  expect(told()).toBe('30');
  await frame();
  expect(field.value).toBe('30');
});

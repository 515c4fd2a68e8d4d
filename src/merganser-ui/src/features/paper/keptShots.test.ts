import { act, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Marking, Paper, ShotSet } from './paperTypes';
import { freshMarking } from './paperTypes';
import { set as setOf, shot } from './pageFixtures';
import { useKeptShots } from './useKeptShots';

const groups = { heads: false };
const target = (...arrows: string[]) =>
  setOf(1, {
    groups,
    stage: '20 yd groups',
    shots: arrows.map((arrow, i) => ({ ...shot(i + 1, 0), arrow })),
  }) as unknown as ShotSet;
const at = (x: number, arrow: Marking['arrow'] = 'fletched') => ({
  ...freshMarking('shootingSide'),
  arrow,
  point: { x, y: 0 },
});

/** A server that answers when it is told to; each kept shot is one more fletched arrow of the set. */
function awaited(unreachable = false) {
  const kept: string[] = [];
  const answers: ((paper: Paper | null) => void)[] = [];
  const work = {
    unreachable,
    waits: () => [],
    markShot: vi.fn(),
    keepShot: vi.fn((_: string, marking: Marking) => {
      kept.push(`${marking.arrow} at ${marking.point!.x}`);
      return new Promise<Paper | null>((answer) => answers.push(answer));
    }),
  };
  const onKept = vi.fn();
  const hook = renderHook(() =>
    useKeptShots(target(), work, { offer: vi.fn(), done: vi.fn(), tooLate: vi.fn() }, { sayReopened: vi.fn(), onKept }),
  );
  const says = (...arrows: string[]) =>
    act(async () => {
      answers.shift()!(arrows.length === 0 ? null : ({ sets: [target(...arrows)] } as Paper));
      await Promise.resolve();
    });
  return { kept, onKept, says, keep: (marking: Marking) => act(() => void hook.result.current(marking)) };
}

describe('a quick hand', () => {
  it('sets the next arrow while the one before is awaited, and it is kept after it, in its turn', async () => {
    const { kept, onKept, says, keep } = awaited();
    keep(at(1));
    keep(at(2));
    keep(at(2));
    keep(at(3));
    expect(kept).toEqual(['fletched at 1']);
    await says('fletched', 'fletched');
    expect(kept).toEqual(['fletched at 1', 'bare at 2']);
    await says('fletched', 'fletched', 'bare');
    expect(kept.at(-1)).toBe('bare at 3');
    await says('fletched', 'fletched', 'bare', 'bare');
    expect(onKept.mock.lastCall![1]).toMatchObject({ arrow: 'fletched', point: null });
  });

  it('pressing twice is once, and what follows a refused one is not kept by itself', async () => {
    const { kept, says, keep } = awaited();
    keep(at(1));
    keep(at(1));
    keep(at(4));
    await says();
    expect(kept).toEqual(['fletched at 1']);
    keep(at(4));
    expect(kept).toEqual(['fletched at 1', 'fletched at 4']);
  });

  it('waits behind nothing that waits for a lost server', () => {
    const { kept, keep } = awaited(true);
    keep(at(1));
    keep(at(2));
    expect(kept).toEqual(['fletched at 1', 'fletched at 2']);
  });
});

import { capital, named } from './letters';
import type { MoveTold } from './MoveSteps';

/** A move as it is said while it waits. */
export function moveWords(told: MoveTold, corrects: string | null): string {
  const put = corrects ? 'put right' : 'moved';
  if ('yoke' in told) return `Yoke ${put}: left leg ${told.yoke.left}, right leg ${told.yoke.right}`;
  if ('spacers' in told) return `Cam spacers ${put}: top ${told.spacers.top}, bottom ${told.spacers.bottom}`;
  return `${capital(named(told.adjuster))} ${put} to ${told.to}`;
}

import { signPaths } from '../../drawing/story';

/** A sign of the story; its word stands beside it. */
export const Sign = ({ of }: { of: keyof typeof signPaths }) => (
  <svg width="22" height="16" viewBox="0 0 22 16" aria-hidden="true">
    <path d={signPaths[of]} fill="none" stroke="currentColor" strokeWidth="2.2" strokeLinecap="round" />
  </svg>
);

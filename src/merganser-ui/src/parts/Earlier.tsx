import { Plain } from './Buttons';
import { Fault } from './Note';

interface Props {
  list: { more: boolean; busy: boolean; problem: Error | null; fetchMore: () => void };
}

/** At the foot of a long list: the entries before those that are shown. */
export const Earlier = ({ list: { more, busy, problem, fetchMore } }: Props) => (
  <>
    {problem && <Fault>{problem.message}</Fault>}
    {more && (
      <Plain disabled={busy} onClick={fetchMore}>
        {busy ? 'Fetching earlier ones …' : 'Earlier ones'}
      </Plain>
    )}
  </>
);

import { useQueryClient } from '@tanstack/react-query';
import { Foot } from './Foot';

interface Props {
  /** What is said meanwhile. */
  opening: string;
  /** What is opened, as it begins a sentence. */
  what: string;
  /** What could not be read of it. */
  failed: (Error | null | undefined)[];
  back?: { to: string; go: () => void };
}

/**
 * The foot while a page is opened: its key leads nowhere until all is there. What could not be read is asked for again,
 * and what the server said of it stands there.
 */
export function OpeningFoot({ opening, what, failed, back }: Props) {
  const queries = useQueryClient();
  const why = failed.find((error) => error != null);
  if (!why) return <Foot sentence={opening} reason="" button="Wait" busy onGo={() => undefined} />;
  return (
    <Foot
      trouble
      sentence={`${what} could not be read.`}
      reason={why.message}
      button="Try again"
      onGo={() => void queries.refetchQueries({ type: 'active', predicate: (query) => query.state.status === 'error' })}
      alternative={back?.to}
      onAlternative={back?.go}
    />
  );
}

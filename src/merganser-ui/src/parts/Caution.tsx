import type { Schemas } from '../api/client';

/** One line where the act is; it stands as long as it is true. */
export function Caution({ caution }: { caution: Pick<Schemas['Caution'], 'text' | 'refused'> }) {
  return (
    <p className="caution" role="note">
      <span>
        <b>{caution.refused ? 'Stop.' : 'Caution.'}</b>
        {caution.text}
      </span>
    </p>
  );
}

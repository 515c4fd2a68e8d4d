import { Link } from 'react-router';
import { useSizes } from './useSizes';
import w from '../../parts/words.module.css';

/** Is it the archer? What groups at targets say of the hand, where it is asked for. */
export function HandSays({ bowId }: { bowId: string }) {
  const sizes = useSizes(bowId).data;
  if (!sizes || sizes.days.length === 0) return null;
  return (
    <p className={w.muted} data-testid="hand">
      At targets: {sizes.words} <Link to={`/bows/${bowId}/groups?way=sizes`}>How well it is shot</Link>
    </p>
  );
}

import { memo } from 'react';
import type { Schemas } from '../../api/client';
import { FitScale } from '../../parts/FitScale';
import { number } from '../../units/units';

const bands = ['weak', 'borderline', 'good', 'stiff'];

/** The fit of this arrow on its bands. */
export const FitBand = memo(function FitBand({ fit }: { fit: Schemas['FitReading'] }) {
  return (
    <FitScale
      label={`Fit ${number(fit.ratio, 2)}, ${fit.words}; between ${number(fit.low, 2)} and ${number(fit.high, 2)}`}
      low={fit.low}
      high={fit.high}
      ratio={fit.ratio}
      openedRatio={fit.openedRatio}
      bands={bands.map((word) => ({ word, strong: fit.band.toLowerCase().startsWith(word) }))}
    />
  );
});

import type { FootProps } from './Foot';

/** What is said where it could not be read, and the way back. */
type Failed = Pick<FootProps, 'sentence' | 'button' | 'onGo' | 'trouble'> & { reason?: string };

/** The foot while something is opened: its key leads nowhere until that is there, or could not be read. */
export const whileOpening = (opening: string, failed: Failed | false | null = null): FootProps =>
  failed
    ? { reason: '', ...failed }
    : { sentence: opening, reason: '', button: 'Wait', busy: true, onGo: () => undefined };

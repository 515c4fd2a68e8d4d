/** A day as it is said: 23 Nov 2026. */
export const dayOf = (at: string) =>
  new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** The same where there is little room: 23 Nov. */
export const shortDay = (at: string) => new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' });

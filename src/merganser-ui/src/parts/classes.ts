/** The class names that hold, one after the other. */
export const classes = (...names: (string | false | null | undefined)[]): string => names.filter(Boolean).join(' ');

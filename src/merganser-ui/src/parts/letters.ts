/** With a large first letter, as a sentence begins. */
export const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** With a small first letter, as it stands inside a sentence. */
export const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);

/** A code of the bench in words: restHeight, rest height. */
export const named = (code: string) => code.replace(/([A-Z])/g, ' $1').toLowerCase();

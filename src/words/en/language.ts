/** The language of this folder: days and numbers are written in it. */
export const LANGUAGE = 'en' as const;
export const DEFAULT_LOCALE = 'en-GB' as const;

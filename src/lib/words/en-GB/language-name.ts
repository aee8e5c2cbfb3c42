const NAMES = new Intl.DisplayNames('en-GB', { type: 'language' });

/** A language by its name: `de` is German. @param code of ISO 639-1 */
export const languageName = (code: string): string => NAMES.of(code) ?? code;

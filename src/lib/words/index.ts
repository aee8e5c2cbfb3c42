/** What screens, letters and the record say. This line chooses the language: another is a folder beside `en-GB` with the same names. */
export * from './en-GB';

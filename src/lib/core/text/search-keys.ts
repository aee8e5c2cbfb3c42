/**
 * The version of the keys by which names and words are kept in books (`nameKey`, `wordsKey`). To be raised whenever one of them
 * gives another key for any text, so that books that keep keys of before make them anew (see `db/upgrades/search-keys`).
 */
export const SEARCH_KEYS = 2;

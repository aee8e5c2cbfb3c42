/**
 * What the rows of a firm's own table, or of its bank's, are. Of these somebody is asked what the table does not tell, and the next one is
 * known.
 */
export const ASKED_KINDS = ['documents', 'customers', 'history', 'bank-table'] as const;
export type AskedKind = (typeof ASKED_KINDS)[number];

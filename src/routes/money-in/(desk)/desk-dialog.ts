/** What may be asked on the desk. */
export type DeskDialog = 'certain' | 'hold' | 'aside' | 'advice' | 'account';

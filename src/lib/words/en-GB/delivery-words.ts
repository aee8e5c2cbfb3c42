/** How a letter fares by mail. */
export const DELIVERY_WORDS = {
	waiting: 'waits',
	sending: 'on its way',
	sent: 'sent',
	refused: 'refused',
	failed: 'failed',
	paused: 'paused',
	withdrawn: 'withdrawn',
	paper: 'by post'
} as const;

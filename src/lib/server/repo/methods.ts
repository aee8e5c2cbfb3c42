/** How money comes by hand, before a firm adds its own. Cheques and cash are paid in on a slip; petty cash stays. */
export const USUAL_METHODS = ['cheque', 'cash', 'card', 'transfer', 'petty cash'] as const;

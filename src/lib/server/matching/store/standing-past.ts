import { sql } from 'drizzle-orm';

/** Of payments of a history, called `p`: that the history was not taken back. */
export const STANDING_PAST = sql`not exists (select 1 from forgotten_history h where h.history_act_id = p.act_id)`;

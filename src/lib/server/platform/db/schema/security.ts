import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** What happened at the door: who came in, was refused, or took something out. */
export const SECURITY_EVENTS = [
	'signed-in',
	'signed-out',
	'sign-in-refused',
	'too-many-attempts',
	'confirmed',
	'confirm-refused',
	'code-refused',
	'code-asked',
	'second-factor-shown',
	'second-factor-refused',
	'sessions-ended',
	'act-refused',
	'exported'
] as const;

/**
 * Events of security, beside the acts of the record: changes of people, limits and passwords are acts. Kept as they were written; the
 * address is that of the network, never what was typed.
 */
export const securityEvent = sqliteTable(
	'security_event',
	{
		id: integer('id').primaryKey(),
		at: text('at').notNull(),
		kind: text('kind', { enum: SECURITY_EVENTS }).notNull(),
		/** Who it was; null for somebody who was not known. */
		personId: text('person_id'),
		/** The network address. */
		origin: text('origin').notNull(),
		/** What was exported, or which act was refused. */
		about: text('about').notNull()
	},
	(t) => [index('security_event_person').on(t.personId)]
);

/** What may have become of a message at a mail server (RFC 3464, section 2.3.3). */
export const REPORTED_ACTIONS = ['failed', 'delayed', 'delivered', 'relayed', 'expanded'] as const;
export type ReportedAction = (typeof REPORTED_ACTIONS)[number];

/** What a mail server says became of a message for one recipient. */
export interface RecipientReport {
	/** To whom it was addressed: as we wrote it where that is said, else as the last server knew them. */
	readonly recipient: string;
	readonly action: ReportedAction;
	/** The code of RFC 3463, such as `5.1.1`; empty where none is given. */
	readonly status: string;
	/** What the server said in its own words; empty where it said nothing. */
	readonly said: string;
}

/** What a report of delivery says: of which message by its envelope, and how it fared for each recipient. */
export interface DeliveryStatus {
	/** The envelope's id that was given along when it was sent (RFC 3461, section 4.4); null where none is told. */
	readonly envelopeId: string | null;
	readonly recipients: readonly RecipientReport[];
}

/** More recipients than one message of ours has. */
const MOST_RECIPIENTS = 60;
const FIELD = /^([A-Za-z-]+)[ \t]*:(.*)$/;

/**
 * Reads the part of a report that is meant for machines, `message/delivery-status` (RFC 3464, section 2.1): groups of fields with empty
 * lines between them, the first of the message, the others of a recipient each. A group without a recipient or an action that is known
 * is passed over.
 */
export function readDeliveryStatus(text: string): DeliveryStatus {
	const groups = text
		.replace(/\r\n?/g, '\n')
		.split(/\n[ \t]*\n/)
		.map(fieldsOf)
		.filter((fields) => fields.size > 0);
	const envelopeId = groups[0]?.get('original-envelope-id') ?? null;
	const recipients = groups.flatMap((fields): RecipientReport[] => {
		const recipient = addressOf(fields.get('original-recipient') ?? fields.get('final-recipient') ?? '');
		const said = fields.get('action')?.toLowerCase();
		const action = REPORTED_ACTIONS.find((one) => one === said);
		if (!recipient || !action) return [];
		const status = /\d\.\d{1,3}\.\d{1,3}/.exec(fields.get('status') ?? '')?.[0] ?? '';
		return [{ recipient, action, status, said: withoutType(fields.get('diagnostic-code') ?? '') }];
	});
	return { envelopeId, recipients: recipients.slice(0, MOST_RECIPIENTS) };
}

/** The fields of a group by their names in small letters; a line that begins with a space goes on with the one before (RFC 5322, 2.2.3). */
function fieldsOf(group: string): ReadonlyMap<string, string> {
	const fields = new Map<string, string>();
	for (const line of group.replace(/\n[ \t]+/g, ' ').split('\n')) {
		const [, name, value] = FIELD.exec(line) ?? [];
		if (name !== undefined && value !== undefined) fields.set(name.toLowerCase(), value.trim());
	}
	return fields;
}

/** What stands behind the type of a field: `rfc822; a@b.example` (RFC 3464, section 2.1.2). */
function withoutType(value: string): string {
	return value.replace(/^[A-Za-z0-9-]+[ \t]*;[ \t]*/, '').trim();
}

const addressOf = (value: string) => withoutType(value).replace(/^<|>$/g, '');

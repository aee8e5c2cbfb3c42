import { STATEMENT_KINDS } from '../../../core/7-letters/letter';
import { STATEMENT_DAYS } from '../../../core/7-letters/statement-schedule';
import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { CHASING_POLICY } from './chasing-shape';
import { INTEREST_SHAPE } from './interest-shape';
import { MAIL_SHAPE } from './mail-shape';
import { NAMED_TERMS } from './terms-shape';
import { KEPT_TABLE } from './table-answer';
import { isTimeZone, LOCALES } from '../../../words/conventions';
import { SETTING_UP_STEPS } from '../../../core/model/setting-up-step';
import { LIMITED_KINDS, type LimitsOfOne } from '../../../core/4-allocation/over-limits';
import { MOST_AMOUNT } from '../../../core/money/minor';
import type { Reader, Tx } from '../../platform/db/types';
import { PerTransaction } from '../../platform/db/per-transaction';
import { setting } from '../../platform/db/schema';

const SUMS = z.partialRecord(z.enum([...LIMITED_KINDS, 'all']), z.number().int().min(0).max(MOST_AMOUNT));

/** Limits of a role or person; earlier versions had those of one act alone. */
const LIMITS = z.union([
	z.strictObject({ act: SUMS, customer: SUMS, day: SUMS }),
	SUMS.transform((act): LimitsOfOne => ({ act, customer: {}, day: {} }))
]);

export const LIMITS_SHAPE = z.object({
	/** The most that may be called a small difference; null for no such bound. */
	tolerance: z.number().int().min(0).nullable(),
	byRole: z.object({ clerk: LIMITS, supervisor: LIMITS }),
	byPerson: z.record(z.string().max(100), LIMITS)
});

export const CONVENTIONS_SHAPE = z.object({
	locale: z.enum(LOCALES),
	timeZone: z.string().max(60).refine(isTimeZone, 'That is no time zone, such as Europe/London.')
});

/** The firm's settings by key, each with its shape. */
const SHAPES = {
	firm: z.object({
		name: z.string(),
		address: z.array(z.string()),
		email: z.string(),
		phone: z.string(),
		registration: z.string(),
		baseCurrency: z.string(),
		/** A PNG or JPEG as a data URL, at the head of letters. */
		logo: z.string().optional()
	}),
	/** What the firm has decided about its letters. */
	letters: z.object({
		/** Whether a customer in credit gets a statement that says so, or none. */
		inCredit: z.enum(['send', 'hold']),
		/** A page where letters can be paid, with places for reference, amount and currency. */
		payLink: z.string().optional(),
		/** So many letters go by mail in a minute at the most; as many as go where nothing is said. */
		perMinute: z.number().int().min(1).nullable().optional(),
		/** When statements come round, and of what kind they are. */
		schedule: z.object({ when: z.enum(STATEMENT_DAYS), kind: z.enum(STATEMENT_KINDS) }).optional()
	}),
	/** How mail goes and comes back, where the operator did not say it. */
	mail: MAIL_SHAPE,
	/** How far the mailbox was read to which undelivered letters come back. */
	mailboxPlace: z.object({ mailbox: z.string(), validity: z.string(), last: z.number().int() }),
	/** How customers are chased; the first is the usual one. */
	chasing: z.array(CHASING_POLICY),
	/** On which terms interest on what is overdue is charged. */
	interest: INTEREST_SHAPE,
	/** A fixed day for the demo; without it, the day of the clock. */
	today: z.string(),
	/** Books up to and including this day are locked. */
	lockedThrough: z.string(),
	demo: z.boolean(),
	/** How the firm writes numbers, and by which clock it works. */
	conventions: CONVENTIONS_SHAPE,
	/** Which column of a processor's report is which, by the processor's name. */
	processors: z.record(
		z.string(),
		z.object({ name: z.string(), text: z.string(), gross: z.string(), fee: z.string() })
	),
	/** Of earlier versions: ledger accounts for money that is not a customer's, by name. They are usual lines now. */
	asideRules: z.record(z.string(), z.object({ account: z.string(), by: z.string() })),
	/** The rate of VAT, in basis points, that is in what is posted to a ledger account, by its code. */
	vatOfAccounts: z.record(z.string(), z.number().int()),
	/** How money may come by hand. */
	methods: z.array(z.string()),
	/** How tables with certain headings are read, as somebody said, the latest first. */
	tableReadings: z.array(KEPT_TABLE),
	/** Terms of payment of the firm's own list. */
	terms: z.array(NAMED_TERMS),
	/** To whom anchors of the books go by mail, so that they lie with somebody else. */
	auditor: z.object({ email: z.string() }),
	/** Who may bring in bank files: anybody; anybody, and a second person confirms it; or the watched folder alone. */
	bankFiles: z.object({
		from: z.enum(['anybody', 'confirmed', 'folder']),
		/** The newest file when that was set: what came before waits for nobody. */
		since: z.number().int()
	}),
	/** Whose roles have to show a second factor when they sign in. */
	secondFactor: z.object({ roles: z.array(z.enum(['reader', 'clerk', 'supervisor'])) }),
	/** New books that are still being set up; nothing for those of before, or once that is finished. */
	settingUp: z.object({
		open: z.boolean(),
		mailTested: z.boolean(),
		proved: z.boolean(),
		leftOut: z.array(z.enum(SETTING_UP_STEPS))
	}),
	/** The days after the due day at which ageing buckets end. */
	ageing: z.object({ ends: z.array(z.number().int().min(1)).min(1) }),
	/** How much each role may book alone, in base currency. */
	limits: LIMITS_SHAPE
} as const;

export type SettingKey = keyof typeof SHAPES;
export type Setting<K extends SettingKey> = z.infer<(typeof SHAPES)[K]>;

const kept = new PerTransaction<string | null>();

export async function readSetting<K extends SettingKey>(db: Reader, key: K): Promise<Setting<K> | null> {
	const text = await kept.get(db, key, async () => {
		const row = await db.select().from(setting).where(eq(setting.key, key)).get();
		return row?.value ?? null;
	});
	return text === null ? null : (SHAPES[key].parse(JSON.parse(text)) as Setting<K>);
}

/** The firm's base currency; another where it is not set up yet. */
export async function baseCurrencyOr(db: Reader, otherwise: string): Promise<string> {
	return (await readSetting(db, 'firm'))?.baseCurrency ?? otherwise;
}

export async function writeSetting<K extends SettingKey>(tx: Tx, key: K, value: Setting<K>): Promise<void> {
	const text = JSON.stringify(SHAPES[key].parse(value));
	await tx
		.insert(setting)
		.values({ key, value: text })
		.onConflictDoUpdate({ target: setting.key, set: { value: text } });
	kept.set(tx, key, text);
}

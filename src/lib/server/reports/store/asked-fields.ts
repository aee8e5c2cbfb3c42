import { ageEndsFault, readAgeEnds } from '../../../core/6-reports/age-buckets';
import { parseTypedDay } from '../../../core/day/parse-typed-day';
import type { Day } from '../../../core/day/day';
import {
	REPORT_CHOICES,
	type ChoiceName,
	type PickedField,
	type ReportField
} from '../../../core/model/report';
import type { Problem } from '../../../core/problems';
import { ageEndsSentence, shortDay } from '../../../words';

/** What an address asks of a report, by the names of its fields. */
export type ReportParams = Readonly<Record<string, string>>;

/** Signs of the longest value that is looked at. */
const LONGEST = 200;

/**
 * Reads what a report is asked, field by field, in the order in which they are shown and printed. What cannot be read is a problem of its field,
 * all of them together; the field then keeps what it has where nothing is asked.
 */
export class AskedFields {
	readonly fields: ReportField[] = [];
	readonly problems: Problem[] = [];
	readonly #params: ReportParams;
	readonly #today: Day;

	constructor(params: ReportParams, today: Day) {
		this.#params = params;
		this.#today = today;
	}

	/** A day that has come; `usual` where none is asked for. */
	day(name: (ReportField & { kind: 'day' })['name'], usual: Day): Day {
		const given = this.#given(name);
		let value = usual;
		const read = given === '' ? usual : parseTypedDay(given, this.#today);
		if (read === null) this.refuse(name, `“${given}” is not a date.`);
		else if (read > this.#today)
			this.refuse(name, `${shortDay(read)} has not come yet. Choose a day up to ${shortDay(this.#today)}.`);
		else value = read;
		this.fields.push({ kind: 'day', name, value });
		return value;
	}

	choice<Name extends ChoiceName>(
		name: Name,
		options: readonly (typeof REPORT_CHOICES)[Name][number][] = REPORT_CHOICES[name]
	): (typeof REPORT_CHOICES)[Name][number] {
		const given = this.#given(name);
		const found = options.find((one) => one === given);
		if (given !== '' && !found) this.refuse(name, `“${given}” is none of the choices here.`);
		const value = found ?? options[0]!;
		this.fields.push({ kind: 'choice', name, value, options });
		return value;
	}

	/** The days at which buckets end. */
	ends(usual: readonly number[]): readonly number[] {
		const given = this.#given('buckets');
		const read = given === '' ? [...usual] : readAgeEnds(given);
		const fault = read === null ? 'not-days' : ageEndsFault(read);
		if (fault) this.refuse('buckets', ageEndsSentence(fault));
		const value = fault || read === null ? usual : read;
		this.fields.push({ kind: 'ends', name: 'buckets', value });
		return value;
	}

	/** One of a list; null where none is asked for. */
	pickedOf(
		name: PickedField['name'],
		options: readonly { readonly value: string; readonly says: string }[]
	): string | null {
		const given = this.#given(name);
		const found = options.find((one) => one.value === given) ?? null;
		if (given !== '' && !found) this.refuse(name, `“${given}” is none of the choices here.`);
		const value = found?.value ?? null;
		this.fields.push({ kind: 'picked', name, value, says: found?.says ?? null, options });
		return value;
	}

	/** Something that is typed and looked up; null where nothing is asked for. */
	async picked<Found extends { readonly value: string; readonly says: string }>(
		name: PickedField['name'],
		find: (given: string) => Promise<Found | null>,
		otherwise: (given: string) => string
	): Promise<Found | null> {
		const given = this.#given(name);
		const found = given === '' ? null : await find(given);
		if (given !== '' && !found) this.refuse(name, otherwise(given));
		const { value, says } = found ?? { value: null, says: null };
		this.fields.push({ kind: 'picked', name, value, says, options: null });
		return found;
	}

	/** Puts down what is wrong with a field. */
	refuse(field: string, message: string): void {
		this.problems.push({ code: 'field', field, message });
	}

	#given(name: string): string {
		const given = Object.hasOwn(this.#params, name) ? this.#params[name]! : '';
		return given.slice(0, LONGEST).trim();
	}
}

import { newMeter, readMeter, type MeterBuffer, type Progress } from '../../platform/db/meter';

/** Meters of what is under way, by who asked for it and the key of their form. */
const meters = new Map<string, MeterBuffer>();
const nameOf = (personId: string, key: string) => `${personId} ${key}`;

/** Does some work with a meter that only whoever asked for it reads; without a key there is nobody to read it. */
export async function withMeter<T>(
	{ who, key }: { readonly who: { readonly id: string }; readonly key?: string },
	work: (meter: MeterBuffer | undefined) => Promise<T>
): Promise<T> {
	if (key === undefined) return work(undefined);
	const name = nameOf(who.id, key);
	// What is sent again while it is under way goes on with the meter that is there.
	const meter = meters.get(name) ?? newMeter();
	meters.set(name, meter);
	try {
		return await work(meter);
	} finally {
		meters.delete(name);
	}
}

/** How far somebody's own work has come; null where none is under way. */
export function progressOf(personId: string, key: string): Progress | null {
	const meter = meters.get(nameOf(personId, key));
	return meter ? readMeter(meter) : null;
}

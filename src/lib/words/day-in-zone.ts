import { zoneFormats } from './zone-formats';

/** The calendar day of a moment by the firm's clock, as YYYY-MM-DD. */
export function dayInZone(at: Date): string {
	const parts = zoneFormats().day.formatToParts(at);
	const part = (type: string) => parts.find((one) => one.type === type)!.value;
	return `${part('year').padStart(4, '0')}-${part('month')}-${part('day')}`;
}

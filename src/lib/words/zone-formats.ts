import { conventions } from './conventions';

interface ZoneFormats {
	readonly day: Intl.DateTimeFormat;
	readonly time: Intl.DateTimeFormat;
}

const kept = new Map<string, ZoneFormats>();

/** The formats of the firm's time zone. To make one takes longer than to use it a hundred times, so each is made once. */
export function zoneFormats(): ZoneFormats {
	const { timeZone } = conventions();
	let formats = kept.get(timeZone);
	if (!formats) {
		formats = {
			day: new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }),
			time: new Intl.DateTimeFormat('en-GB', {
				timeZone,
				hour: '2-digit',
				minute: '2-digit',
				hourCycle: 'h23'
			})
		};
		kept.set(timeZone, formats);
	}
	return formats;
}

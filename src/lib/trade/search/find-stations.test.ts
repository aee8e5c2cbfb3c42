import { expect, it } from 'vitest';
import { findStations, isNamed } from './find-stations';

it.each([
	['statements', 'Statements'],
	['remind', 'Reminders'],
	['chase', 'Reminders'],
	['record', 'Record'],
	['customers', 'Customers'],
	['bounced', 'Returned payments'],
	['month end', 'Periods']
])('%s leads to %s first', (text, name) => expect(findStations(text, true)[0]?.name).toBe(name));

it('a page is meant by the beginning of its name, not by a letter or two', () => {
	const [journal] = findStations('journal', false);
	expect([isNamed(journal!, 'jour'), isNamed(journal!, 'jo'), isNamed(journal!, 'ledger')]).toEqual([
		true,
		false,
		false
	]);
	expect(findStations('no such page', true)).toEqual([]);
});

it.each([
	['settings', true, ['Settings', 'The firm', 'Bank accounts', 'Limits']],
	['settings', false, []],
	['people', true, ['People', 'Reductions by person']],
	['people', false, ['Reductions by person']]
])('%s, asked by a supervisor: %s', (text, supervises, names) =>
	expect(findStations(text, supervises).map((one) => one.name)).toEqual(names)
);

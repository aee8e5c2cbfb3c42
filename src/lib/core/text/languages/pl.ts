import type { Language } from './language';

/** What customers who write Polish put beside numbers. */
export const pl: Language = {
	code: 'pl',
	name: 'Polish',
	phrases: {
		onAccount: ['zaliczka', 'przedplata', 'na poczet', 'avans'],
		upToDate: ['salda', 'wszystkie', 'wyciag'],
		notWhole: ['rata', 'czesciow[ay]', 'korekt[ay]', 'korekcie', 'potracenie'],
		part: ['zaplata czesciowa', 'czesciowa zaplata', 'i{1,3} rata', 'rata \\d'],
		tax: [],
		order: ['zamowienie'],
		payout: ['wyplata srodkow', 'rozliczenie kart'],
		claims: {
			damaged: ['uszkodz(?:on[eyai]|onych|enia|enie)', 'stluczone'],
			missing: ['brak(?:i|uje)?'],
			late: ['opoznienie'],
			returned: ['zwrot'],
			price: ['cena', 'upust'],
			other: ['potracenie', 'pomniejszon[ea]']
		}
	},
	legalForms: 'SPZOO SPK SPJ SPP'.split(' '),
	joiningWords: [],
	neutralWords:
		'PRZELEW ELIXIR ZAPLATA PLATNOSC FAKTURE FAKTURY DZIEKUJE TOWAR ZLECENIE STALE OPLATA MIESIECZNA DOTYCZY'.split(
			' '
		)
};

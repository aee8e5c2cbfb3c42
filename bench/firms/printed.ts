import type { Chance } from '../../src/demo/random';

/** A name as a bank prints it. */
export function printed(name: string, random: Chance, noise: number): string {
	const plain = name.replace(/ß/g, 'ss').replace(/[łŁ]/g, 'L').normalize('NFD').replace(/\p{M}/gu, '');
	const german = name
		.replace(/ß/g, 'ss')
		.replace(/[äÄ]/g, 'ae')
		.replace(/[öÖ]/g, 'oe')
		.replace(/[üÜ]/g, 'ue');
	if (!random.yes(noise)) return random.yes(0.5) ? name : name.toUpperCase();
	return random.pick([
		plain.toUpperCase(),
		plain.toUpperCase().slice(0, 18),
		plain.toUpperCase().slice(0, 27),
		name.slice(0, 18),
		german.toUpperCase(),
		name.replace(/ (\S+|GmbH & Co. KG|Sp\. z o\.o\.|UG \(haft\S+)$/, (form) =>
			/[.A-Z]{2}/.test(form) ? '' : form
		),
		plain.replace(/[.,]/g, '').toUpperCase(),
		plain.replace(/ /g, '  ').toUpperCase()
	]);
}

import { day } from '../lib/core/day/day';
import { usualLimits } from '../lib/core/4-allocation/usual-limits';
import type { FirmSetUp } from '../lib/server/firm/commands/set-up-firm';
import { madeUpIban } from './iban';

/** The day on which the demo stands still. */
export const DEMO_TODAY = day('2026-10-30');
export const DEMO_START = day('2025-11-03');
export const STERLING = madeUpIban('GB', 'ZZAM', 30990114402817);
export const EURO = madeUpIban('GB', 'ZZAM', 30990114402825);

/** Ashlock Kiln & Clay Ltd, of the made-up town Ashlock Mere. */
export const FIRM: FirmSetUp = {
	firm: {
		name: 'Ashlock Kiln & Clay Ltd',
		address: ['Unit 4, Bottle Oven Yard', 'Ashlock Mere', 'AM4 7KC'],
		email: 'accounts@ashlock-kiln.example',
		phone: '01632 960 417',
		registration: 'Registered in Ashlock Mere, no. 00114402',
		baseCurrency: 'GBP'
	},
	limits: usualLimits('GBP'),
	bankAccounts: [
		{
			name: 'Current account',
			number: STERLING,
			bic: 'ZZAMGB00',
			bankName: 'Mere & Marches Bank',
			currency: 'GBP',
			ledger: '1200',
			kind: 'current'
		},
		{
			name: 'Euro account',
			number: EURO,
			bic: 'ZZAMGB00',
			bankName: 'Mere & Marches Bank',
			currency: 'EUR',
			ledger: '1210',
			kind: 'current'
		}
	]
};

/** One person of each role; the demo lets anyone in as any of them. */
export const DEMO_PASSWORD = 'bisque-fired-at-1000';
export const DEMO_PEOPLE = [
	{ name: 'Wren Tolliver', email: 'wren@ashlock-kiln.example', role: 'clerk' },
	{ name: 'Hollis Greaves', email: 'hollis@ashlock-kiln.example', role: 'supervisor' },
	{ name: 'Imre Sallow', email: 'imre@ashlock-kiln.example', role: 'reader' }
] as const;

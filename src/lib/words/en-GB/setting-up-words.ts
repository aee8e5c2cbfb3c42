import type { SettingUpStep } from '../../core/model/setting-up-step';

/** The steps of setting up, by name. */
export const SETTING_UP_NAMES: Readonly<Record<SettingUpStep, string>> = {
	firm: 'The firm',
	'bank-accounts': 'Bank accounts',
	people: 'People',
	customers: 'Customers',
	'open-items': 'Open items',
	history: 'Payments of the past',
	'bank-file': 'The first bank file',
	mail: 'Mail',
	allocate: 'The first receipt',
	prove: 'Proof'
};

/** The steps by which new books come to their first allocated receipt, in their order. */
export const SETTING_UP_STEPS = [
	'firm',
	'bank-accounts',
	'people',
	'customers',
	'open-items',
	'history',
	'bank-file',
	'mail',
	'allocate',
	'prove'
] as const;

export type SettingUpStep = (typeof SETTING_UP_STEPS)[number];

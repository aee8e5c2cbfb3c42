import { SETTING_UP_STEPS, type SettingUpStep } from '../model/setting-up-step';

/** Steps that a firm may leave out. */
export const MAY_BE_LEFT_OUT: readonly SettingUpStep[] = ['people', 'open-items', 'history', 'mail'];

/** What the books have of each step. */
export interface SettingUpFacts {
	/** Whether letters have what a reader of them needs: the firm's address. */
	readonly hasAddress: boolean;
	readonly bankAccounts: number;
	/** People who can sign in. */
	readonly people: number;
	readonly customers: number;
	readonly documents: number;
	/** Payments of the books of before that matching learns from. */
	readonly pastPayments: number;
	readonly bankFiles: number;
	readonly mailTested: boolean;
	readonly allocated: number;
	readonly proved: boolean;
	readonly leftOut: readonly SettingUpStep[];
}

export interface StepState {
	readonly step: SettingUpStep;
	readonly done: boolean;
	readonly leftOut: boolean;
	/** The first one that is neither done nor left out. */
	readonly next: boolean;
}

/** Where each step stands. */
export function settingUp(facts: SettingUpFacts): StepState[] {
	const done: Readonly<Record<SettingUpStep, boolean>> = {
		firm: facts.hasAddress,
		'bank-accounts': facts.bankAccounts > 0,
		people: facts.people > 1,
		customers: facts.customers > 0,
		'open-items': facts.documents > 0,
		history: facts.pastPayments > 0,
		'bank-file': facts.bankFiles > 0,
		mail: facts.mailTested,
		allocate: facts.allocated > 0,
		prove: facts.proved
	};
	const states = SETTING_UP_STEPS.map((step) => ({
		...{ step, done: done[step] },
		leftOut: !done[step] && MAY_BE_LEFT_OUT.includes(step) && facts.leftOut.includes(step)
	}));
	const next = states.find((one) => !one.done && !one.leftOut)?.step;
	return states.map((one) => ({ ...one, next: one.step === next }));
}

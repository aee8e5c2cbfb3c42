import { DomainError } from '../../act/domain-error';
import type { Tx } from '../../platform/db/types';
import { readSetting, writeSetting, type Setting } from './settings';

type SettingUp = Setting<'settingUp'>;

/** What new books begin with. */
export const BEGUN: SettingUp = { open: true, mailTested: false, proved: false, leftOut: [] };

/** Writes how far the setting-up of new books is; refuses where they are set up. */
export async function changeSettingUp(tx: Tx, change: (now: SettingUp) => SettingUp): Promise<void> {
	const now = await readSetting(tx, 'settingUp');
	if (!now?.open) throw new DomainError({ code: 'is-set-up' });
	await writeSetting(tx, 'settingUp', change(now));
}

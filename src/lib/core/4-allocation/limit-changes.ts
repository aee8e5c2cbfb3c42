import type { LimitChange } from '../model/act-facts';
import { LIMIT_SCOPES, LIMITED_KINDS, NO_LIMITS_OF_ONE, type Limits, type LimitsOfOne } from './over-limits';

/**
 * Which limits differ between two sets of them, each with its sum before and after.
 * @param names of people, by their id
 */
export function limitChanges(
	before: Limits,
	after: Limits,
	names: ReadonlyMap<string, string>
): LimitChange[] {
	const people = [...new Set([...Object.keys(before.byPerson), ...Object.keys(after.byPerson)])];
	return [
		...(before.tolerance === after.tolerance
			? []
			: [
					{
						...{ whose: null, scope: 'item', kind: 'small_difference' },
						...{ before: before.tolerance, after: after.tolerance }
					}
				]),
		...(['clerk', 'supervisor'] as const).flatMap((role) =>
			changesOfOne(role, before.byRole[role], after.byRole[role])
		),
		...people.flatMap((id) => changesOfOne(names.get(id) ?? id, before.byPerson[id], after.byPerson[id]))
	];
}

function changesOfOne(
	whose: string,
	before: LimitsOfOne = NO_LIMITS_OF_ONE,
	after: LimitsOfOne = NO_LIMITS_OF_ONE
): LimitChange[] {
	return LIMIT_SCOPES.flatMap((scope) =>
		([...LIMITED_KINDS, 'all'] as const).flatMap((kind) => {
			const [was, is] = [before[scope][kind] ?? null, after[scope][kind] ?? null];
			return was === is ? [] : [{ whose, scope, kind, before: was, after: is }];
		})
	);
}

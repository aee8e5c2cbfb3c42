import { useConventions } from '$lib/words/conventions';
import type { LayoutLoad } from './$types';

/** Before anything is shown, numbers and times are those of the firm. */
export const load: LayoutLoad = ({ data }) => {
	useConventions(data.conventions);
	return data;
};

/** The most that an address may have (RFC 5321, 4.5.3.1.3, less its angle brackets). */
const LONGEST = 254;
/** An atom of the local part (RFC 5322, 3.2.3), and a label of a host name (RFC 1035, 2.3.1). */
const ATOM = /^[A-Za-z0-9!#$%&'*+/=?^_`{|}~-]+$/;
const LABEL = /^[A-Za-z0-9](?:[A-Za-z0-9-]{0,61}[A-Za-z0-9])?$/;

/**
 * Whether a text is one address to which mail can go: `local@host`, nothing around it. Quoted local parts, comments and addresses in
 * letters beyond ASCII are not taken: firms do not use them, and mail programs read them differently.
 */
export function isEmailAddress(text: string): boolean {
	if (text.length > LONGEST) return false;
	const at = text.lastIndexOf('@');
	const [local, host] = [text.slice(0, Math.max(at, 0)), text.slice(at + 1)];
	if (at < 1 || local.length > 64) return false;
	const labels = host.split('.');
	return (
		local.split('.').every((atom) => ATOM.test(atom)) &&
		labels.length > 1 &&
		labels.every((label) => LABEL.test(label))
	);
}

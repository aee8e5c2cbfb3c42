const SIGNS: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

/** Text as it stands in HTML and XML, within elements and in attributes between double quotes. */
export const escapeMarkup = (text: string): string => text.replace(/[&<>"]/g, (sign) => SIGNS[sign]!);

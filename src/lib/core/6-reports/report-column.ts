import type { ReportCellKind, ReportColumn, ReportHeading } from '../model/report';

/** A column whose key is what it holds. */
export function column(
	code: Exclude<ReportHeading['code'], 'bucket'>,
	kind: ReportCellKind = 'text'
): ReportColumn {
	return { key: code, kind, heading: { code } };
}

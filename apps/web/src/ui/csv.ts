/** Rows as CSV (RFC 4180). */
export function csvText(rows: readonly (readonly string[])[]): string {
  return rows.map((row) => row.map(field).join(',')).join('\r\n') + '\r\n';
}

/** Quotes what needs it; a leading sign that a spreadsheet would run as a formula gets an apostrophe. */
function field(value: string): string {
  const safe = /^[=+\-@\t]/.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}

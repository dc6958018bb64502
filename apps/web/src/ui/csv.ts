/** Rows as CSV (RFC 4180). */
export function csvText(rows: readonly (readonly string[])[]): string {
  return rows.map((row) => row.map(field).join(',')).join('\r\n') + '\r\n';
}

/**
 * Quotes what needs it, also where cells are parted by semicolons or tabs; a sign at the beginning of what a spreadsheet may
 * take for a cell, which it would run as a formula, gets an apostrophe.
 */
function field(value: string): string {
  const safe = value.replace(/(^|[;\t\r\n])(?=\s*[=+\-@\uFF1D\uFF0B\uFF0D\uFF20])/g, "$1'");
  return /[",;\t\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}

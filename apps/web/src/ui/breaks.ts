/** A sign between two amounts, in plain text and in TeX. */
const [PLAIN, TYPED] = [/ ([+−×÷·=]) /g, / ([-+=−]|\\times|\\cdot|\\div) /g];

/** Plain text of which a line ends before a sign, never after it. */
export function brokenBeforeSigns(text: string): string {
  return text.replaceAll(PLAIN, ' $1\u00a0');
}

/** TeX of which a line ends before a sign, never after it. */
export function texBrokenBeforeSigns(source: string): string {
  return source.replaceAll(TYPED, '\\allowbreak $1\\nobreak ');
}

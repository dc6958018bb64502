const SUPERSCRIPTS = '⁰¹²³⁴⁵⁶⁷⁸⁹';

/** A round amount on a picture; many zeros are written as a power: `9·10¹¹`. */
export function partLabel(text: string): string {
  const zeros = /0{6,}$/.exec(text)?.[0].length;
  if (zeros === undefined) return text;
  const power = [...String(zeros)].map((digit) => SUPERSCRIPTS[Number(digit)]).join('');
  return `${text.slice(0, -zeros)}·10${power}`;
}

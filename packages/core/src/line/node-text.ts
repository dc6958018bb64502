import type { Factor, Node, Term } from './node.ts';

/** Terms as a line in the problem language. */
export function termsText(terms: readonly Term[]): string {
  if (terms.length === 0) return '0';
  return terms
    .map(({ minus, node }, index) => {
      const isBracket = node.kind === 'sum' && (minus || terms.length > 1);
      const text = isBracket ? `(${nodeText(node)})` : nodeText(node);
      if (index === 0) return minus ? `−${text}` : text;
      return `${minus ? '−' : '+'} ${node.kind === 'opposite' || node.kind === 'sum' ? bracketed(node) : text}`;
    })
    .join(' ');
}

/** A term that stands behind others: its minus as a sign of its own, `− 3`, `− (24 + 4)`, `(−3)`. */
export function termBehindText({ minus, node }: Term): string {
  const isBracket = node.kind === 'opposite' || (node.kind === 'sum' && minus);
  const text = isBracket ? bracketed(node) : nodeText(node);
  return minus ? `− ${text}` : text;
}

function bracketed(node: Node): string {
  return `(${nodeText(node)})`;
}

/** A computation in the problem language. */
export function nodeText(node: Node): string {
  switch (node.kind) {
    case 'number':
      return node.text;
    case 'fraction':
      return `${node.top.text}/${node.bottom.text}`;
    case 'mixed':
      return `${node.whole.text} ${nodeText(node.part)}`;
    case 'letter':
      return node.name;
    case 'sum':
      return termsText(node.terms);
    case 'product':
      return productText(node.factors);
    case 'power':
      return `${isAtom(node.of) ? nodeText(node.of) : bracketed(node.of)}^${node.exponent}`;
    case 'root':
      return isAtom(node.of) ? `√${nodeText(node.of)}` : `√(${nodeText(node.of)})`;
    case 'opposite':
      return `−${isAtom(node.of) ? nodeText(node.of) : bracketed(node.of)}`;
  }
}

function isAtom(node: Node): boolean {
  return node.kind === 'number' || node.kind === 'letter';
}

/** Letters and brackets stand right behind what multiplies them; numbers need a sign. */
function productText(factors: readonly Factor[]): string {
  let text = '';
  factors.forEach(({ under, node }, index) => {
    const own = needsBracket(node, under) ? bracketed(node) : nodeText(node);
    if (index === 0) text = under ? `1 ÷ ${own}` : own;
    else if (under) text += ` ÷ ${own}`;
    else text += isJoined(factors[index - 1]!, node) ? own : ` × ${own}`;
  });
  return text;
}

function needsBracket(node: Node, under: boolean): boolean {
  return node.kind === 'sum' || node.kind === 'opposite' || (under && node.kind === 'product');
}

function isJoined(before: Factor, node: Node): boolean {
  if (before.under) return false;
  const { kind } = before.node;
  const isLetters = node.kind === 'letter' || (node.kind === 'power' && node.of.kind === 'letter');
  // The same letter twice has its sign between: x × x, and not xx.
  if (isLetters && letterOf(before.node) === letterOf(node)) return false;
  if (isLetters) return kind === 'number' || kind === 'letter' || kind === 'power';
  if (node.kind !== 'sum') return false;
  return kind === 'sum' || kind === 'letter' || (kind === 'number' && hasLetters(node));
}

function letterOf(node: Node): string {
  return node.kind === 'power' ? node.of.key : node.key;
}

function hasLetters({ value }: Node): boolean {
  return value.rational?.isConstant === false;
}

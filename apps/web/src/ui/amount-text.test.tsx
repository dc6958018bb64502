/** @jest-environment jsdom */
import { Rendered } from '../testing/render.tsx';
import { AmountText } from './amount-text.tsx';

const page = new Rendered();

describe('AmountText', () => {
  it.each([
    ['8x³ + 3x² − 14x + 52', ['8x³', '+ 3x²', '− 14x', '+ 52']],
    ['−18', ['−18']],
    ['2 668', ['2 668']],
  ])('keeps every sign of %s with its term', (text, terms) => {
    page.show(
      <p>
        <AmountText text={text} />
      </p>,
    );
    expect(page.all('.unbroken').map((node) => node.textContent)).toEqual(terms);
    expect(page.all('p')[0]!.textContent).toBe(text);
  });
});

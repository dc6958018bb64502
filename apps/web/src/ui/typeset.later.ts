import katex from 'katex';
import 'katex/dist/katex.min.css';
import type { Typeset } from './typesetter.ts';

/** Typesets with MathML beside; what cannot be typeset is shown as it is written, never in red. */
export const typeset: Typeset = (source, element, displayMode) => {
  try {
    katex.render(source, element, { displayMode, throwOnError: true, strict: false });
  } catch (error) {
    if (!(error instanceof katex.ParseError)) throw error;
    element.textContent = source;
  }
};

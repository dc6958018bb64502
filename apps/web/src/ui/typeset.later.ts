import katex from 'katex';
import 'katex/dist/katex.min.css';
import { texBrokenBeforeSigns } from './breaks.ts';
import type { Typeset } from './typeset.ts';

/** Typesets with MathML beside; what cannot be typeset is shown as it is written, never in red. */
export const typeset: Typeset = (source, element, displayMode) => {
  try {
    const broken = texBrokenBeforeSigns(source);
    katex.render(broken, element, { displayMode, throwOnError: true, strict: false });
    // What is copied or read is as it was typed.
    const typed = element.querySelector('annotation');
    if (typed) typed.textContent = source;
  } catch (error) {
    if (!(error instanceof katex.ParseError)) throw error;
    element.textContent = source;
  }
};

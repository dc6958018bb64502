import katex from 'katex';
import 'katex/dist/katex.min.css';
import { useLayoutEffect, useRef } from 'react';

/** Typeset mathematics, with its MathML for those who listen. */
export function Tex({
  source,
  display = false,
}: {
  readonly source: string;
  readonly display?: boolean;
}) {
  const ref = useRef<HTMLSpanElement>(null);
  useLayoutEffect(() => {
    if (ref.current) typeset(source, ref.current, display);
  }, [source, display]);
  return <span ref={ref} className="tex" />;
}

/** What cannot be typeset is shown as it is written, never in red. */
function typeset(source: string, element: HTMLElement, displayMode: boolean): void {
  try {
    katex.render(source, element, { displayMode, throwOnError: true, strict: false });
  } catch (error) {
    if (!(error instanceof katex.ParseError)) throw error;
    element.textContent = source;
  }
}

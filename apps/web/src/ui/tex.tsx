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
    if (ref.current) {
      katex.render(source, ref.current, {
        displayMode: display,
        throwOnError: false,
        strict: false,
      });
    }
  }, [source, display]);
  return <span ref={ref} className="tex" />;
}

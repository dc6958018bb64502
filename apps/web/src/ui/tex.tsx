import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { loadTypesetter, onTypesetter, typesetter } from './typesetter.ts';

/** Typeset mathematics, with its MathML for those who listen; empty for the moment in which that is loaded. */
export function Tex({
  source,
  display = false,
}: {
  readonly source: string;
  readonly display?: boolean;
}) {
  const ref = useRef<HTMLSpanElement>(null);
  const typeset = useSyncExternalStore(onTypesetter, typesetter);
  useLayoutEffect(() => {
    if (!typeset) void loadTypesetter();
    else if (ref.current) typeset(source, ref.current, display);
  }, [source, display, typeset]);
  return <span ref={ref} className="tex" />;
}

/** Typesets LaTeX into an element. */
export type Typeset = (source: string, element: HTMLElement, display: boolean) => void;

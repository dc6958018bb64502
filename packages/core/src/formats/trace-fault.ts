/** What is wrong with a trace that came from outside: the step, 0 for the document itself, and what. */
export interface TraceFault {
  readonly step: number;
  readonly fault: string;
}

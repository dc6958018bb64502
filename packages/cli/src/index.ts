export { runCommandLine, type Outcome } from './program.ts';

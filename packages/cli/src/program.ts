import { Command, CommanderError } from 'commander';
import { auditCommand, verifyCommand } from './check-commands.ts';
import { compareCommand, methodsCommand, traceCommand } from './commands.ts';
import { linesCommand, wayCommand, waysCommand } from './lines-command.ts';
import { diagnoseCommand, learnerCommand } from './slip-commands.ts';
import { RefutedError, UsageError } from './usage-error.ts';
import { VERSION } from './version.ts';

export interface Outcome {
  readonly exitCode: 0 | 1 | 2;
  readonly output: string;
  /** One line, without its line break; empty when all went well. */
  readonly error: string;
}

/**
 * Runs the command line on its arguments, the program's own name left out. What it puts out is given to `put` piece by
 * piece as it comes, and is the outcome's output where there is no `put`.
 */
export function runCommandLine(args: readonly string[], put?: (piece: string) => void): Outcome {
  let output = '';
  let complaint = '';
  const program = commandTree(put ?? ((text) => (output += text)), (text) => (complaint += text));
  try {
    program.parse(problemsLast(args), { from: 'user' });
    return { exitCode: 0, output, error: '' };
  } catch (error) {
    if (error instanceof CommanderError && error.exitCode === 0)
      return { exitCode: 0, output, error: '' };
    if (error instanceof CommanderError) return refused(complaint || error.message);
    if (error instanceof UsageError) return refused(error.message);
    if (error instanceof RefutedError) return { ...refused(error.message), output, exitCode: 1 };
    throw error;
  }
}

/** Problems may begin with a minus: they are moved behind `--` so that they are not read as options. */
function problemsLast(args: readonly string[]): string[] {
  const end = args.indexOf('--');
  const own = end < 0 ? args : args.slice(0, end);
  const isValue = (k: number) => /^--[a-z-]+$/.test(own[k - 1] ?? '');
  const isProblem = (text: string, k: number) =>
    k > 0 && !isValue(k) && text.length > 1 && /^[-−]([^-hV]|[hV].)/.test(text);
  const problems = own.filter(isProblem);
  if (problems.length === 0) return [...args];
  const rest = end < 0 ? [] : args.slice(end + 1);
  return [...own.filter((text, k) => !isProblem(text, k)), '--', ...problems, ...rest];
}

function refused(message: string): Outcome {
  const line = message
    .replace(/^error: /, '')
    .replace(/\s+/g, ' ')
    .trim();
  return { exitCode: 2, output: '', error: `levee: ${line}` };
}

function commandTree(write: (text: string) => void, complain: (text: string) => void): Command {
  const program = new Command('levee');
  program
    .description('Works a computation by several methods, each with its exact account.')
    .version(VERSION, '--version', 'tell the version')
    .exitOverride()
    .configureOutput({ writeOut: write, writeErr: complain });

  program
    .command('methods')
    .description('list the methods, their names, schools and slips')
    .option('--problem <text>', 'say also which methods accept this problem')
    .option('--format <format>', 'json', 'json')
    .action((options) => write(methodsCommand(options)));

  program
    .command('trace')
    .description('work a problem by one method')
    .argument('<problem>', 'such as "46 * 58"')
    .requiredOption('--method <id>', 'a method id')
    .option(
      '--school <school=option>',
      'choose an option of a school; may be repeated',
      collect,
      [],
    )
    .option(
      '--slip <slip@where>',
      'make a slip, by its address or as slip@n at the nth chance; may be repeated',
      collect,
      [],
    )
    .option('--order <terms>', 'term ids to deal with first, joined by commas')
    .option('--hops <amounts>', 'hops, pieces or changes of your own, joined by commas')
    .option('--format <format>', 'json, markdown, svg or text', 'json')
    .action((problem, options) => write(traceCommand(problem, options)));

  program
    .command('compare')
    .description('work a problem by several methods and show why they agree')
    .argument('<problem>', 'such as "46 * 58"')
    .requiredOption('--methods <ids>', 'method ids joined by commas')
    .option('--school <method:school=option>', 'choose an option; may be repeated', collect, [])
    .option('--slip <method:slip@where>', 'make a slip; may be repeated', collect, [])
    .option('--format <format>', 'json, markdown or latex', 'json')
    .action((problem, options) => write(compareCommand(problem, options)));

  addSlipCommands(program, write);
  addLineCommands(program, write);
  addCheckCommands(program, write);
  return program;
}

function addCheckCommands(program: Command, write: (text: string) => void): void {
  program
    .command('verify')
    .description('check a certificate of agreement, law by law')
    .argument('<file>', 'a certificate as JSON, - for standard input')
    .action((file) => write(verifyCommand(file)));

  program
    .command('audit')
    .description('replay a trace: amounts, balances, laws and terms')
    .argument('<file>', 'a trace as JSON, - for standard input')
    .action((file) => write(auditCommand(file)));
}

function addLineCommands(program: Command, write: (text: string) => void): void {
  program
    .command('lines')
    .description('judge anyone’s own working line by line, by exact value and by law')
    .argument('[problem]', 'such as "46 * 58"; a batch names its own')
    .option('--line <text>', 'one line, as it is written; may be repeated', collect, [])
    .option('--lines <file>', 'the lines of a file; - for standard input')
    .option('--batch <file>', 'one JSON object a line with problem and lines; - for standard input')
    .option('--rules', 'list the false rules that are tried on an unequal line')
    .option('--format <format>', 'json', 'json')
    .action((problem, options) => each(linesCommand(problem, options), write));

  program
    .command('ways')
    .description('true ways that these numbers invite, cheapest first')
    .argument('<problem>', 'such as "46 * 58"')
    .option('--format <format>', 'json', 'json')
    .action((problem, options) => write(waysCommand(problem, options)));

  program
    .command('way')
    .description('a way with letters for its numbers, or its lines on other numbers')
    .argument('[problem]', 'what the lines work, such as "46 * 58"; a file names its own')
    .option('--line <text>', 'one line, as it is written; may be repeated', collect, [])
    .option('--lines <file>', 'the lines of a file; - for standard input')
    .option('--name <name>', 'what the way is called', '')
    .option('--way <file>', 'a way as JSON in place of lines; - for standard input')
    .option('--on <problem>', 'other numbers to lay it on; may be repeated', collect, [])
    .option('--format <format>', 'json', 'json')
    .action((problem, options) => write(wayCommand(problem, options)));
}

function addSlipCommands(program: Command, write: (text: string) => void): void {
  program
    .command('diagnose')
    .description('say which slips explain a wrong answer')
    .argument('[problem]', 'such as "46 * 58"; a sheet names its own')
    .option('--answer <text>', 'one answer')
    .option('--answers <file>', 'answers, one a line; - for standard input')
    .option('--sheet <file>', 'code, problem, answer on each line; - for standard input')
    .option('--methods <ids>', 'look only at these methods, joined by commas')
    .option('--format <format>', 'json', 'json')
    .action((problem, options) => each(diagnoseCommand(problem, options), write));

  program
    .command('learner')
    .description('work problems as a learner with a habit')
    .argument('<problems...>', 'such as 305-127 642-387')
    .requiredOption('--method <id>', 'a method id')
    .option('--habit <slip:feature>', 'a slip made every time; may be repeated', collect, [])
    .option(
      '--school <school=option>',
      'choose an option of a school; may be repeated',
      collect,
      [],
    )
    .option('--format <format>', 'json or text', 'json')
    .action((problems, options) => write(learnerCommand(problems, options)));
}

function collect(value: string, all: readonly string[]): readonly string[] {
  return [...all, value];
}

function each(pieces: Iterable<string>, write: (piece: string) => void): void {
  for (const piece of pieces) write(piece);
}

import { told } from './told.ts';
import { Command, CommanderError } from 'commander';
import { InputError, LedgerAtFault } from './InputError.ts';

const FILTER_HELP = told('filter-size-dxl-cpsi-wall-in');
const LIMITS_HELP = told('limits-profile-general-or-a-json');

const filterOptions = (command: Command): Command =>
  command
    .requiredOption('--diameter-mm <mm>', told('filter-diameter'))
    .requiredOption('--length-mm <mm>', told('filter-length'))
    .requiredOption('--cpsi <n>', told('cells-per-square-inch'))
    .requiredOption('--wall-mm <mm>', told('wall-thickness'))
    .requiredOption('--exhaust-kg-per-s <kg/s>', told('exhaust-mass-flow'))
    .requiredOption('--temperature-c <°C>', told('gas-temperature-in-the-filter'))
    .option('--outlet-pressure-pa <Pa>', told('absolute-pressure-after-the-filter-101325'))
    .option('--ash-g <g>', told('ash-load-0'))
    .option('--json', told('print-one-json-document'));

/** The commands over core; each is loaded only when it is called. */
function commands(): Command {
  const program = new Command('white-ember')
    .description(told('reads-logs-and-judges-filters-with'))
    .version('0.1.0')
    .showHelpAfterError(false)
    .configureOutput({ outputError: (text, write) => write(text) })
    .exitOverride();

  program
    .command('analyse')
    .description(told('read-a-recorded-log-and-judge'))
    .argument('<file>', told('recorded-log'))
    .option('--displacement-l <L>', told('engine-size-in-litres-over-what'))
    .option('--filter <size>', FILTER_HELP)
    .option('--limits <name|file>', LIMITS_HELP, 'general')
    .option('--json', told('print-one-json-document'))
    .action(async (file: string, options: Record<string, string>) =>
      (await import('./commands/analyse.ts')).analyse(file, options),
    );

  program
    .command('convert')
    .description(told('rewrite-a-recorded-log-as-one'))
    .argument('<file>', told('recorded-log'))
    .option('--to <format>', told('csv-json-or-parquet'))
    .option('--json', told('the-same-as-to-json'))
    .option('--out <file>', told('write-into-a-new-file-instead'))
    .action(async (file: string, options: Record<string, string>) =>
      (await import('./commands/convert.ts')).convert(file, options),
    );

  program
    .command('verify')
    .description(told('compare-two-logs-at-equal-flow'))
    .argument('<before>', told('log-from-before-the-work'))
    .argument('<after>', told('log-from-after-it'))
    .option('--displacement-l <L>', told('engine-size-in-litres-over-what-2'))
    .option('--filter <size>', FILTER_HELP)
    .option('--limits <name|file>', LIMITS_HELP, 'general')
    .option('--json', told('print-one-json-document'))
    .action(async (before: string, after: string, options: Record<string, string>) =>
      (await import('./commands/verify.ts')).verify(before, after, options),
    );

  program
    .command('codes')
    .description(told('say-what-trouble-codes-mean-in'))
    .argument('<code...>', 'P2463, P2463-00, 0x2463, "SPN 3251 FMI 0", 3251/0 …')
    .option('--json', told('print-one-json-document'))
    .action(async (codes: string[], options: Record<string, string>) =>
      (await import('./commands/codes.ts')).codes(codes, options),
    );

  program
    .command('vocabulary')
    .description(told('list-every-cause-finding-check-and'))
    .option('--json', told('print-one-json-document'))
    .action(async (options: Record<string, string>) =>
      (await import('./commands/vocabulary.ts')).vocabulary(options),
    );

  program
    .command('diagnose')
    .description(told('from-what-is-known-of-a'))
    .argument('<case>', told('json-file-vehicle-findings-checks-codes'))
    .option('--limits <name|file>', LIMITS_HELP, 'general')
    .option('--json', told('print-one-json-document'))
    .action(async (file: string, options: Record<string, string>) =>
      (await import('./commands/diagnose.ts')).diagnose(file, options),
    );

  program
    .command('judge')
    .description(told('all-that-the-job-page-says'))
    .argument('<job>', told('json-file-vehicle-findings-checks-codes-2'))
    .option('--limits <name|file>', LIMITS_HELP, 'general')
    .option('--json', told('print-one-json-document'))
    .action(async (file: string, options: Record<string, string>) =>
      (await import('./commands/judge.ts')).judge(file, options),
    );

  program
    .command('burn')
    .description(told('what-a-regeneration-would-do-to'))
    .argument('<scenario>', told('json-file-filter-sootg-ashg-catalyst'))
    .option('--limits <name|file>', LIMITS_HELP, 'general')
    .option('--json', told('print-one-json-document'))
    .action(async (file: string, options: Record<string, string>) =>
      (await import('./commands/burn.ts')).burn(file, options),
    );

  program
    .command('verify-ledger')
    .description(told('check-that-no-entry-of-a'))
    .argument('[archive]', told('archive-of-a-workshop'))
    .option('--database <url>', told('a-database-instead-as-postgres-name'))
    .option('--json', told('print-one-json-document'))
    .action(async (archive: string | undefined, options: Record<string, string>) =>
      (await import('./commands/verifyLedger.ts')).verifyLedger(archive, options),
    );

  filterOptions(program.command('pressure-drop').description(told('pressure-drop-of-a-wall-flow')))
    .option('--soot-g <g>', told('soot-load-0'))
    .action(async (options: Record<string, string>) =>
      (await import('./commands/pressureDrop.ts')).pressureDropCommand(options),
    );

  filterOptions(program.command('soot-from-pressure').description(told('soot-load-from-a-pressure-drop')))
    .requiredOption('--dp-mbar <mbar>', told('measured-pressure-drop-zero-removed'))
    .action(async (options: Record<string, string>) =>
      (await import('./commands/sootFromPressure.ts')).sootFromPressureCommand(options),
    );
  return program;
}

/**
 * One call of the command line, to standard output and error. Bad input says so in one line on standard error, and nothing goes to
 * standard output then.
 * @returns the exit status: 0, 1 for a finding of `verify-ledger` or a fault of ours, 2 for bad input
 */
export async function run(args: readonly string[]): Promise<number> {
  try {
    await commands().parseAsync(args, { from: 'user' });
    return 0;
  } catch (error) {
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : 2;
    if (error instanceof LedgerAtFault) return 1;
    const { message } = error as Error;
    if (error instanceof InputError) {
      process.stderr.write(told('one-line', { n: message.replaceAll('\n', ' ') }));
      return 2;
    }
    // Whoever started this within limits is told by its words that memory was refused.
    process.stderr.write(told('unexpected-failure', { n: message.split('\n')[0] ?? '' }));
    return 1;
  }
}

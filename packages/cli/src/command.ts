import { READING_LIMITS, ReadingLimitError } from '@mendrel/reading';
import { version } from '../../../package.json';
import { CommandError } from './arguments';
import { COMMANDS, isCommand } from './commands';
import type { Output, ReadDrawing } from './commands/command';

const HELP = `mendrel: title blocks without the server

  mendrel sizes [--json]
  mendrel convert FILE.dxf|.svg|.pdf --out DESIGN.json --report REPORT.json [--seconds N] [--megabytes N]
  mendrel solve DESIGN.json --size "ISO A3" [--values VALUES.json] --json OUT.json
  mendrel draw DESIGN.json --size "ISO A3" [--values VALUES.json] --out SHEET.pdf|.svg|.dxf
  mendrel --help | --version

convert gives a drawing up that takes more than ${READING_LIMITS.seconds} seconds or ${READING_LIMITS.megabytes} MB of memory; --seconds and --megabytes
change that.`;

/** Runs one command. @returns the exit code: 0, or 1 after one line on the error output */
export async function runCommand(words: readonly string[], output: Output, read: ReadDrawing): Promise<number> {
  const [command = 'help', ...rest] = words;
  try {
    if (['help', '--help', '-h'].includes(command) || rest.some((word) => word === '--help' || word === '-h'))
      output.out(HELP);
    else if (command === '--version' || command === 'version') output.out(version);
    else if (isCommand(command)) await (await COMMANDS[command]())(rest, { output, read });
    else throw new CommandError(`there is no command "${command}"; there are sizes, convert, solve and draw`);
    return 0;
  } catch (error) {
    output.error(`mendrel: ${lineOf(error)}`);
    return 1;
  }
}

function lineOf(error: unknown): string {
  if (!(error instanceof Error)) return String(error);
  const message = error.message.replace(/\s*\n\s*/g, ' ');
  return error instanceof CommandError || error instanceof ReadingLimitError
    ? message
    : `this should not happen: ${message}`;
}

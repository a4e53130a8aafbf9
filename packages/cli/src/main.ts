import { runCommand } from './command';

process.exitCode = await runCommand(process.argv.slice(2), {
  out: (text) => process.stdout.write(`${text}\n`),
  error: (text) => process.stderr.write(`${text}\n`),
});

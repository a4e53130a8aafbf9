import { shippedFontFiles } from '@mendrel/fonts/files';
import { ReadingProcess } from '@mendrel/reading';
import { runCommand } from './command';

process.exitCode = await runCommand(
  process.argv.slice(2),
  {
    out: (text) => process.stdout.write(`${text}\n`),
    error: (text) => process.stderr.write(`${text}\n`),
  },
  async (task, limits) => {
    const fonts = shippedFontFiles();
    const reader = new ReadingProcess({
      script: new URL('./reading.mjs', import.meta.url),
      fonts: () => fonts,
      limits,
    });
    try {
      return await reader.run(task);
    } finally {
      reader.close();
    }
  },
);

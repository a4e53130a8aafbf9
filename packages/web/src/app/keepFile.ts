/** Until when a browser has surely begun to read a file that it was handed, in ms. */
const HELD = 60_000;

/** Hands a file to the browser to keep. */
export function handOver(name: string, content: Blob): void {
  const url = URL.createObjectURL(content);
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The browser reads it in its own time; taken away at once it may find nothing.
  setTimeout(() => URL.revokeObjectURL(url), HELD);
}

/** Hands a text to the browser as a file to keep. */
export function keepFile(name: string, text: string, type: string): void {
  handOver(name, new Blob([text], { type: `${type};charset=utf-8` }));
}

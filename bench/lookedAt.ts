/** What the server says of the sheets that it looks at. */
export async function deskOf(url: string): Promise<{ waiting: number; sheets: number }> {
  return (await fetch(`${url}/api/desk`)).json() as Promise<{ waiting: number; sheets: number }>;
}

/** Waits until all sheets were looked at: what is measured before that shares its machine with that work. @returns how long it took, in s */
export async function lookedAt(url: string): Promise<number> {
  const begun = performance.now();
  while ((await deskOf(url)).waiting > 0) await new Promise((resolve) => setTimeout(resolve, 200));
  return (performance.now() - begun) / 1000;
}

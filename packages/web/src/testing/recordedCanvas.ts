/** What a canvas was told, in order: the name of each call with its arguments, and `set name` for each property. */
export type Told = [string, ...unknown[]][];

/**
 * A context that notes what it is told; where no canvas can be drawn on, that is what can be said about a picture. Numbers
 * are rounded to thousandths.
 */
export function recordedCanvas(): { context: CanvasRenderingContext2D; told: Told } {
  const told: Told = [];
  const rounded = (value: unknown): unknown => (typeof value === 'number' ? Math.round(value * 1000) / 1000 : value);
  // Large enough for a whole sheet close up.
  const properties = new Map<string | symbol, unknown>([['canvas', { width: 4000, height: 4000 }]]);
  const context = new Proxy(
    {},
    {
      get: (_, name) =>
        properties.has(name)
          ? properties.get(name)
          : (...values: unknown[]) => {
              told.push([String(name), ...values.map(rounded)]);
              return name === 'measureText' ? { width: String(values[0]).length * 6 } : undefined;
            },
      set: (_, name, value) => {
        properties.set(name, value);
        told.push([`set ${String(name)}`, rounded(value)]);
        return true;
      },
    },
  ) as unknown as CanvasRenderingContext2D;
  return { context, told };
}

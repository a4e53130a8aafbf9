declare module 'polylabel' {
  /** The place in a polygon that is furthest from its edges; rings of x, y, the first one the outer. */
  export default function polylabel(polygon: number[][][], precision?: number): number[] & { distance: number };
}

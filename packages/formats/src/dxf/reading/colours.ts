/**
 * The greys of the numbered colours of DXF, #rrggbb; from memory, as common programs show them. Other numbers are colours for
 * telling lines apart, which are printed in black.
 */
const GREYS: Readonly<Record<number, string>> = {
  8: '#808080',
  9: '#c0c0c0',
  250: '#333333',
  251: '#505050',
  252: '#696969',
  253: '#828282',
  254: '#bebebe',
  255: '#ffffff',
};

export const greyOf = (number: number): string | undefined => GREYS[number];

/** A DXF file as it was read: what a drawing program calls its own, before blocks are taken apart. Drawing units. */
export interface DxfDocument {
  /** $ACADVER, such as AC1015. */
  version: string;
  /** $INSUNITS: 1 inches, 4 millimetres, 5 centimetres, 6 metres, 0 or undefined when not said. */
  insertUnits?: number;
  /** By name in capitals: names of layers are the same in capitals and small letters. */
  layers: Map<string, DxfLayer>;
  /** By name in capitals. */
  blocks: Map<string, DxfBlock>;
  /** Dash, gap … in drawing units by the names of line types in capitals; continuous ones are left out. */
  lineTypes: Map<string, number[]>;
  /** What dashes of all line types are multiplied by. */
  lineTypeScale: number;
  /** Names of page layouts by the name of the block that holds what stands on them, in capitals. */
  layouts: Map<string, string>;
  /** Names of picture files by the handles of the objects that hold them. */
  imageFiles: Map<string, string>;
  entities: DxfEntity[];
  /** How many entities of each kind the file has, those that are not read included. */
  counts: Map<string, number>;
  /** Kinds that are not read, by layer. */
  unread: Map<string, number>;
}

export interface DxfLayer {
  name: string;
  /** Off or frozen. */
  hidden: boolean;
  frozen: boolean;
  /** Line weight in mm, when the layer has one of its own. */
  lineWeight?: number;
  /** ACI colour number. */
  colour: number;
  /** Name of its line type in capitals. */
  lineType?: string;
}

export interface DxfBlock {
  name: string;
  base: [number, number];
  entities: DxfEntity[];
}

/** What entities of all kinds share. */
export interface DxfCommon {
  layer: string;
  line: number;
  paperSpace: boolean;
  lineWeight?: number;
  /** ACI colour number of its own, 1 to 255. */
  colour?: number;
  /** Name of a line type of its own in capitals. */
  lineType?: string;
  /** Direction that the entity's plane faces, when it is not straight up. */
  extrusion?: [number, number, number];
  /** Not to be shown. */
  invisible?: boolean;
}

export type DxfEntity = DxfCommon &
  (
    | { type: 'LINE'; points: [number, number, number, number] }
    | { type: 'POLYLINE'; points: number[]; bulges?: number[]; closed: boolean; width?: number }
    | { type: 'CURVE'; points: number[] }
    | { type: 'ARC'; x: number; y: number; radius: number; from: number; to: number }
    | { type: 'FILL'; rings: number[][]; pattern?: HatchLines[] }
    | DxfImage
    | DxfText
    | DxfInsert
  );

/** Lines with equal distances that fill an area, in drawing units. */
export interface HatchLines {
  /** Degrees, counter-clockwise. */
  angle: number;
  /** A point that one of them runs through, and the step from it to the next one. */
  base: [number, number];
  step: [number, number];
  /** Lengths of dashes, and of gaps below 0; none for lines that run through. */
  dashes: number[];
}

/** A picture whose file lies beside the drawing. */
export interface DxfImage extends DxfCommon {
  type: 'IMAGE';
  /** Its lower left corner, and one dot to the right and up from there. */
  corner: [number, number];
  right: [number, number];
  up: [number, number];
  /** Dots across and up. */
  size: [number, number];
  /** Handle of the object that names its file. */
  definition: string;
}

/** TEXT, MTEXT, ATTRIB and ATTDEF alike. */
export interface DxfText extends DxfCommon {
  type: 'TEXT';
  of: 'TEXT' | 'MTEXT' | 'ATTRIB' | 'ATTDEF';
  text: string;
  x: number;
  y: number;
  height: number;
  /** Of each line of several, where they are not all as high. */
  lineHeights?: number[];
  rotation: number;
  widthFactor: number;
  horizontal: 'left' | 'centre' | 'right';
  vertical: 'base' | 'bottom' | 'middle' | 'top';
  tag?: string;
  prompt?: string;
  /** Attributes that are not to be shown. */
  hidden?: boolean;
}

export interface DxfInsert extends DxfCommon {
  type: 'INSERT';
  block: string;
  x: number;
  y: number;
  scaleX: number;
  scaleY: number;
  rotation: number;
  columns: number;
  rows: number;
  columnSpacing: number;
  rowSpacing: number;
  attributes: DxfText[];
}

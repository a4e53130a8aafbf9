import type { AnyPicture } from './content';
import type { Design } from './schema';
import { cellsOf, mapCells } from './visit';

/** All pictures of a design, in cells and on the sheet by themselves. */
export function picturesOf(design: Design): AnyPicture[] {
  const inCells = [...cellsOf(design)].flatMap(({ cell }) => cell.contents.filter((each) => each.kind === 'picture'));
  return [...inCells, ...(design.loose ?? []).filter((each) => each.kind === 'picture')];
}

/** A design with the images of its pictures changed; those for which there is none stay as they are. */
export function withImages(design: Design, imageOf: (picture: AnyPicture) => AnyPicture['image'] | undefined): Design {
  const changed = <P extends AnyPicture>(picture: P): P => {
    const image = imageOf(picture);
    return image && image !== picture.image ? { ...picture, image } : picture;
  };
  const next = mapCells(design, (cell) => {
    const contents = cell.contents.map((each) => (each.kind === 'picture' ? changed(each) : each));
    return contents.every((each, i) => each === cell.contents[i]) ? cell : { ...cell, contents };
  });
  if (!design.loose) return next;
  const loose = design.loose.map((each) => (each.kind === 'picture' ? changed(each) : each));
  return loose.every((each, i) => each === design.loose?.[i]) ? next : { ...next, loose };
}

export type { Axis } from './editing';
export { assertUnlocked, copyOf, EditError, freshId, holdsAnything, idMaker } from './editing';
export {
  addContent,
  changeContents,
  clearCell,
  fillCells,
  moveContent,
  putFields,
  removeContent,
  setCell,
  setCellEdge,
  setContent,
} from './cellEdits';
export {
  forSizes,
  removeLoose,
  removeSize,
  renameDesign,
  setFrame,
  takeFrame,
  setLoose,
  setModules,
  setSize,
} from './designEdits';
export { clearDimension, removeDimension, renameDimension, setDimension } from './dimensionEdits';
export { divideCell, divideIntoGrid, joinCell, setGap } from './dividing';
export { joinNeighbours, splitSpan } from './joining';
export { namePanelLength, nameTrack, suggestedName, trackDimensionName } from './naming';
export { setPanelLengthOnSize, setTrackOnSize, soleDimension } from './oneSize';
export {
  addPanel,
  lockDesign,
  lockPanel,
  mirrorPanel,
  movePanel,
  removePanel,
  setPanel,
  setPanelEdge,
} from './panelEdits';
export type { Scaling } from './scaling';
export { LEAST_FACTOR, MOST_FACTOR, scaledPicture, scaleDesign } from './scaling';
export { takePanel } from './takePanel';
export { copyTrack, insertBeside, moveTrack, removeTrack, setTrack, setTrackLine } from './trackEdits';

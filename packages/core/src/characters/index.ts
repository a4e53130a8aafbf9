export { isStorable, storable } from './wellFormed';

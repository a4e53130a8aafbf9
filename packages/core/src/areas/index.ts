export type { AreaFinding, MeasuredArea, MeasuredAreas } from './measure';
export { measureAreas } from './measure';
export type { AreaGroup, AreaSettings, AreaUnit, GroupedAreas } from './areaTable';
export { isInside } from './polygons';
export type { AreaList } from './areaList';
export { readAreaList } from './areaList';
export {
  AREA_UNITS,
  areaKey,
  areaRows,
  areaSettingsSchema,
  areaWords,
  groupedAreas,
  groupOfArea,
  listedAreas,
  unlistedGroups,
} from './areaTable';

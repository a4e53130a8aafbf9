export type { AreaFinding, MeasuredArea, MeasuredAreas } from './measure';
export { measureAreas } from './measure';
export type { AreaGroup, AreaSettings, AreaUnit, GroupedAreas } from './areaTable';
export { AREA_UNITS, areaKey, areaRows, areaSettingsSchema, areaWords, groupedAreas } from './areaTable';

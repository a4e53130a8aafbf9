import { useMemo } from 'react';
import { skipToken } from '@reduxjs/toolkit/query';
import type { Design, OfficeStandard, TriedOn } from '@mendrel/core';
import { rowsOf, tablesOf, triedOn, valuesOf, withRows } from '@mendrel/core';
import { api } from '../../../app/api';
import { sheetApi } from '../../../app/sheetApi';
import { useAppSelector } from '../../../app/store';
import { useRealData } from './useRealData';

/** What a design is tried on with: examples, or all that is known of a real sheet, and values that were typed over either. */
export function useTried(design: Design, standard: OfficeStandard): TriedOn {
  const tryOn = useAppSelector((root) => root.settingOut.tryOn);
  const real = useAppSelector((root) => root.settingOut.real);
  const typed = useAppSelector((root) => root.settingOut.typed);
  const data = useRealData();
  const office = api.useOfficeQuery().data;
  const projects = api.useProjectsQuery(real ? undefined : skipToken).data;
  const sheets = sheetApi.useSheetsQuery(real?.project ?? skipToken).currentData;
  const tables = api.useProjectTablesQuery(real?.project ?? skipToken).currentData;
  const tried = useMemo((): TriedOn => {
    const project = projects?.find(({ id }) => id === real?.project);
    const index = sheets?.findIndex(({ id }) => id === real?.sheet) ?? -1;
    const sheet = sheets?.[index];
    // Until all of it is there, and where the sheet is gone, examples stand in for it.
    if (!real || !office || !project || !sheets || !sheet || !tables) return triedOn(tryOn, standard, data);
    const from = {
      design,
      standard,
      office: office.values,
      project: project.values,
      tables: rowsOf(office.tables, tables.tables),
    };
    const source = { ...withRows(from, sheets), sheet, position: { index, count: sheets.length } };
    return { values: valuesOf(source), tables: tablesOf(source) };
  }, [tryOn, real, standard, design, data, office, projects, sheets, tables]);
  return useMemo(
    () => (Object.keys(typed).length === 0 ? tried : { ...tried, values: { ...tried.values, ...typed } }),
    [tried, typed],
  );
}

import { useMemo } from 'react';
import { skipToken } from '@reduxjs/toolkit/query';
import type { Project } from '@mendrel/contract';
import { rowsOf } from '@mendrel/core';
import { api, faultOf } from '../../app/api';
import { sheetApi } from '../../app/sheetApi';
import { sheetDesigns, useSheetSources } from './sheetDrawings';

/**
 * A project's sheets with everything that they are drawn from, and what the server has found on them. Only what is seen is
 * drawn here; whoever sums up a state takes what the server found.
 * @param id of the project, which may be known before the project itself is
 */
export function useProjectSheets(id: string | undefined, project: Project | undefined) {
  const sheets = sheetApi.useSheetsQuery(id ?? skipToken);
  const found = api.useProjectFindingsQuery(id ?? skipToken);
  const office = api.useOfficeQuery();
  const told = api.useProjectDesignsQuery(id ?? skipToken);
  const standard = api.useStandardAtQuery(project ? project.standard : skipToken);
  const projectTables = api.useProjectTablesQuery(id ?? skipToken);
  const [officeRows, projectRows] = [office.data?.tables, projectTables.currentData?.tables];
  const tables = useMemo(
    () => (officeRows && projectRows ? rowsOf(officeRows, projectRows) : undefined),
    [officeRows, projectRows],
  );
  const designsTold = told.currentData;
  const designs = useMemo(() => designsTold && sheetDesigns(designsTold), [designsTold]);
  const from = {
    designs,
    standard: standard.currentData?.standard,
    office: office.data?.values,
    project: project?.values,
    ...(tables ? { tables } : {}),
    ...(project && project.fileNames !== null ? { fileNames: project.fileNames } : {}),
    ...(project && project.device !== null ? { device: project.device } : {}),
  };
  const sources = useSheetSources(from, sheets.currentData);
  const rows = found.currentData;
  // Sheets that are not in it were not looked at yet.
  const findings = useMemo(() => new Map(rows?.map((row) => [row.sheet, row.findings])), [rows]);
  const queries = [sheets, office, standard, told, projectTables];
  return {
    sheets: sheets.currentData,
    office: office.data,
    standard: standard.currentData?.standard,
    designs,
    sources,
    findings,
    fault: [...queries, found].map(faultOf).find((each) => each !== undefined),
    retry: () => {
      for (const each of [...queries, found]) if (!each.isUninitialized) void each.refetch();
    },
  };
}
